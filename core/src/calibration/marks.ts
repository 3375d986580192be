import type { SignKind } from '../testFlights/testFlight';

/** A reading of a flight: the gauge, 0–1, at a moment; or what the aircraft did then. */
export interface CalibrationReading {
  readonly timeS: number;
  readonly charge?: number | null;
  readonly cellVoltageV?: number | null;
}

/** What the aircraft did of itself; the gauge at 0 % and the motors' end teach, the others are told only. */
export interface CalibrationEvent {
  readonly kind: SignKind;
  readonly timeS: number;
  readonly charge?: number | null;
}

/** A moment that the model must meet: the gauge passed a charge, or (null) the motors stopped. */
export interface Mark {
  readonly timeS: number;
  readonly charge: number | null;
}

/** More teach nothing: their errors are the flight's own, and common to all of them. */
export const maxMarks = 20;
/** A gauge shows whole per cent: what lies less below the start says nothing of time. */
const minSpent = 0.005;

/**
 * The marks of a flight in order of time. Of a gauge that shows the same twice the first counts, so that nothing is read of a
 * gauge that stands at zero. Of many, those that lie most evenly over the charge are kept, and always the last, 0 % and the
 * end of the motors.
 */
export function fitMarksOf(flight: {
  readonly startCharge: number;
  readonly checkpoints: readonly CalibrationReading[];
  readonly events?: readonly CalibrationEvent[] | null;
  readonly end: { readonly timeS: number; readonly charge: number };
}): Mark[] {
  const events = flight.events ?? [];
  const read = [...flight.checkpoints, ...events.map(asRead), flight.end].flatMap(({ timeS, charge }) =>
    charge == null || timeS <= 0 ? [] : [{ timeS, charge }],
  );
  read.sort((a, b) => a.timeS - b.timeS);
  const marks: { timeS: number; charge: number }[] = [];
  let least = flight.startCharge - minSpent;
  for (const one of read) {
    if (one.charge > least) continue;
    marks.push(one);
    least = one.charge - minSpent / 2;
  }
  const motors = events.find(({ kind }) => kind === 'motors-out');
  const kept = thinned(marks, motors ? maxMarks - 1 : maxMarks);
  return motors ? [...kept, { timeS: motors.timeS, charge: null }] : kept;
}

function asRead({ kind, timeS, charge }: CalibrationEvent): CalibrationReading {
  return { timeS, charge: kind === 'empty' ? 0 : charge };
}

function thinned<One extends { readonly charge: number }>(marks: readonly One[], most: number): One[] {
  if (marks.length <= most) return [...marks];
  const [first, last] = [marks[0] as One, marks[marks.length - 1] as One];
  const kept = new Set<One>([first, last]);
  for (let i = 1; i < most - 1; i++) {
    const wanted = first.charge + ((last.charge - first.charge) * i) / (most - 1);
    kept.add(nearest(marks, wanted));
  }
  return marks.filter((one) => kept.has(one));
}

function nearest<One extends { readonly charge: number }>(marks: readonly One[], wanted: number): One {
  return marks.reduce((best, one) =>
    Math.abs(one.charge - wanted) < Math.abs(best.charge - wanted) ? one : best,
  );
}
