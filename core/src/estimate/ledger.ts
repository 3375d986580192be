import type { AirAtHeight } from '../air/conditions';
import type { Battery } from '../battery/battery';
import { cellChargeOf } from '../battery/gauge';
import { packOf } from '../battery/pack';
import { boxDensityKgm3, boxTemperatureC, newBattery } from '../flight/box';
import { drain, momentAtCharge } from '../flight/drain';
import { mixPowerW } from '../flight/mix';
import { stylePowerW } from '../flight/powertrain';
import { roundToSum } from '../statistics/roundToSum';
import { shapleyValues } from '../statistics/shapley';
import type { Reckoning } from './reckon';
import type { Coefficients, EstimateRequest } from './request';

/** The physical causes, in the order they are shown; then what the pilot keeps. */
export const physicalCauses = [
  'other-pack',
  'style',
  'air',
  'temperature',
  'wind',
  'wear',
  'not-full',
  'hidden',
] as const;
export type PhysicalCause = (typeof physicalCauses)[number];
export type Cause = PhysicalCause | 'held-back' | 'way-home';

export interface LedgerLine {
  readonly cause: Cause;
  readonly seconds: number;
}

/**
 * From the minutes on the box to the minutes to spend, cause by cause. Each physical cause gets its Shapley value over
 * all orders of switching the causes on, so none depends on an order; what is held back and the way home come last.
 * The box plus all lines is the usable time, to the second. Signs may be either.
 */
export function ledger(
  request: EstimateRequest,
  reckoning: Reckoning,
  coefficients: Coefficients,
): LedgerLine[] {
  const causes = physicalCauses.filter((cause) => cause !== 'other-pack' || flownWithOtherPack(request));
  const enduranceS = enduranceWith(request, reckoning, coefficients);
  const physical = shapleyValues(causes.length, (present) =>
    enduranceS(new Set(causes.filter((_, i) => present & (1 << i)))),
  );
  const boxS = request.aircraft.advertisedFlightTimeS;
  const { turnBack, touchdown } = reckoning.end;
  const untilEmptyS = boxS + physical.reduce((a, b) => a + b, 0);
  const untilReserveS = momentAtCharge(reckoning.curve, touchdown.charge).timeS;
  const parts = [...physical, untilReserveS - untilEmptyS, turnBack.timeS - untilReserveS];
  const seconds = roundToSum(parts, Math.round(turnBack.timeS) - boxS);
  return [...causes, 'held-back' as const, 'way-home' as const].map((cause, i) => ({
    cause,
    seconds: seconds[i] as number,
  }));
}

function flownWithOtherPack({ aircraft, battery }: EstimateRequest): boolean {
  return (
    aircraft.advertisedCapacityMah != null && aircraft.advertisedCapacityMah !== battery.ratedCapacityMah
  );
}

/** Time to gauge 0 % (to motors out while nothing is hidden) with only some causes at work, the others as on the box. */
function enduranceWith(request: EstimateRequest, reckoning: Reckoning, coefficients: Coefficients) {
  const powerW = remember((on: PowerCauses) => powerWith(request, reckoning, on));
  const packWith = remember((on: PackCauses) =>
    packOf(batteryWith(request, on), request.aircraft.hiddenCharge ?? null, coefficients),
  );
  return (causes: ReadonlySet<PhysicalCause>): number => {
    const pack = packWith({ worn: causes.has('wear'), other: causes.has('other-pack') });
    const airC = causes.has('temperature') ? request.conditions.airTemperatureC : boxTemperatureC;
    const packC = causes.has('temperature') ? (request.battery.startTemperatureC ?? airC) : boxTemperatureC;
    const charge = causes.has('not-full') ? cellChargeOf(request.battery.startCharge, pack.hidden) : 1;
    const on = { style: causes.has('style'), thin: causes.has('air'), wind: causes.has('wind') };
    const curve = drain(pack, powerW(on), airC, {
      timeS: 0,
      charge,
      temperatureC: packC,
    });
    if (curve.length === 0) return 0;
    return momentAtCharge(curve, causes.has('hidden') ? pack.hidden : 0).timeS;
  };
}

interface PackCauses {
  readonly worn: boolean;
  readonly other: boolean;
}

function batteryWith({ aircraft, battery }: EstimateRequest, on: PackCauses): Battery {
  const pack = on.worn ? battery : newBattery(battery);
  if (on.other) return pack;
  return { ...pack, ratedCapacityMah: aircraft.advertisedCapacityMah ?? battery.ratedCapacityMah };
}

interface PowerCauses {
  readonly style: boolean;
  readonly thin: boolean;
  readonly wind: boolean;
}

function powerWith(
  { aircraft, flight }: EstimateRequest,
  { powertrain, atmosphere }: Reckoning,
  on: PowerCauses,
): number {
  const there = atmosphere(flight.heightM);
  const air: AirAtHeight = {
    ...there,
    densityKgm3: on.thin ? there.densityKgm3 : boxDensityKgm3,
    windMps: on.wind ? there.windMps : 0,
    windDeviationMps: on.wind ? there.windDeviationMps : 0,
  };
  if (on.style) {
    const power = mixPowerW(aircraft, powertrain, air, flight.mix, flight.recordingLoadW ?? 0);
    if (!power.ok) throw new Error(power.refusal.message);
    return power.value;
  }
  const cruise = {
    airspeedsMps: [aircraft.advertisedSpeedMps],
    reversalSpeedMps: 0,
    reversalsPerMin: 0,
    circleRadiusM: null,
  };
  return stylePowerW(powertrain, air, cruise, 0);
}

function remember<Key, Value>(f: (key: Key) => Value): (key: Key) => Value {
  const known = new Map<string, Value>();
  return (key) => {
    const name = JSON.stringify(key);
    const value = known.get(name) ?? f(key);
    known.set(name, value);
    return value;
  };
}
