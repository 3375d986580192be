import { type Change, joined, type Step } from './changes';

/** How a change stands among the steps to undo. */
export interface How {
  /** Whether the way back is offered at once. */
  readonly offered?: boolean;
  /** A step by itself, however soon it comes after one like it. */
  readonly apart?: boolean;
}

/** Something came, went, or changed in many places. */
export const comesOrGoes: How = { offered: true, apart: true };

/** Changes of one kind within this time are one step to undo. */
const sameStepMs = 2000;
const undoDepth = 100;

/** What was done, in steps, and where one step ends and the next begins. */
export class History {
  private lastOrdinal = 0;
  /** Steps up to this one are not added to any more. */
  private sealedOrdinal = 0;
  private isTyping = false;

  /** Steps after one more change: a new one, or the last one going on while a text is typed or a slider is drawn. */
  with(
    steps: readonly Step[],
    { changes, label, key, at }: Pick<Step, 'changes' | 'label' | 'key' | 'at'>,
    { offered = false, apart = false }: How,
  ): readonly Step[] {
    const last = steps.at(-1);
    if (last && !apart && this.goesOn(last, key, at))
      return [...steps.slice(0, -1), { ...last, at, changes: joined(last.changes, changes) }];
    this.lastOrdinal += 1;
    if (apart) this.seal();
    return [...steps, { label, key, at, ordinal: this.lastOrdinal, offered, changes }].slice(-undoDepth);
  }

  seal(): void {
    this.sealedOrdinal = this.lastOrdinal;
  }

  /** Until it ends, all that a text changes is one step. Gives the ordinal of the last step before. */
  beginTyping(): number {
    this.seal();
    this.isTyping = true;
    return this.lastOrdinal;
  }

  endTyping(): void {
    if (this.isTyping) this.seal();
    this.isTyping = false;
  }

  /** Goes on from steps that were kept. */
  goOnFrom(steps: readonly Step[]): void {
    this.lastOrdinal = Math.max(this.lastOrdinal, ...steps.map(({ ordinal }) => ordinal));
    this.seal();
  }

  private goesOn(last: Step, key: string, at: number): boolean {
    const isNear = this.isTyping || at - last.at < sameStepMs;
    return last.ordinal > this.sealedOrdinal && last.key === key && isNear;
  }
}

/** Steps that were left, numbered so that they come before those made since. */
export function numberedBefore(left: readonly Step[], since: readonly Step[]): Step[] {
  const last = Math.max(0, ...left.map(({ ordinal }) => ordinal));
  const first = Math.min(last + 1, ...since.map(({ ordinal }) => ordinal));
  return left.map((step) => (first > last ? step : { ...step, ordinal: step.ordinal - last + first - 1 }));
}

/** Changes that are done as one step. */
export const keyOfStep = (changes: readonly Change[], label: string) =>
  [...changes.map(({ kind, id }) => `${kind} ${id}`), label].join(' ');
