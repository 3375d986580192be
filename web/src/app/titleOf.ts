import { recordKinds } from '@acorn-tally/core';
import { capital } from '../parts/capital';
import type { Waiting } from '../records/waiting';

/** What a person calls a record that waits: "Battery Jay 1", "A day". */
export function titleOf({ kind, mine, base, halt }: Waiting): string {
  const theirs = halt?.why === 'changed' ? halt.theirs : null;
  const known = mine ?? theirs ?? (typeof base === 'string' ? null : base);
  const { noun, calledBy } = recordKinds[kind];
  const name = calledBy && (known as Readonly<Record<string, unknown>> | null)?.[calledBy as string];
  return typeof name === 'string' ? `${capital(noun)} ${name}` : `A ${noun}`;
}
