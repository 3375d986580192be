import { recordKinds } from '@acorn-tally/core';
import { capitalize } from '../parts/capitalize';
import type { PendingWrite } from '../records/outbox';

/** What a person calls a record that waits: "Battery Jay 1", "A day". */
export function titleOf({ kind, mine, base, halt }: PendingWrite): string {
  const theirs = halt?.why === 'changed' ? halt.theirs : null;
  const known = mine ?? theirs ?? (typeof base === 'string' ? null : base);
  const { noun, nameField } = recordKinds[kind];
  const name = nameField && (known as Readonly<Record<string, unknown>> | null)?.[nameField as string];
  return typeof name === 'string' ? `${capitalize(noun)} ${name}` : `A ${noun}`;
}
