import { same } from './outbox';

/** One field that two versions of a record tell differently, by its path; what is deeper is told by its own fields. */
export interface Difference {
  readonly path: readonly string[];
  readonly mine: unknown;
  readonly theirs: unknown;
  /** Who changed it since both were one. */
  readonly by: 'me' | 'them' | 'both';
}

type Fields = Readonly<Record<string, unknown>>;

/** Field by field, down to values and lists; `before` is what both began from. */
export function differences(
  mine: unknown,
  theirs: unknown,
  before: unknown,
  path: readonly string[] = [],
): Difference[] {
  if (same(mine, theirs)) return [];
  if (isFields(mine) && isFields(theirs)) {
    const names = [...new Set([...Object.keys(mine), ...Object.keys(theirs)])];
    return names.flatMap((name) =>
      differences(mine[name], theirs[name], isFields(before) ? before[name] : undefined, [...path, name]),
    );
  }
  const by = same(mine, before) ? 'them' : same(theirs, before) ? 'me' : 'both';
  return [{ path, mine: mine ?? null, theirs: theirs ?? null, by }];
}

/** My version with some of the other's fields, by path. */
export function taking(mine: object, taken: readonly Pick<Difference, 'path' | 'theirs'>[]): object {
  return taken.reduce((so, { path, theirs }) => withValue(so, path, theirs) as object, mine);
}

function withValue(into: unknown, [name, ...rest]: readonly string[], value: unknown): unknown {
  if (name === undefined) return value;
  const fields = isFields(into) ? into : {};
  return { ...fields, [name]: withValue(fields[name], rest, value) };
}

function isFields(value: unknown): value is Fields {
  return typeof value === 'object' && value !== null && !Array.isArray(value);
}
