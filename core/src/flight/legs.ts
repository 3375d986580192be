import { capacityAh, currentA, type Pack, type PackState, packHeatW } from '../battery/pack';
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
  pack: Pack,
  legs: readonly PowerLeg[],
  airC: number,
  start: PackState,
): PackState | null {
  let state: PackState | null = start;
  for (const { powerW, durationS } of legs) {
    if (durationS > 0 && state) state = flyFor(pack, powerW, durationS, airC, state);
  }
  return state;
}

/** Flies one power for a time from a state; null when the pack gives out before. */
function flyFor(
  pack: Pack,
  powerW: number,
  durationS: number,
  airC: number,
  start: PackState,
): PackState | null {
  const steps = Math.min(400, Math.ceil(durationS / longestStepS));
  const stepS = durationS / steps;
  let { charge, temperatureC } = start;
  for (let i = 0; i < steps; i++) {
    const beforeA = currentA(pack, powerW, charge, temperatureC);
    const heatW = packHeatW(pack, powerW, charge, beforeA);
    const halfC = warmedC(pack.thermals, temperatureC, airC, heatW, stepS / 2);
    const halfCharge = charge - (beforeA * stepS) / 7200 / capacityAh(pack, temperatureC);
    const middleA = currentA(pack, powerW, halfCharge, halfC);
    const endCharge = charge - (middleA * stepS) / 3600 / capacityAh(pack, halfC);
    if (beforeA === 0 || middleA === 0 || !(endCharge >= 0)) return null;
    const middleHeatW = packHeatW(pack, powerW, halfCharge, middleA);
    temperatureC = warmedC(pack.thermals, temperatureC, airC, middleHeatW, stepS);
    charge = endCharge;
  }
  return { timeS: start.timeS + durationS, charge, temperatureC };
}

/**
 * Flies a round of legs again and again until the pack can give no more: the whole curve, as `drain` gives it for one
 * power. A single leg is drained in steps of charge. Each step takes some charge, so the number of steps is bounded.
 */
export function flyRounds(
  pack: Pack,
  round: readonly PowerLeg[],
  airC: number,
  start: PackState,
): DrainCurve {
  const only = round.length === 1 ? round[0] : undefined;
  if (only) return drain(pack, only.powerW, airC, start);
  const curve = emptyCurve();
  let state: PackState | null = start;
  while (state) {
    for (const leg of round) state = state && flyOneLeg(pack, leg, airC, state, curve);
  }
  return curve;
}

/** Flies a leg and notes each step; null when the pack gives out, the last note then being where it did. */
function flyOneLeg(
  pack: Pack,
  leg: PowerLeg,
  airC: number,
  start: PackState,
  curve: DrainCurve,
): PackState | null {
  if (currentA(pack, leg.powerW, start.charge, start.temperatureC) === 0) return null;
  const last = curve.powerW.length - 1;
  if (last < 0) note(curve, start.timeS, start.charge, start.temperatureC, leg.powerW);
  else curve.powerW[last] = leg.powerW;
  let state = start;
  let leftS = leg.durationS;
  let stepS = longestStepS;
  while (leftS > 1e-9) {
    const next = flyFor(pack, leg.powerW, Math.min(stepS, leftS), airC, state);
    if (next && currentA(pack, leg.powerW, next.charge, next.temperatureC) > 0) {
      note(curve, next.timeS, next.charge, next.temperatureC, leg.powerW);
      leftS -= Math.min(stepS, leftS);
      state = next;
    } else if (stepS > finestStepS) stepS /= 2;
    else return null;
  }
  return state;
}
