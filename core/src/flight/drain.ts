import {
  type CellState,
  type Cells,
  capacityAh,
  cellHeatW,
  cellVoltageV,
  currentA,
  emptyCellVoltageV,
  loadCurrentA,
} from '../battery/cells';
import { warmedC } from '../battery/thermal';

/**
 * A whole drain by falling charge, the last moment where the motors stop; one list for each quantity. Charge is the
 * cell's own, 0–1. Power is what is drawn from that moment on.
 */
export interface DrainCurve {
  readonly timeS: number[];
  readonly charge: number[];
  readonly temperatureC: number[];
  readonly powerW: number[];
}

/**
 * Some twenty steps for a whole pack; the error of the time stays within a few hundredths of a per cent, because the
 * steps fall on the kinks of the rest-voltage table (held to a general solver in flight.test and `npm run bench`).
 */
const chargeStep = 0.1;
const lowChargeStep = 0.05;
/** A pack that warms by more in half a step takes a shorter one, since its resistance changes with it: a cold one at lift-off. */
const maxWarmingK = 3;
/** How finely the moment is sought at which the cell falls under 3.0 V. */
const finestStep = 0.0001;

/**
 * Drains a pack at constant power from a state until it can give no more, in steps of charge rather than of time:
 * dt/dcharge = −Q(T)/I. So the number of steps is bounded by the charge whatever the power. Midpoint rule; the pack's
 * temperature is solved exactly within a step. Empty when the pack cannot even start.
 */
export function drain(cells: Cells, powerW: number, airC: number, start: CellState): DrainCurve {
  const curve = emptyCurve();
  requireCellCharge(start.charge);
  let { timeS, charge, temperatureC } = start;
  let ampere = currentA(cells, powerW, charge, temperatureC);
  const emptyA = powerW / (emptyCellVoltageV * cells.cellCount);
  if (ampere === 0) return curve;
  note(curve, timeS, charge, temperatureC, powerW);
  let longestStep = chargeStep;
  while (charge > 0 && longestStep > finestStep) {
    let step = Math.min(longestStep, stepToGrid(charge));
    let halfS = ((step / 2) * 3600 * capacityAh(cells, temperatureC)) / ampere;
    const heatW = cellHeatW(cells, powerW, charge, ampere);
    let halfC = warmedC(cells.thermals, temperatureC, airC, heatW, halfS);
    const warmingK = Math.abs(halfC - temperatureC);
    if (warmingK > maxWarmingK) {
      step *= maxWarmingK / warmingK;
      halfS *= maxWarmingK / warmingK;
      halfC = warmedC(cells.thermals, temperatureC, airC, heatW, halfS);
    }
    const middleA = loadCurrentA(cells, powerW, charge - step / 2, halfC);
    const durationS = middleA > 0 ? (step * 3600 * capacityAh(cells, halfC)) / middleA : 0;
    const middleHeatW = cellHeatW(cells, powerW, charge - step / 2, middleA);
    const endC = warmedC(cells.thermals, temperatureC, airC, middleHeatW, durationS);
    const endA = middleA > 0 ? loadCurrentA(cells, powerW, charge - step, endC) : 0;
    if (endA > emptyA || endA === 0) {
      longestStep = step * shareUntilEmpty(ampere, endA, emptyA);
      continue;
    }
    timeS += durationS;
    charge -= step;
    temperatureC = endC;
    ampere = endA;
    note(curve, timeS, charge, temperatureC, powerW);
  }
  return curve;
}

/** The steps of a drain are bounded by the charge it begins with, so no more than there can be is drained. */
export function requireCellCharge(charge: number): void {
  if (!(charge <= 1 + 1e-9)) throw new RangeError(`A cell holds from 0 to 1 of its charge, not ${charge}.`);
}

/**
 * How much of a step it takes until the current reaches that of an empty cell, by straight line; half of it where the
 * cell cannot give the power at all. Never nothing and never all, so that the search goes on and ends.
 */
function shareUntilEmpty(startA: number, endA: number, emptyA: number): number {
  if (endA === 0) return 0.5;
  return Math.min(0.9, Math.max(0.1, (emptyA - startA) / (endA - startA)));
}

