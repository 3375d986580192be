import { standard } from '../air/pressure';
import type { Aircraft } from '../aircraft/aircraft';
import { type Airframe, type AirframeCoefficients, airframeOf } from '../aircraft/airframe';
import { type Airflow, rotorPowerW } from '../aircraft/rotorPower';
import type { Battery } from '../battery/battery';
import { openCircuitV } from '../battery/openCircuit';
import { capacityAh, type Pack, type PackCoefficients, packOf } from '../battery/pack';
import { solveBetween, solveNear } from '../statistics/solve';
import type { Assumed, ValuesOf } from '../units/assumed';
import { minutesAndSeconds } from '../units/clock';
import { type Outcome, refuse, success } from '../units/outcome';
import { drain, endOf } from './drain';
import { electricalPowerW, type Powertrain } from './powertrain';

/** The box was measured in still air at sea level and 25 °C (common practice of advertised times). */
export const boxTemperatureC = 25;
export const boxDensityKgm3 = standard.densityKgm3 * (standard.temperatureK / (boxTemperatureC + 273.15));

/** Bounds on electrical over ideal rotor power: below, better than any rotor; above, no aircraft sold flies so badly. */
const scaleBounds = { least: 0.9, most: 6 } as const;
const dragRatioBounds = { least: 0.05, most: 8 } as const;

export const boxPriors = {
  boxTimeRatio: {
    value: 1,
    spread: 0.07,
    kind: 'relative',
    because:
      'assumed: one aircraft and its propellers against the one that was advertised, and how the time was taken and rounded',
    betterBy: 'hover-test',
  },
} as const satisfies Record<string, Assumed>;
export type BoxCoefficients = AirframeCoefficients & PackCoefficients & ValuesOf<typeof boxPriors>;

/** What the box taught: the powertrain, and what is odd about its two times if they contradict each other. */
export interface SolvedBox {
  readonly powertrain: Powertrain;
  readonly hoverTimeFinding: string | null;
}

/**
 * Solves the box: a fresh full pack flown to empty at the advertised speed lasts the advertised time. The electrical
 * power that does this is found from the pack alone; the rotor scale follows from it. With a hover time as well, the
 * drag area is solved from the ratio of the two powers. Refuses a box that no pack or rotor could live up to, and names
 * the number that is odd; where hover time and flight time contradict each other, the thirstier of the two is believed, so
 * that the answer errs on the short side whichever is wrong.
 */
export function solveBox(
  aircraft: Aircraft,
  battery: Battery,
  coefficients: BoxCoefficients,
): Outcome<SolvedBox> {
  const pack = packOf(newBattery(battery), aircraft.hiddenCharge ?? null, coefficients);
  const powerFor = (durationS: number) => powerForDurationW(pack, durationS * coefficients.boxTimeRatio);
  const cruiseW = powerFor(aircraft.advertisedFlightTimeS);
  if (cruiseW === null) return impossibleTime(aircraft, battery);
  const guessed = airframeOf(aircraft, coefficients);
  const fitted = withHoverTime(aircraft, guessed, cruiseW, powerFor);
  const airframe = typeof fitted === 'string' ? guessed : fitted;
  const cruiseScale = scaleFor(airframe, aircraft.advertisedSpeedMps, cruiseW);
  const lastsS = (bound: number) =>
    enduranceS(pack, electricalPowerW({ airframe, scale: bound }, boxFlow(aircraft.advertisedSpeedMps)));
  if (!(cruiseScale >= scaleBounds.least)) return tooGood(aircraft, battery, lastsS(scaleBounds.least));
  if (!(cruiseScale <= scaleBounds.most)) return tooPoor(aircraft, battery, lastsS(scaleBounds.most));
  if (typeof fitted !== 'string') {
    return success({ powertrain: { airframe, scale: cruiseScale }, hoverTimeFinding: null });
  }
  const hoverW = powerFor(aircraft.advertisedHoverTimeS as number);
  const hoverScale = hoverW === null ? Number.POSITIVE_INFINITY : scaleFor(airframe, 0, hoverW);
  if (!(hoverScale <= scaleBounds.most)) return impossibleHover(aircraft);
  const scale = Math.max(cruiseScale, hoverScale);
  return success({ powertrain: { airframe, scale }, hoverTimeFinding: fitted });
}

/** The pack the box was measured with: the same type, new, full and at the box's temperature. */
export function newBattery(battery: Battery): Battery {
  return { ...battery, cycles: 0, health: 1, startCharge: 1, startTemperatureC: boxTemperatureC };
}

/**
 * The constant power that empties a full pack in a given time, W; null when none does. Time falls a little faster than
 * 1/power, so in logarithms the miss is nearly straight.
 */
function powerForDurationW(pack: Pack, durationS: number): number | null {
  const miss = (logPower: number) => Math.log(enduranceS(pack, Math.exp(logPower)) / durationS);
  const labelW =
    (capacityAh(pack, boxTemperatureC) * openCircuitV(pack.restVoltagesV, 0.5) * pack.cellCount * 3600) /
    durationS;
  const guess = Math.log(labelW * (1 - sagShare(pack, labelW)));
  const logPower = solveNear(miss, guess, -1.05, 1e-3) ?? solveBetween(miss, guess - 1.2, guess + 0.3, 1e-6);
  return logPower === null || !Number.isFinite(logPower) ? null : Math.exp(logPower);
}

