import { timeAtCharge } from '@acorn-tally/core';

/** The gauge as it is expected to go, and between which times eight in ten flights pass each charge; frozen when the clock begins. */
export interface Expected {
  readonly curve: readonly { readonly timeS: number; readonly charge: number }[];
  /** Empty where there is no band, as for a charge. */
  readonly band: readonly { readonly charge: number; readonly p10S: number; readonly p90S: number }[];
}

/** Where a gauge is wanted whichever the flight: the half, and the low ones where signs come. */
const alwaysWanted = [0.5, 0.2, 0.1, 0.05, 0];

/** The gauges at which readings are wanted between two charges: each tenth, and those that matter, in the order they come. */
export function wantedCharges(fromCharge: number, toCharge: number): number[] {
  const tenths = Array.from({ length: 11 }, (_, i) => i / 10);
  const [low, high] = [Math.min(fromCharge, toCharge), Math.max(fromCharge, toCharge)];
  const within = [...new Set([...tenths, ...alwaysWanted, toCharge])].filter(
    (charge) => charge >= low && charge <= high && charge !== fromCharge,
  );
  return within.sort((a, b) => (toCharge < fromCharge ? b - a : a - b));
}

/** A reading this close to a wanted one is that one. */
const near = 0.02;

/** The next reading wanted after the last charge read; null when all were passed. */
export function nextWanted(lastCharge: number, fromCharge: number, toCharge: number): number | null {
  const falls = toCharge < fromCharge;
  const isAhead = (charge: number) => (falls ? charge < lastCharge - near : charge > lastCharge + near);
  const passed = falls ? lastCharge <= toCharge : lastCharge >= toCharge;
  const ahead = wantedCharges(fromCharge, toCharge).find(isAhead);
  return ahead ?? (passed ? null : toCharge);
}

/** Whether a curve that falls or rises is passed by a charge, and when, s. */
export function expectedAt({ curve }: Expected, charge: number): number | null {
  const first = curve[0];
  const last = curve[curve.length - 1];
  if (!first || !last || last.charge <= first.charge) return timeAtCharge(asFull(curve), charge);
  const mirrored = curve.map(({ timeS, charge: one }) => ({ timeS, charge: -one }));
  return timeAtCharge(asFull(mirrored), -charge);
}

function asFull(curve: Expected['curve']) {
  return curve as Parameters<typeof timeAtCharge>[0];
}

/**
 * Seconds still to go until a charge, as the last reading says: what was expected for the rest, at the rate at which the way
 * to that reading was flown. Null where it is not expected at all.
 */
export function toGoS(
  expected: Expected,
  elapsedS: number,
  lastRead: { readonly timeS: number; readonly charge: number } | null,
  toCharge: number,
): number | null {
  const end = expectedAt(expected, toCharge);
  if (end === null) return null;
  const read = lastRead && lastRead.timeS > 0 ? expectedAt(expected, lastRead.charge) : null;
  const ratio = read && lastRead ? lastRead.timeS / read : 1;
  return Math.max(0, (lastRead?.timeS ?? 0) + (end - (read ?? 0)) * ratio - elapsedS);
}

export type Against = 'sooner' | 'later';

/** Whether a reading lies outside the band: sooner drained, or later; null within it or where there is none. */
export function againstBand({ band }: Expected, timeS: number, charge: number): Against | null {
  const falling = [...band].sort((a, b) => b.charge - a.charge);
  const after = falling.findIndex((one) => one.charge <= charge);
  const at = falling[after];
  if (!at) return null;
  const before = falling[after - 1] ?? at;
  const share = before.charge === at.charge ? 1 : (before.charge - charge) / (before.charge - at.charge);
  const between = (edge: 'p10S' | 'p90S') => before[edge] + share * (at[edge] - before[edge]);
  if (timeS < between('p10S')) return 'sooner';
  return timeS > between('p90S') ? 'later' : null;
}

/** Each tenth of the gauge, and the stop, with the time at which it is expected: what a tone or a voice calls. */
export function calls(
  expected: Expected,
  fromCharge: number,
  toCharge: number,
): { readonly timeS: number; readonly charge: number; readonly isStop: boolean }[] {
  return wantedCharges(fromCharge, toCharge).flatMap((charge) => {
    const isStop = charge === toCharge;
    const isTenth = Math.abs(charge * 10 - Math.round(charge * 10)) < 1e-9;
    const timeS = isStop || isTenth ? expectedAt(expected, charge) : null;
    return timeS === null ? [] : [{ timeS, charge, isStop }];
  });
}
