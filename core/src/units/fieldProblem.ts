/** What is wrong with one value of a request or a record beyond the range of its field: where it stands, and why it cannot hold with the rest. */
export interface FieldProblem {
  /** As in `shots.2.after.0`. */
  readonly path: string;
  readonly message: string;
  readonly received?: unknown;
}

/** The same problems seen from further out: `charge` under `test` is `test.charge`. */
export function under(path: string, problems: readonly FieldProblem[]): FieldProblem[] {
  return problems.map((problem) => ({ ...problem, path: `${path}.${problem.path}` }));
}

/** Ids of a list that stand there more than once. */
export function repeatedIds(list: string, ids: readonly string[]): FieldProblem[] {
  return ids.flatMap((id, i) =>
    ids.indexOf(id) < i
      ? [{ path: `${list}.${i}.id`, message: 'This id is there twice.', received: id }]
      : [],
  );
}
