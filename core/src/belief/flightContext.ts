import { atmosphereOver, type Conditions } from '../air/conditions';
import type { Aircraft } from '../aircraft/aircraft';
import { laden } from '../aircraft/airframe';
import type { Battery } from '../battery/battery';
import { type CellState, type Cells, cellsOf } from '../battery/cells';
import { cellChargeOf, gaugeErrorSpread, trueGauge } from '../battery/gauge';
import { packMassKg } from '../battery/packMass';
import { takeoffCharge } from '../battery/selfDischarge';
import { healthOf } from '../battery/wear';
import type { AircraftInAir } from '../flight/aircraftInAir';
import { type HoverTimeFinding, newBattery, type SolvedBox, solveBox } from '../flight/box';
import { unsteadinessOf } from '../flight/moving';
import type { Powertrain } from '../flight/powertrain';
import { type Outcome, success } from '../units/outcome';
import { coefficientsFor, type World } from './belief';
import type { Coefficients } from './priors';

/** Whose flight it is, and in what weather. */
export interface FlightSetup {
  readonly aircraft: Aircraft;
  readonly battery: Battery;
  /** Which battery of the belief it is; one of which nothing was learned where absent. */
  readonly batteryId?: string | null;
  readonly conditions: Conditions;
  /** What hangs on it in this flight, beyond what the aircraft always carries. */
  readonly flight?: { readonly addedMassKg?: number | null };
}

/** The aircraft that the box implies, with what it carries, in the air there is: the same for all batteries of one type. */
export interface SolvedAircraft extends AircraftInAir<Coefficients> {
  /** As on the box: with its own pack, nothing hung on it, and flown steadily. */
  readonly boxPowertrain: Powertrain;
  readonly hoverTimeFinding: HoverTimeFinding | null;
  readonly airC: number;
}

/** What a flight is flown with in one world: aircraft, air, and the pack as it takes off. */
export interface FlightContext extends SolvedAircraft {
  readonly battery: Battery;
  readonly health: number;
  readonly cells: Cells;
  readonly takeoff: CellState;
  /** By how much the gauge of this flight shows too much in the middle of its range, 0–1; 0 in the likeliest world. */
  readonly gaugeErrorCharge: number;
}

/** The one place where a flight is set up, whatever is then asked of it. */
export function flightContext(flown: FlightSetup, world: World, fliesFaster = false): Outcome<FlightContext> {
  const solved = solvedAircraft(flown, world, fliesFaster);
  return solved.ok ? success(withBattery(solved.value, flown, world)) : solved;
}

/** Solves the box, and meets the air. Refused where the box cannot be. */
export function solvedAircraft(
  flown: FlightSetup,
  world: World,
  fliesFaster = false,
): Outcome<SolvedAircraft> {
  const box = solvedBox(flown, world);
  return box.ok ? success(inTheAir(box.value, flown, world, fliesFaster)) : box;
}

/** What the box implies in one world: the same for all flights with one type of battery, whatever the air and their luck. */
export function solvedBox(
  flown: Pick<FlightSetup, 'aircraft' | 'battery'>,
  { coefficients }: World,
): Outcome<SolvedBox> {
  return solveBox(flown.aircraft, soldWith(flown), coefficients);
}

export function inTheAir(
  { powertrain, hoverTimeFinding }: SolvedBox,
  flown: Omit<FlightSetup, 'batteryId'>,
  { coefficients }: World,
  fliesFaster = false,
): SolvedAircraft {
  const boxPowertrain = { ...powertrain, flightRatio: coefficients.flightPowerRatio };
  const { aircraft, conditions } = flown;
  const carriedKg = accessoriesKg(flown) + otherPackKg(flown);
  return {
    aircraft,
    powertrain: {
      ...boxPowertrain,
      airframe: laden(powertrain.airframe, carriedKg),
      unsteadiness: unsteadinessOf(coefficients),
    },
    boxPowertrain,
    atmosphere: atmosphereOver(conditions, coefficients),
    coefficients,
    hoverTimeFinding,
    airC: conditions.airTemperatureC,
    fliesFaster,
  };
}

export function withBattery(
  solved: SolvedAircraft,
  { battery, batteryId }: Pick<FlightSetup, 'battery' | 'batteryId'>,
  world: World,
): FlightContext {
  const coefficients = coefficientsFor(world, batteryId ?? null, battery);
  const health = healthOf(battery, coefficients.healthDeviations);
  const hidden = solved.aircraft.hiddenCharge ?? null;
  const cells = cellsOf(battery, health, hidden, coefficients, coefficients.gaugeBendRatio);
  const startC = battery.startTemperatureC ?? solved.airC;
  const gaugeErrorCharge =
    coefficients.gaugeErrorDeviations * gaugeErrorSpread(battery.cycles ?? null, startC);
  const { aircraft, powertrain, boxPowertrain, atmosphere, hoverTimeFinding, airC, fliesFaster } = solved;
  // Field by field: some thousands are made for a band, and spreading them took a third of its time.
  return {
    aircraft,
    powertrain,
    boxPowertrain,
    atmosphere,
    coefficients,
    hoverTimeFinding,
    airC,
    fliesFaster,
    battery,
    health,
    cells,
    takeoff: atTakeoff(battery, cells, solved, gaugeErrorCharge),
    gaugeErrorCharge,
  };
}

/** The new pack the box was measured with: what is solved from the box is alike for all batteries with the same one. */
export function boxBattery(flown: Pick<FlightSetup, 'aircraft' | 'battery'>): Battery {
  return newBattery(soldWith(flown));
}

/** What hangs on it, kg: guards, a filter, a light. The box was measured without. */
export function accessoriesKg({ aircraft, flight }: Pick<FlightSetup, 'aircraft' | 'flight'>): number {
  return (aircraft.addedMassKg ?? 0) + (flight?.addedMassKg ?? 0);
}

/** What another pack than the box's weighs more, kg; negative where it is lighter. Take-off mass is told with the box's pack. */
export function otherPackKg({ aircraft, battery }: Pick<FlightSetup, 'aircraft' | 'battery'>): number {
  const sold = soldWith({ aircraft, battery });
  // A pack of the box's capacity is the box's, whatever it weighs: take-off mass was told with it.
  return sold === battery ? 0 : packMassKg(battery) - packMassKg(sold);
}

/** The same aircraft in the same air with more hung on it. */
export function ladenBy(solved: SolvedAircraft, addedKg: number): SolvedAircraft {
  if (addedKg === 0) return solved;
  const { powertrain } = solved;
  return { ...solved, powertrain: { ...powertrain, airframe: laden(powertrain.airframe, addedKg) } };
}

/** The pack of the box's capacity, whatever its age: the box is solved with the cells it had as sold. */
function soldWith({ aircraft, battery }: Pick<FlightSetup, 'aircraft' | 'battery'>): Battery {
  const ratedCapacityMah = aircraft.advertisedCapacityMah ?? battery.ratedCapacityMah;
  return ratedCapacityMah === battery.ratedCapacityMah
    ? battery
    : { ...battery, ratedCapacityMah, massKg: null };
}

function atTakeoff(
  battery: Battery,
  cells: Cells,
  { coefficients, airC }: SolvedAircraft,
  gaugeErrorCharge: number,
): CellState {
  const gauge = trueGauge(takeoffCharge(battery, coefficients), gaugeErrorCharge);
  return {
    timeS: 0,
    charge: cellChargeOf(Math.min(1, gauge), cells.hidden),
    temperatureC: battery.startTemperatureC ?? airC,
  };
}
