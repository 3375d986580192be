import { type Aircraft, aircraftRanges, spec } from '../aircraft/aircraft';
import { ownCallPriors, returnPriors } from '../reserve/returnHome';
import { type Reading, readingsOf, type SignKind, type TestFlight, type TestPattern } from './testFlight';

/** How fast the gauge fell between two readings. */
export interface DrainPiece {
  readonly fromS: number;
  readonly untilS: number;
  /** Charge per second, 0–1. */
  readonly chargePerS: number;
}

/** The fall of the gauge piece by piece; readings that show the same per cent are taken together. */
export function drainPieces(test: TestFlight): DrainPiece[] {
  const pieces: DrainPiece[] = [];
  let last: Reading | null = null;
  for (const reading of readingsOf(test)) {
    if (last && reading.charge < last.charge && reading.timeS > last.timeS) {
      const chargePerS = (last.charge - reading.charge) / (reading.timeS - last.timeS);
      pieces.push({ fromS: last.timeS, untilS: reading.timeS, chargePerS });
    }
    if (!last || reading.charge < last.charge) last = reading;
  }
  return pieces;
}

/** Seconds it stayed up after the gauge read 0 %; null where that was not read. */
export function belowZeroS(test: TestFlight): number | null {
  const zero = readingsOf(test).find(({ charge }) => charge <= 0);
  return zero && zero.timeS < test.durationS ? test.durationS - zero.timeS : null;
}

/** A sign of the aircraft at another charge than its spec sheet says. */
export interface SheetFinding {
  readonly kind: SignKind;
  readonly field: 'lowWarningCharge' | 'forcedLandingCharge' | 'ownCallMarginCharge';
  /** The gauge as the sign came. */
  readonly signCharge: number;
  /** What the field would be by that: the same, or the margin of its own call. */
  readonly readCharge: number;
  readonly sheetCharge: number;
  /** Whether the sheet says so, or it was assumed. */
  readonly isAssumed: boolean;
}

const sheetFields = { 'low-warning': 'lowWarningCharge', 'forced-landing': 'forcedLandingCharge' } as const;
/** Gauges show whole per cent, so one is no difference. */
const sameCharge = 0.0101;

/** Where the signs of a flight differ from the spec sheet by more than a per cent of the gauge. */
export function sheetFindings(test: TestFlight, aircraft: Aircraft): SheetFinding[] {
  return (test.checkpoints ?? []).flatMap(({ kind, charge: signCharge, timeS }) => {
    if (signCharge == null) return [];
    if (kind === 'low-warning' || kind === 'forced-landing') {
      const field = sheetFields[kind];
      return differing({ kind, field, signCharge, readCharge: signCharge }, spec(aircraft, field), aircraft);
    }
    if (kind !== 'own-return') return [];
    const readCharge = ownCallMargin(test, aircraft, { timeS, charge: signCharge });
    if (readCharge === null) return [];
    const field = 'ownCallMarginCharge';
    const sheet = aircraft[field] ?? ownCallPriors[field].value;
    return differing({ kind, field, signCharge, readCharge }, sheet, aircraft);
  });
}

function differing(
  found: Omit<SheetFinding, 'sheetCharge' | 'isAssumed'>,
  sheetCharge: number,
  aircraft: Aircraft,
): SheetFinding[] {
  if (Math.abs(found.readCharge - sheetCharge) < sameCharge) return [];
  return [{ ...found, sheetCharge, isAssumed: aircraft[found.field] == null }];
}

/** Flown so near home that the way home is the way down. */
const nearHome: ReadonlySet<TestPattern> = new Set(['low-hover', 'high-hover', 'circle', 'figure-of-eight']);

/**
 * What its own call kept beyond its forced landing and the way down, at the drain there was, in whole per cent of the gauge. Null where
 * it was flown away from home, since how far is not noted, or where the sum is none that a call can keep.
 */
function ownCallMargin(test: TestFlight, aircraft: Aircraft, { timeS, charge }: Reading): number | null {
  const piece = drainPieces(test).find(({ untilS }) => untilS >= timeS);
  if (!piece || !nearHome.has(test.pattern)) return null;
  const downS = test.heightM / spec(aircraft, 'descentSpeedMps') + returnPriors.landingAllowanceS.value;
  const kept = charge - spec(aircraft, 'forcedLandingCharge') - downS * piece.chargePerS;
  const { min, max } = aircraftRanges.ownCallMarginCharge;
  const margin = Math.round(kept * 100) / 100;
  return margin >= min && margin <= max ? margin : null;
}

/** The columns in which flights are compared: gauges in falling order, with the signs where they usually come. */
export const milestones = [
  { charge: 0.5 },
  { kind: 'low-warning' },
  { charge: 0.2 },
  { kind: 'own-return' },
  { charge: 0.1 },
  { charge: 0.05 },
  { charge: 0 },
  { kind: 'motors-out' },
] as const;
export type Milestone = (typeof milestones)[number];

/** When a flight passed a milestone, and its volts there; between two readings it is straight. Null where it did not. */
export function passed(
  test: TestFlight,
  milestone: Milestone,
): { readonly timeS: number; readonly cellVoltageV: number | null } | null {
  const checkpoints = test.checkpoints ?? [];
  if ('kind' in milestone) {
    const sign = checkpoints.find(({ kind }) => kind === milestone.kind);
    return sign ? { timeS: sign.timeS, cellVoltageV: sign.cellVoltageV ?? null } : null;
  }
  const readings = readingsOf(test);
  const after = readings.findIndex(({ charge }) => charge <= milestone.charge);
  const [before, at] = [readings[after - 1], readings[after]];
  if (!before || !at) return null;
  const share = (before.charge - milestone.charge) / (before.charge - at.charge);
  const exact = checkpoints.find(({ charge }) => charge === milestone.charge);
  return {
    timeS: before.timeS + share * (at.timeS - before.timeS),
    cellVoltageV: exact?.cellVoltageV ?? null,
  };
}

/** Below this a landing wears the pack (assumed; common practice names 10 to 20 %). */
export const lowLandingCharge = 0.15;

export function isLowLanding({ endCharge }: Pick<TestFlight, 'endCharge'>): boolean {
  return endCharge < lowLandingCharge;
}
