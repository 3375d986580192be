import { type Kind, recordKinds, referrersTo, usersInWords } from '@acorn-tally/core';
import { type Change, removing } from './changes';
import { type AnyRecord, type Data, find } from './kinds';

/** Those that name a record in a field. */
function naming(data: Data, kind: Kind, field: string, id: string): readonly AnyRecord[] {
  return (data[kind] as readonly AnyRecord[]).filter((record) => {
    const named = (record as unknown as Record<string, string | readonly string[] | undefined>)[field];
    return named === id || (Array.isArray(named) && named.includes(id));
  });
}

/** Who needs a record, in words. */
export function usersOf(data: Data, kind: Kind, id: string): string[] {
  const fields = referrersTo(kind).filter(({ kind: from, field }) => recordKinds[from].ownedBy !== field);
  return fields.flatMap(({ kind: from, field }) => usersInWords(from, naming(data, from, field, id)));
}

/** The changes that remove a record, and before it what makes no sense without it. */
export function removingWhole(data: Data, kind: Kind, id: string): Change[] {
  const record = find(data, kind, id);
  if (!record) return [];
  const fields = referrersTo(kind).filter(({ kind: from, field }) => recordKinds[from].ownedBy === field);
  const goingWith = fields.flatMap(({ kind: from, field }) =>
    naming(data, from, field, id).map((one) => removing(from, one as never)),
  );
  return [...goingWith, removing(kind, record)];
}
