import { type CellState, type Cells, capacityAh, cellHeatW, currentA } from '../battery/cells';
import { warmedC } from '../battery/thermal';
import { type DrainCurve, drain, emptyCurve, note } from './drain';

/** A stretch of flight at one power. One that lasts for ever is flown until the pack is empty. */
export interface PowerLeg {
  readonly powerW: number;
  readonly durationS: number;
}

const longestStepS = 30;
/** How finely the moment is sought at which the pack gives out between two steps. */
const finestStepS = 0.1;

/** Mean power of legs in W, by their duration. */
export function meanPowerW(legs: readonly PowerLeg[]): number {
  if (legs.length === 1) return (legs[0] as PowerLeg).powerW;
  const totalS = legs.reduce((sum, leg) => sum + leg.durationS, 0);
  return legs.reduce((sum, leg) => sum + leg.powerW * leg.durationS, 0) / totalS;
}

/**
 * Flies legs one after the other from a state. Null when the pack gives out on the way.
 * Midpoint rule in steps of at most 30 s; at most 400 steps a leg.
 */
export function flyLegs(
  cells: Cells,
  legs: readonly PowerLeg[],
  airC: number,
  start: CellState,
): CellState | null {
  let state: CellState | null = start;
  for (const { powerW, durationS } of legs) {
    if (durationS > 0 && state) state = flyFor(cells, powerW, durationS, airC, state);
  }
  return state;
}

/** Flies one power for a time from a state; null when the pack gives out before. */
function flyFor(
  cells: Cells,
  powerW: number,
  durationS: number,
  airC: number,
  start: CellState,
): CellState | null {
  const steps = Math.min(400, Math.ceil(durationS / longestStepS));
  const stepS = durationS / steps;
  let { charge, temperatureC } = start;
  for (let i = 0; i < steps; i++) {
    const beforeA = currentA(cells, powerW, charge, temperatureC);
    const heatW = cellHeatW(cells, powerW, charge, beforeA);
    const halfC = warmedC(cells.thermals, temperatureC, airC, heatW, stepS / 2);
    const halfCharge = charge - (beforeA * stepS) / 7200 / capacityAh(cells, temperatureC);
    const middleA = currentA(cells, powerW, halfCharge, halfC);
    const endCharge = charge - (middleA * stepS) / 3600 / capacityAh(cells, halfC);
    if (beforeA === 0 || middleA === 0 || !(endCharge >= 0)) return null;
    const middleHeatW = cellHeatW(cells, powerW, halfCharge, middleA);
    temperatureC = warmedC(cells.thermals, temperatureC, airC, middleHeatW, stepS);
    charge = endCharge;
  }
  return { timeS: start.timeS + durationS, charge, temperatureC };
}

/**
 * Flies a round of legs again and again until the pack can give no more: the whole curve, as `drain` gives it for one
 * power. A single leg is drained in steps of charge. Each step takes some charge, so the number of steps is bounded.
 */
export function flyRounds(
  cells: Cells,
  round: readonly PowerLeg[],
  airC: number,
  start: CellState,
): DrainCurve {
  const only = round.length === 1 ? round[0] : undefined;
  if (only) return drain(cells, only.powerW, airC, start);
  const curve = emptyCurve();
  let state: CellState | null = start;
  while (state) {
    for (const leg of round) state = state && flyOneLeg(cells, leg, airC, state, curve);
  }
  return curve;
}

/** Flies a leg and notes each step; null when the pack gives out, the last note then being where it did. */
function flyOneLeg(
  cells: Cells,
  leg: PowerLeg,
  airC: number,
  start: CellState,
  curve: DrainCurve,
): CellState | null {
  if (currentA(cells, leg.powerW, start.charge, start.temperatureC) === 0) return null;
  const last = curve.powerW.length - 1;
  if (last < 0) note(curve, start.timeS, start.charge, start.temperatureC, leg.powerW);
  else curve.powerW[last] = leg.powerW;
  let state = start;
  let leftS = leg.durationS;
  let stepS = longestStepS;
  while (leftS > 1e-9) {
    const next = flyFor(cells, leg.powerW, Math.min(stepS, leftS), airC, state);
    if (next && currentA(cells, leg.powerW, next.charge, next.temperatureC) > 0) {
      note(curve, next.timeS, next.charge, next.temperatureC, leg.powerW);
      leftS -= Math.min(stepS, leftS);
      state = next;
    } else if (stepS > finestStepS) stepS /= 2;
    else return null;
  }
  return state;
}
