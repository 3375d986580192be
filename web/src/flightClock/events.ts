import type { SignKind } from '@acorn-tally/core';

/** What happened, and when by the clock of the world (ms since 1970): never a counter, so that nothing that sleeps can stop it. */
interface At {
  readonly atMs: number;
}

/** What is noted of a running clock. The list only grows; what is taken back is an event as well. */
export type ClockEvent =
  | (At & { readonly what: 'began' })
  | (At & { readonly what: 'mark'; readonly charge: number | null; readonly cellVoltageV: number | null })
  | (At & { readonly what: 'sign'; readonly kind: SignKind; readonly charge: number | null })
  | (At & { readonly what: 'ended'; readonly charge: number | null })
  | (At & { readonly what: 'undone' });

/** A reading of a running clock; seconds from the beginning. */
export interface ClockMark {
  readonly timeS: number;
  readonly charge: number | null;
  readonly cellVoltageV: number | null;
  readonly kind: SignKind | null;
}

/** What the events come to. */
export interface Running {
  readonly beganMs: number | null;
  readonly marks: readonly ClockMark[];
  readonly endedS: number | null;
  readonly endCharge: number | null;
  /** What would be taken back next; null where there is nothing. */
  readonly last: Standing | null;
}

/** From what was noted to where it stands; pure. */
export function runningOf(events: readonly ClockEvent[]): Running {
  const standing = withoutUndone(events);
  const began = standing.find(({ what }) => what === 'began');
  const beganMs = began?.atMs ?? null;
  const sinceS = (atMs: number) => Math.max(0, (atMs - (beganMs ?? atMs)) / 1000);
  const marks = standing.flatMap((event) => {
    const mark = markOf(event, sinceS(event.atMs));
    return mark ? [mark] : [];
  });
  const ended = standing.find((event) => event.what === 'ended');
  return {
    beganMs,
    marks: marks.sort((a, b) => a.timeS - b.timeS),
    endedS: ended ? sinceS(ended.atMs) : null,
    endCharge: ended?.what === 'ended' ? ended.charge : null,
    last: standing[standing.length - 1] ?? null,
  };
}

/** The mark an event makes at its time; null for a beginning or an end. */
export function markOf(event: Standing, timeS: number): ClockMark | null {
  if (event.what === 'mark') {
    return { timeS, charge: event.charge, cellVoltageV: event.cellVoltageV, kind: null };
  }
  if (event.what !== 'sign') return null;
  const charge = event.kind === 'empty' ? 0 : event.charge;
  return { timeS, charge, cellVoltageV: null, kind: event.kind };
}

export type Standing = Exclude<ClockEvent, { readonly what: 'undone' }>;

function withoutUndone(events: readonly ClockEvent[]): Standing[] {
  const standing: Standing[] = [];
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
