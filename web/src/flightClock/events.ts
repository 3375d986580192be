import type { SignKind } from '@acorn-tally/core';

/** What happened, and when by the clock of the world (ms since 1970): never a counter, so that nothing that sleeps can stop it. */
interface At {
  readonly atMs: number;
}

/** What is noted of a running clock. The list only grows; what is taken back is an event as well. */
export type ClockEvent =
  | (At & { readonly what: 'began' })
  | (At & {
      readonly what: 'mark';
      readonly charge: number | null;
      readonly cellVoltageV: number | null;
      /** What it showed as left; clocks begun before it was noted have none. */
      readonly leftS?: number | null;
    })
  | (At & { readonly what: 'sign'; readonly kind: SignKind; readonly charge: number | null })
  | (At & { readonly what: 'ended'; readonly charge: number | null })
  /** The last reading is right, odd as it is. */
  | (At & { readonly what: 'confirmed' })
  | (At & { readonly what: 'undone' });

/** A reading of a running clock; seconds from the beginning. */
export interface ClockMark {
  readonly timeS: number;
  readonly charge: number | null;
  readonly cellVoltageV: number | null;
  readonly leftS: number | null;
  readonly kind: SignKind | null;
}

/** What the events come to. */
export interface Running {
  readonly beganMs: number | null;
  readonly marks: readonly ClockMark[];
  /** A reading that goes the wrong way, and counts only once it is confirmed; null where there is none. */
  readonly held: ClockMark | null;
  readonly endedS: number | null;
  readonly endCharge: number | null;
  /** What would be taken back next; null where there is nothing. */
  readonly last: StandingEvent | null;
}

/** What is timed, as far as readings are held against it. */
interface Timed {
  readonly kind: 'flight' | 'charge';
  readonly startCharge: number;
}

/** From what was noted to where it stands; pure. */
export function runningOf(events: readonly ClockEvent[], timed?: Timed): Running {
  const standing = withoutUndone(events);
  const began = standing.find(({ what }) => what === 'began');
  const beganMs = began?.atMs ?? null;
  const sinceS = (atMs: number) => Math.max(0, (atMs - (beganMs ?? atMs)) / 1000);
  const { marks, held } = readings(standing, sinceS, timed);
  const ended = standing.find((event) => event.what === 'ended');
  return {
    beganMs,
    marks: [...marks].sort((a, b) => a.timeS - b.timeS),
    held,
    endedS: ended ? sinceS(ended.atMs) : null,
    endCharge: ended?.what === 'ended' ? ended.charge : null,
    last: standing[standing.length - 1] ?? null,
  };
}

/** In a flight no gauge rises, in a charge none falls: a reading that does is most often a slip, and waits until it is confirmed. */
function readings(
  standing: readonly StandingEvent[],
  sinceS: (atMs: number) => number,
  timed: Timed | undefined,
): Pick<Running, 'marks' | 'held'> {
  const marks: ClockMark[] = [];
  let last = timed?.startCharge ?? null;
  let held: ClockMark | null = null;
  for (const event of standing) {
    if (event.what === 'confirmed') {
      if (held) marks.push(held);
      last = held?.charge ?? last;
      held = null;
      continue;
    }
    const mark = markOf(event, sinceS(event.atMs));
    if (!mark) continue;
    if (timed && last !== null && mark.charge !== null && isBack(timed, last, mark.charge)) {
      held = mark;
      continue;
    }
    marks.push(mark);
    // A reading that goes on from the last one shows the one between to have been a slip.
    if (mark.charge !== null) held = null;
    last = mark.charge ?? last;
  }
  return { marks, held };
}

function isBack({ kind }: Timed, before: number, charge: number): boolean {
  return kind === 'flight' ? charge > before : charge < before;
}

/** The mark an event makes at its time; null for a beginning or an end. */
export function markOf(event: StandingEvent, timeS: number): ClockMark | null {
  if (event.what === 'mark') {
    const { charge, cellVoltageV, leftS } = event;
    return { timeS, charge, cellVoltageV, leftS: leftS ?? null, kind: null };
  }
  if (event.what !== 'sign') return null;
  const charge = event.kind === 'empty' ? 0 : event.charge;
  return { timeS, charge, cellVoltageV: null, leftS: null, kind: event.kind };
}

export type StandingEvent = Exclude<ClockEvent, { readonly what: 'undone' }>;

function withoutUndone(events: readonly ClockEvent[]): StandingEvent[] {
  const standing: StandingEvent[] = [];
  for (const event of events) {
    if (event.what === 'undone') standing.pop();
    else standing.push(event);
  }
  return standing;
}

/** The last gauge that was read; the start where none was. */
export function lastCharge({ marks, endCharge }: Running, startCharge: number): number {
  if (endCharge !== null) return endCharge;
  return [...marks].reverse().find(({ charge }) => charge !== null)?.charge ?? startCharge;
}
