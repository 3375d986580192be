import { loadAt, type Pack, type PackLoad, type PackState } from '../battery/pack';
import { warmedC } from '../battery/thermal';

/** A moment of a flight under load. */
export type FlightPoint = PackState & PackLoad;

/** A whole drain at constant power: moments in order of falling charge, the last one where the motors stop. */
export type DrainCurve = readonly FlightPoint[];

const chargeStep = 0.01;
/** How finely the moment is sought at which the cell falls under 3.0 V: a hundredth of a step. */
const finestStep = 0.0001;

/**
 * Drains a pack at constant power from a state until it can give no more, in steps of charge rather than of time:
 * dt/dcharge = −Q(T)/I. So the number of steps is bounded by the charge whatever the power. Midpoint rule; the pack's
 * temperature is solved exactly within a step. Empty when the pack cannot even start.
 */
export function drain(pack: Pack, powerW: number, airC: number, start: PackState): DrainCurve {
  const curve: FlightPoint[] = [];
  let point = underLoad(pack, powerW, start);
  let longestStep = chargeStep;
  while (point) {
    curve.push(point);
    if (point.charge <= 0) break;
    let next = drainStep(pack, powerW, airC, point, Math.min(longestStep, stepToGrid(point.charge)));
    while (!next && longestStep > finestStep) {
      longestStep /= 2;
      next = drainStep(pack, powerW, airC, point, Math.min(longestStep, stepToGrid(point.charge)));
    }
    point = next;
  }
  return curve;
}

/** Down to the next whole percent: keeps the steps on the nodes of the rest-voltage table, so none straddles a kink. */
function stepToGrid(charge: number): number {
  return charge - (Math.ceil(charge / chargeStep - 1e-9) - 1) * chargeStep;
}

function underLoad(pack: Pack, powerW: number, state: PackState): FlightPoint | null {
  const load = loadAt(pack, powerW, state.charge, state.temperatureC);
  if (!load) return null;
  return {
    timeS: state.timeS,
    charge: state.charge,
    temperatureC: state.temperatureC,
    currentA: load.currentA,
    cellVoltageV: load.cellVoltageV,
    heatW: load.heatW,
  };
}

function drainStep(
  pack: Pack,
  powerW: number,
  airC: number,
  from: FlightPoint,
  step: number,
): FlightPoint | null {
  const halfS = ((step / 2) * 3600 * pack.capacityAh(from.temperatureC)) / from.currentA;
  const halfC = warmedC(pack.thermals, from.temperatureC, airC, from.heatW, halfS);
  const middle = loadAt(pack, powerW, from.charge - step / 2, halfC);
  if (!middle) return null;
  const durationS = (step * 3600 * pack.capacityAh(halfC)) / middle.currentA;
  return underLoad(pack, powerW, {
    timeS: from.timeS + durationS,
    charge: from.charge - step,
    temperatureC: warmedC(pack.thermals, from.temperatureC, airC, middle.heatW, durationS),
  });
}

/** A stretch of flight at one power. */
export interface PowerLeg {
  readonly powerW: number;
  readonly durationS: number;
}

const longestTimeStepS = 15;

/**
 * Flies legs one after the other from a state. Null when the pack gives out on the way.
 * Midpoint rule in steps of at most 15 s; at most 400 steps a leg.
 */
export function flyLegs(
  pack: Pack,
  legs: readonly PowerLeg[],
  airC: number,
  start: PackState,
): PackState | null {
  let state: PackState | null = start;
  for (const leg of legs) {
    const steps = Math.min(400, Math.ceil(leg.durationS / longestTimeStepS));
    for (let i = 0; i < steps && state; i++) {
      state = timeStep(pack, leg.powerW, airC, state, leg.durationS / steps);
    }
  }
  return state;
}

function timeStep(
  pack: Pack,
  powerW: number,
  airC: number,
  from: PackState,
  durationS: number,
): PackState | null {
  const before = loadAt(pack, powerW, from.charge, from.temperatureC);
  if (!before) return null;
  const hours = durationS / 3600;
  const halfC = warmedC(pack.thermals, from.temperatureC, airC, before.heatW, durationS / 2);
  const middle = loadAt(
    pack,
    powerW,
    from.charge - (before.currentA * hours) / 2 / pack.capacityAh(from.temperatureC),
    halfC,
  );
  if (!middle) return null;
  const charge = from.charge - (middle.currentA * hours) / pack.capacityAh(halfC);
  if (!(charge >= 0)) return null;
  return {
    timeS: from.timeS + durationS,
    charge,
    temperatureC: warmedC(pack.thermals, from.temperatureC, airC, middle.heatW, durationS),
  };
}

/** The moment a drain passes a cell charge, straight between its points; the last point when it never gets there. */
export function momentAtCharge(curve: DrainCurve, charge: number): FlightPoint {
  const first = curve[0];
  if (!first) throw new RangeError('An empty drain has no moments.');
  const after = curve.findIndex((point) => point.charge <= charge);
  if (after === 0) return first;
  if (after < 0) return curve[curve.length - 1] as FlightPoint;
  return between(curve[after - 1] as FlightPoint, curve[after] as FlightPoint, (p) => p.charge, charge);
}

/** The moment a drain reaches a time; its end when it does not last that long. */
export function momentAtTime(curve: DrainCurve, timeS: number): FlightPoint {
  const first = curve[0];
  if (!first) throw new RangeError('An empty drain has no moments.');
  const after = curve.findIndex((point) => point.timeS >= timeS);
  if (after === 0) return first;
  if (after < 0) return curve[curve.length - 1] as FlightPoint;
  return between(curve[after - 1] as FlightPoint, curve[after] as FlightPoint, (p) => p.timeS, timeS);
}

function between(a: FlightPoint, b: FlightPoint, key: (p: FlightPoint) => number, at: number): FlightPoint {
  const share = (at - key(a)) / (key(b) - key(a));
  const mix = (from: number, to: number) => from + (to - from) * share;
  return {
    timeS: mix(a.timeS, b.timeS),
    charge: mix(a.charge, b.charge),
    temperatureC: mix(a.temperatureC, b.temperatureC),
    cellVoltageV: mix(a.cellVoltageV, b.cellVoltageV),
    currentA: mix(a.currentA, b.currentA),
    heatW: mix(a.heatW, b.heatW),
  };
}