/** Down to the next node of the rest-voltage table: so that no step straddles a kink. */
function stepToGrid(charge: number): number {
  const grid = charge > chargeStep + 1e-9 ? chargeStep : lowChargeStep;
  return charge - (Math.ceil(charge / grid - 1e-9) - 1) * grid;
}

export function emptyCurve(): DrainCurve {
  return { timeS: [], charge: [], temperatureC: [], powerW: [] };
}

export function note(
  curve: DrainCurve,
  timeS: number,
  charge: number,
  temperatureC: number,
  powerW: number,
): void {
  curve.timeS.push(timeS);
  curve.charge.push(charge);
  curve.temperatureC.push(temperatureC);
  curve.powerW.push(powerW);
}

/** Where the motors stop; null for a drain that never began. */
export function endOf(curve: DrainCurve): CellState | null {
  const last = curve.timeS.length - 1;
  return last < 0 ? null : moment(curve, last);
}

/** When a drain passes each of some falling cell charges; its first or last moment for those it never passes. */
export function timesAtCharges({ timeS, charge }: DrainCurve, fallingCharges: readonly number[]): number[] {
  let after = Math.min(1, timeS.length - 1);
  return fallingCharges.map((wanted) => {
    while (after < timeS.length - 1 && (charge[after] as number) > wanted) after++;
    const before = Math.max(0, after - 1);
    const [q0, q1] = [charge[before] as number, charge[after] as number];
    const [t0, t1] = [timeS[before] as number, timeS[after] as number];
    const share = q0 === q1 ? 0 : Math.min(1, Math.max(0, (q0 - wanted) / (q0 - q1)));
    return t0 + (t1 - t0) * share;
  });
}

/** The moment a drain passes a cell charge, straight between its points; the last point when it never gets there. */
export function momentAtCharge(curve: DrainCurve, charge: number): CellState {
  const after = indexAtCharge(curve, charge);
  if (after === 0) return moment(curve, 0);
  if (after === curve.charge.length) return moment(curve, after - 1);
  const [a, b] = [moment(curve, after - 1), moment(curve, after)];
  const share = (a.charge - charge) / (a.charge - b.charge);
  return {
    timeS: a.timeS + (b.timeS - a.timeS) * share,
    charge,
    temperatureC: a.temperatureC + (b.temperatureC - a.temperatureC) * share,
  };
}

/** The first point of a drain at which a cell under load is down to some volts; null where none is. */
export function momentAtVolts(cells: Cells, curve: DrainCurve, volts: number): CellState | null {
  const index = curve.charge.findIndex((charge, i) => {
    const [powerW, temperatureC] = [curve.powerW[i], curve.temperatureC[i]] as [number, number];
    return cellVoltageV(cells, powerW, charge, temperatureC) <= volts;
  });
  return index < 0 ? null : moment(curve, index);
}

/** What is drawn when a drain passes a cell charge, W. */
export function powerAtCharge(curve: DrainCurve, charge: number): number {
  return curve.powerW[Math.max(0, indexAtCharge(curve, charge) - 1)] as number;
}

/** The first point at or below a charge; one past the end when there is none. */
function indexAtCharge(curve: DrainCurve, charge: number): number {
  if (curve.charge.length === 0) throw new RangeError('An empty drain has no moments.');
  let index = 0;
  while (index < curve.charge.length && (curve.charge[index] as number) > charge) index++;
  return index;
}

function moment(curve: DrainCurve, index: number): CellState {
  return {
    timeS: curve.timeS[index] as number,
    charge: curve.charge[index] as number,
    temperatureC: curve.temperatureC[index] as number,
  };
}

/** The moment of a drain at a time, straight between its points; the last point beyond them. */
export function momentAtTime(curve: DrainCurve, timeS: number): CellState {
  const after = curve.timeS.findIndex((one) => one >= timeS);
  const last = curve.timeS.length - 1;
  const at = after < 0 ? last : after;
  const [t0, t1] = [curve.timeS[Math.max(0, at - 1)] as number, curve.timeS[at] as number];
  const [q0, q1] = [curve.charge[Math.max(0, at - 1)] as number, curve.charge[at] as number];
  const share = t1 > t0 ? Math.min(1, (timeS - t0) / (t1 - t0)) : 0;
  return momentAtCharge(curve, q0 + (q1 - q0) * share);
}
