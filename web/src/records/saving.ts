import type { PendingWrite } from './outbox';
import type { Records } from './state';

/** Where what is shown stands on its way to the server. */
export type Saving =
  | { readonly state: 'saved' }
  | { readonly state: 'saving' }
  /** The server does not answer; so many records are kept in this browser until it does. */
  | { readonly state: 'waiting'; readonly count: number };

export function savingOf({ waiting, failures }: Pick<Records, 'waiting' | 'failures'>): Saving {
  const count = Object.values(waiting).filter(({ halt }) => halt === null).length;
  if (count === 0) return { state: 'saved' };
  return failures > 0 ? { state: 'waiting', count } : { state: 'saving' };
}

type Changed = PendingWrite & { readonly halt: { readonly why: 'changed' } };
type Refused = PendingWrite & { readonly halt: { readonly why: 'refused' } };

/** Records of which there are two versions. */
export function conflictsIn(waiting: Records['waiting']): Changed[] {
  return Object.values(waiting).filter((one): one is Changed => one.halt?.why === 'changed');
}

export function refusalsIn(waiting: Records['waiting']): Refused[] {
  return Object.values(waiting).filter((one): one is Refused => one.halt?.why === 'refused');
}
