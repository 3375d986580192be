import type { Atmosphere } from '../air/conditions';
import { laden } from '../aircraft/airframe';
import type { Battery } from '../battery/battery';
import { cellsOf } from '../battery/cells';
import { cellChargeOf, gaugeOf } from '../battery/gauge';
import { accessoriesKg, otherPackKg } from '../belief/flightContext';
import { asSold, boxDensityKgm3, boxTemperatureC, newBattery } from '../flight/box';
import type { PowerLeg } from '../flight/bundles';
import { momentAtCharge } from '../flight/drain';
import { flyRounds } from '../flight/legs';
import { steady } from '../flight/moving';
import { stylePowerW } from '../flight/powertrain';
import { roundToSum } from '../statistics/roundToSum';
import { shapleyValues } from '../statistics/shapley';
import { writeInSi } from '../units/sentence';
import type { EstimateRequest } from './request';
import { flownRound, type Simulation } from './simulate';

/** The physical causes, in the order they are shown; then what the pilot keeps. */
export const physicalCauses = [
  'own-aircraft',
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
export type Cause = PhysicalCause | 'held-back' | 'way-home' | 'doubt';

export interface LedgerLine {
  readonly cause: Cause;
  readonly seconds: number;
}

/**
 * From the minutes on the box to those of the middle flight, cause by cause. Each physical cause gets its Shapley value over
 * all orders of switching the causes on, so none depends on an order; what is held back and the way home come last.
 * The box plus all lines is the usable time, to the second. Signs may be either. Where flights taught something, `boxed` is
 * the same flight as the box alone has it, and what they taught of this very aircraft and pack is a cause like the others.
 */
export function ledger(
  request: EstimateRequest,
  simulation: Simulation,
  boxed: Simulation | null = null,
): LedgerLine[] {
  const isAtWork = {
    'own-aircraft': boxed !== null,
    'other-pack': flownWithOtherPack(request),
  } as Partial<Record<PhysicalCause, boolean>>;
  const causes = physicalCauses.filter((cause) => isAtWork[cause] ?? true);
  const enduranceS = enduranceWith(causes, request, simulation, boxed ?? simulation);
  const boxS = request.aircraft.advertisedFlightTimeS;
  // A box whose two times contradict each other was solved for the thirstier: what that takes belongs to the style.
  const contradictionS = enduranceS(0) - boxS;
  const physical = shapleyValues(causes.length, enduranceS).map((seconds, i) =>
    causes[i] === 'style' ? seconds + contradictionS : seconds,
  );
  const { turnBack, touchdown } = simulation.end;
  const untilEmptyS = boxS + physical.reduce((a, b) => a + b, 0);
  const untilReserveS = momentAtCharge(simulation.curve, touchdown.charge).timeS;
  const parts = [...physical, untilReserveS - untilEmptyS, turnBack.timeS - untilReserveS];
  const seconds = roundToSum(parts, Math.round(turnBack.timeS) - boxS);
  return [...causes, 'held-back' as const, 'way-home' as const].map((cause, i) => ({
    cause,
    seconds: seconds[i] as number,
  }));
}

/**
 * The ledger led on to the minutes to plan on: what is kept for doubt is its last line, so box and lines make the planned
 * minutes to the second.
 */
export function withDoubt(
  lines: readonly LedgerLine[],
  boxS: number,
  plannedS: number,
): readonly LedgerLine[] {
  const middleS = lines.reduce((sum, { seconds }) => sum + seconds, boxS);
  return [...lines, { cause: 'doubt', seconds: Math.round(plannedS) - middleS }];
}

function flownWithOtherPack({ aircraft, battery }: EstimateRequest): boolean {
  return (
    aircraft.advertisedCapacityMah != null && aircraft.advertisedCapacityMah !== battery.ratedCapacityMah
  );
}

/**
 * Time to gauge 0 % (to motors out while nothing is hidden) with only some causes at work, the others as on the box.
 * Causes are the bits of `present`, in their order; what a drain shares with others is computed once.
 */
function enduranceWith(
  causes: readonly PhysicalCause[],
  request: EstimateRequest,
  simulation: Simulation,
  boxed: Simulation,
): (present: number) => number {
  const bits = (...wanted: PhysicalCause[]) =>
    causes.reduce((mask, cause, i) => (wanted.includes(cause) ? mask | (1 << i) : mask), 0);
  const [style, thin, wind] = [bits('style'), bits('air'), bits('wind')];
  const [wear, other, cold] = [bits('wear'), bits('other-pack'), bits('temperature')];
  const [notFull, hidden, own] = [bits('not-full'), bits('hidden'), bits('own-aircraft')];
  const { airC } = simulation;
  const held = (on: number) => (on & own ? simulation : boxed);
  const roundWith = remember(own | style | thin | wind | other, (on) =>
    roundOf(request, held(on), {
      style: (on & style) > 0,
      thin: (on & thin) > 0,
      wind: (on & wind) > 0,
      other: (on & other) > 0,
    }),
  );
  const cellsWith = remember(own | wear | other, (on) =>
    cellsOf(
      batteryWith(request, { worn: (on & wear) > 0, other: (on & other) > 0 }),
      on & wear ? held(on).health : asSold,
      request.aircraft.hiddenCharge ?? null,
      held(on).coefficients,
    ),
  );
  const curveWith = remember(~hidden, (on) => {
    const cells = cellsWith(on);
    const { takeoff } = held(on);
    const atTakeoff = gaugeOf(takeoff.charge, held(on).cells.hidden);
    return flyRounds(cells, roundWith(on), on & cold ? airC : boxTemperatureC, {
      timeS: 0,
      charge: on & notFull ? cellChargeOf(atTakeoff, cells.hidden) : 1,
      temperatureC: on & cold ? (request.battery.startTemperatureC ?? airC) : boxTemperatureC,
    });
  });
  return (present) => {
    const curve = curveWith(present);
    if (curve.timeS.length === 0) return 0;
    return momentAtCharge(curve, present & hidden ? held(present).cells.hidden : 0).timeS;
  };
}

interface PackCauses {
  readonly worn: boolean;
  readonly other: boolean;
}

function batteryWith({ aircraft, battery }: EstimateRequest, on: PackCauses): Battery {
  const aged = on.worn ? battery : newBattery(battery);
  if (on.other) return aged;
  return { ...aged, ratedCapacityMah: aircraft.advertisedCapacityMah ?? battery.ratedCapacityMah };
}

interface PowerCauses {
  readonly style: boolean;
  readonly thin: boolean;
  readonly wind: boolean;
  readonly other: boolean;
}

function roundOf(
  { aircraft, battery, flight }: EstimateRequest,
  simulation: Simulation,
  on: PowerCauses,
): readonly PowerLeg[] {
  const { atmosphere, boxPowertrain } = simulation;
  // What hangs on it is of how it is flown; what another pack weighs, of that pack.
  const carriedKg =
    (on.style ? accessoriesKg({ aircraft, flight }) : 0) +
    (on.other ? otherPackKg({ aircraft, battery }) : 0);
  const powertrain = {
    ...boxPowertrain,
    airframe: laden(boxPowertrain.airframe, carriedKg),
    unsteadiness: on.style ? simulation.powertrain.unsteadiness : steady,
  };
  const air: Atmosphere = (heightM) => {
    const there = atmosphere(heightM);
    return {
      ...there,
      densityKgm3: on.thin ? there.densityKgm3 : boxDensityKgm3,
      windMps: on.wind ? there.windMps : 0,
      windDeviationMps: on.wind ? there.windDeviationMps : 0,
    };
  };
  if (on.style) {
    const round = flownRound({ ...simulation, powertrain, atmosphere: air }, flight);
    if (!round.ok) throw new Error(writeInSi(round.refusal));
    return round.value;
  }
  const cruise = {
    stretches: [{ airspeedMps: aircraft.advertisedSpeedMps, turningMps: 0, share: 1 }],
    reversalSpeedMps: 0,
    reversalsPerMin: 0,
    circleRadiusM: null,
    heldGroundMps: null,
    powerRatio: 1,
  };
  const powerW = stylePowerW(powertrain, air(flight.heightM), cruise, 0);
  return [{ powerW, durationS: Number.POSITIVE_INFINITY }];
}

/** A function of some bits, computed once for each pattern of them. */
function remember<Value>(mask: number, f: (on: number) => Value): (on: number) => Value {
  const known = new Map<number, Value>();
  return (on) => {
    const key = on & mask;
    const value = known.get(key) ?? f(key);
    known.set(key, value);
    return value;
  };
}