/** The share of the rest voltage that is lost in the cells at a power, half charged. */
function sagShare(pack: Pack, powerW: number): number {
  const restV = openCircuitV(pack.restVoltagesV, 0.5);
  const ampere = powerW / pack.cellCount / restV;
  return Math.min(0.3, (ampere * pack.resistance.warmOhm) / restV);
}

function enduranceS(pack: Pack, powerW: number): number {
  const full = { timeS: 0, charge: 1, temperatureC: boxTemperatureC };
  return endOf(drain(pack, powerW, boxTemperatureC, full))?.timeS ?? 0;
}

function scaleFor(airframe: Airframe, airspeedMps: number, electricalW: number): number {
  return (electricalW - airframe.auxiliaryPowerW) / boxRotorPowerW(airframe, airspeedMps);
}

function boxRotorPowerW(airframe: Airframe, airspeedMps: number): number {
  return rotorPowerW(airframe, boxFlow(airspeedMps));
}

function boxFlow(airspeedMps: number): Airflow {
  return { airspeedMps, climbMps: 0, densityKgm3: boxDensityKgm3, loadFactor: 1 };
}

/**
 * The airframe whose hover and cruise stand in the ratio the box says; the guessed one without a hover time; or, where
 * none has that ratio, what is odd.
 */
function withHoverTime(
  aircraft: Aircraft,
  guessed: Airframe,
  cruiseW: number,
  powerFor: (durationS: number) => number | null,
): Airframe | string {
  const {
    advertisedHoverTimeS: hoverS,
    advertisedFlightTimeS: flightS,
    advertisedSpeedMps: speedMps,
  } = aircraft;
  if (hoverS == null) return guessed;
  const times = `the hover time on the box (${minutesAndSeconds(hoverS)}) and its flight time (${minutesAndSeconds(flightS)} at ${speedMps} m/s)`;
  if (speedMps === 0) return `${times}: both are hovers; the shorter one is believed`;
  if (hoverS > flightS)
    return `${times}: nothing hovers longer than it cruises at its best, so one of them is wrong; the thirstier is believed`;
  const hoverW = powerFor(hoverS);
  const draggy = (ratio: number): Airframe => ({ ...guessed, dragAreaM2: guessed.dragAreaM2 * ratio });
  const wanted = (cruiseW - guessed.auxiliaryPowerW) / ((hoverW ?? 0) - guessed.auxiliaryPowerW);
  const miss = (ratio: number) =>
    boxRotorPowerW(draggy(ratio), speedMps) / boxRotorPowerW(guessed, 0) - wanted;
  const ratio =
    hoverW === null ? null : solveBetween(miss, dragRatioBounds.least, dragRatioBounds.most, 1e-6);
  if (ratio === null) return `${times}: no drag explains the two together; the thirstier is believed`;
  return draggy(ratio);
}

function impossibleTime(aircraft: Aircraft, battery: Battery) {
  return refuse(
    'box-time-impossible',
    `No steady power empties this pack in ${boxTime(aircraft)}: check the flight time on the box and the rated capacity (${battery.ratedCapacityMah} mAh).`,
    { advertisedFlightTimeS: aircraft.advertisedFlightTimeS, ratedCapacityMah: battery.ratedCapacityMah },
  );
}

function impossibleHover(aircraft: Aircraft) {
  const hoverS = aircraft.advertisedHoverTimeS as number;
  return refuse(
    'box-hover-time-impossible',
    `A hover of ${minutesAndSeconds(hoverS)} is far too short beside ${boxTime(aircraft)} of flight: check the hover time on the box.`,
    { advertisedHoverTimeS: hoverS, advertisedFlightTimeS: aircraft.advertisedFlightTimeS },
  );
}

function tooGood(aircraft: Aircraft, battery: Battery, atBestS: number) {
  return refuse(
    'box-too-good',
    `${boxTime(aircraft)} at ${grams(aircraft)} from ${labelWh(battery)} would take better rotors than there can be: at best it lasts ${minutesAndSeconds(atBestS)} min. The flight time is too long, or the mass or the pack (capacity, cells, voltage) is wrong.`,
    { advertisedFlightTimeS: aircraft.advertisedFlightTimeS, takeoffMassKg: aircraft.takeoffMassKg, atBestS },
  );
}

function tooPoor(aircraft: Aircraft, battery: Battery, atWorstS: number) {
  return refuse(
    'box-too-poor',
    `${boxTime(aircraft)} at ${grams(aircraft)} is far too short for ${labelWh(battery)}: even a wasteful aircraft lasts ${minutesAndSeconds(atWorstS)} min. The flight time is too short, or the mass or the pack (capacity, cells, voltage) is wrong.`,
    {
      advertisedFlightTimeS: aircraft.advertisedFlightTimeS,
      takeoffMassKg: aircraft.takeoffMassKg,
      atWorstS,
    },
  );
}

const boxTime = (aircraft: Aircraft) => `${minutesAndSeconds(aircraft.advertisedFlightTimeS)} min`;
const grams = (aircraft: Aircraft) => `${Math.round(aircraft.takeoffMassKg * 1000)} g`;
const labelWh = (battery: Battery) =>
  `a pack of ${((battery.ratedCapacityMah / 1000) * battery.nominalVoltageV).toFixed(0)} Wh`;
