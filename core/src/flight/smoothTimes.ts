import { type Cells, capacityAh, loadCurrentA } from '../battery/cells';
import type { DrainCurve } from './drain';

/**
 * When a drain passes some cell charges, s: cubic Hermite pieces through its points, since the slope dt/dcharge = −Q/I is
 * known at both ends of a step (Fritsch & Carlson, SIAM J. Numer. Anal. 1980, for the form); straight on beyond either end. So
 * it is smooth in whatever the drain depends on, also for a charge that is never reached: what is fitted to it always has
 * a slope to follow. NaN for a drain that never began.
 */
export function smoothTimesAt(curve: DrainCurve, cells: Cells, charges: readonly number[]): number[] {
  const last = curve.timeS.length - 1;
  return charges.map((wanted) => {
    if (last < 1) return Number.NaN;
    const next = curve.charge.findIndex((charge, i) => i > 0 && charge <= wanted);
    const after = next < 0 ? last : next;
    const before = after - 1;
    const [q0, q1] = [curve.charge[before] as number, curve.charge[after] as number];
    const [t0, t1] = [curve.timeS[before] as number, curve.timeS[after] as number];
    const powerW = curve.powerW[before] as number;
    const slopeAt = (i: number) =>
      secondsPerCharge(cells, powerW, curve.charge[i] as number, curve.temperatureC[i] as number);
    if (wanted > q0) return t0 + slopeAt(before) * (wanted - q0);
    if (wanted < q1) return t1 + slopeAt(after) * (wanted - q1);
    const step = q1 - q0;
    const x = (wanted - q0) / step;
    const [away, back] = [step * slopeAt(before), step * slopeAt(after)];
    const bend = x * (1 - x);
    return t0 + (t1 - t0) * (x * x * (3 - 2 * x)) + bend * (away * (1 - x) - back * x);
  });
}

/** dt/dcharge, s; below zero, since charge falls. */
function secondsPerCharge(cells: Cells, powerW: number, charge: number, temperatureC: number): number {
  return (-3600 * capacityAh(cells, temperatureC)) / loadCurrentA(cells, powerW, charge, temperatureC);
}
