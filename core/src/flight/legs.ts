import { type CellState, type Cells, capacityAh, cellHeatW, currentA } from '../battery/cells';
import { openCircuitV } from '../battery/openCircuit';
import { warmedC } from '../battery/thermal';
import { type Bundle, bundled, defaultStepS, meanPowerW, type PowerLeg } from './bundles';
import { type DrainCurve, drain, emptyCurve, note, requireCellCharge } from './drain';

/** How finely the moment is sought at which the pack gives out between two steps. */
const finestStepS = 0.1;

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
  const steps = Math.min(400, Math.ceil(durationS / defaultStepS));
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
 * power. A single leg is drained in steps of charge. What is short against the whole flight is flown together
 * (`flight/bundles`), so that the number of steps is bounded whatever the legs and the pack.
 */
export function flyRounds(
  cells: Cells,
  round: readonly PowerLeg[],
  airC: number,
  start: CellState,
): DrainCurve {
  const only = round.length === 1 ? round[0] : undefined;
  if (only) return drain(cells, only.powerW, airC, start);
  requireCellCharge(start.charge);
  const { bundles, longestStepS } = bundled(round, lastsAboutS(cells, round, start));
  const curve = emptyCurve();
  let state: CellState | null = start;
  while (state) {
    for (const bundle of bundles) state = state && flyBundle(cells, bundle, airC, state, longestStepS, curve);
  }
  return curve;
}

/** About how long the charge lasts at the mean power of a round, s: without what the pack's own resistance takes. */
function lastsAboutS(cells: Cells, round: readonly PowerLeg[], { charge }: CellState): number {
  const openV = cells.cellCount * openCircuitV(cells.restVoltagesV, charge / 2);
  return (charge * cells.warmCapacityAh * openV * 3600) / meanPowerW(round);
}

/** Flies a bundle and notes each step; null when the pack gives out, the last note then being where it did. */
function flyBundle(
  cells: Cells,
  bundle: Bundle,
  airC: number,
  start: CellState,
  longestStepS: number,
  curve: DrainCurve,
): CellState | null {
  const gives = ({ charge, temperatureC }: CellState) =>
    currentA(cells, bundle.peakW, charge, temperatureC) > 0;
  if (!gives(start)) return null;
  const last = curve.powerW.length - 1;
  if (last < 0) note(curve, start.timeS, start.charge, start.temperatureC, bundle.powerW);
  else curve.powerW[last] = bundle.powerW;
  let state = start;
  let leftS = bundle.durationS;
  let stepS = longestStepS;
  while (leftS > 1e-9) {
    const next = flyBundleFor(cells, bundle, Math.min(stepS, leftS), airC, state);
    if (next && gives(next)) {
      note(curve, next.timeS, next.charge, next.temperatureC, bundle.powerW);
      leftS -= Math.min(stepS, leftS);
      state = next;
    } else if (stepS > finestStepS) stepS /= 2;
    else return null;
  }
  return state;
}

/** One step of a bundle: at its one power, or half of the time each at its lower and its higher. */
function flyBundleFor(
  cells: Cells,
  { powerW, deviationW }: Bundle,
  durationS: number,
  airC: number,
  start: CellState,
): CellState | null {
  if (deviationW === 0) return flyFor(cells, powerW, durationS, airC, start);
  const half = flyFor(cells, powerW - deviationW, durationS / 2, airC, start);
  return half && flyFor(cells, powerW + deviationW, durationS / 2, airC, half);
}
