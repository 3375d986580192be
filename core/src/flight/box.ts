import { standard } from '../air/pressure';
import type { Aircraft } from '../aircraft/aircraft';
import { type Airframe, type AirframeCoefficients, airframeOf, airframePriors } from '../aircraft/airframe';
import { type Airflow, rotorPowerW } from '../aircraft/rotorPower';
import { type Battery, labelEnergyWh } from '../battery/battery';
import { type CellCoefficients, type Cells, capacityAh, cellsOf } from '../battery/cells';
import { openCircuitV } from '../battery/openCircuit';
import { solveBetween, solveNear } from '../statistics/solve';
import { type Assumed, nominal, type ValuesOf } from '../units/assumed';
import { type Outcome, refuse, success } from '../units/outcome';
import { type Sentence, sentence } from '../units/sentence';
import { type BoxPair, type BoxPairCoefficients, likeliestAirframe, surpriseOf } from './boxPair';
import { drain, endOf } from './drain';
import { steady } from './moving';
import { electricalPowerW, type Powertrain } from './powertrain';

/** The box was measured in still air at sea level and 25 °C (common practice of advertised times). */
export const boxTemperatureC = 25;
export const boxDensityKgm3 = standard.densityKgm3 * (standard.temperatureK / (boxTemperatureC + 273.15));

/** Bounds on electrical over ideal rotor power: below, better than any rotor; above, no aircraft sold flies so badly. */
const scaleBounds = { least: 0.9, most: 6 } as const;
/** Two times that lie farther from each other, in standard deviations, are not explained by any airframe: one is wrong. */
const maxSurprise = 3;

export const boxPriors = {
  boxTimeRatio: {
    value: 1,
    spread: 0.07,
    kind: 'relative',
    scope: 'aircraft',
    because:
      'assumed: one aircraft and its propellers against the one that was advertised, and how the time was taken and rounded',
    betterBy: 'hover-test',
  },
} as const satisfies Record<string, Assumed>;
export type BoxCoefficients = AirframeCoefficients &
  CellCoefficients &
  BoxPairCoefficients &
  ValuesOf<typeof boxPriors>;

/** Why the two times on a box do not go together. */
export type HoverTimeFinding = Sentence<'both-hovers' | 'hover-too-long' | 'no-drag-explains'>;

/** What the box taught: the powertrain, and what is odd about its two times if they contradict each other. */
export interface SolvedBox {
  readonly powertrain: Powertrain;
  readonly hoverTimeFinding: HoverTimeFinding | null;
}

/**
 * Solves the box with the new pack it was measured with (see `newBattery`): flown from full to empty at the advertised
 * speed, it lasts the advertised time. The electrical
 * power that does this is found from the pack alone; the rotor scale follows from it. With a hover time as well, the scale
 * follows from the hover, and the airframe is the likeliest that cruises as the other time says (see `boxPair`). Refuses a box
 * that no pack or rotor could live up to, and names the number that is odd; where hover time and flight time contradict each
 * other, the thirstier of the two is believed, so that the answer errs on the short side whichever is wrong.
 */
export function solveBox(
  aircraft: Aircraft,
  battery: Battery,
  coefficients: BoxCoefficients,
): Outcome<SolvedBox> {
  const { advertisedFlightTimeS, advertisedHoverTimeS: hoverTimeS, advertisedSpeedMps } = aircraft;
  const cells = cellsOf(battery, asSold, aircraft.hiddenCharge ?? null, coefficients);
  const powerFor = (durationS: number) => powerForDurationW(cells, durationS * coefficients.boxTimeRatio);
  const cruiseW = powerFor(advertisedFlightTimeS);
  if (cruiseW === null) return impossibleTime(aircraft, battery);
  const guessed = airframeOf(aircraft, coefficients);
  const hoverW = hoverTimeS == null ? null : powerFor(hoverTimeS);
  if (hoverTimeS != null && hoverW === null) return impossibleHover(aircraft);
  const powers = { cruiseW, hoverW };
  const finding = hoverTimeFinding(aircraft, powers, coefficients);
  const isPair = hoverW !== null && !finding;
  const airframe = isPair
    ? likeliestAirframe(guessed, pairOf(aircraft, guessed, powers, coefficients.boxPairRatio))
    : guessed;
  const cruiseScale = scaleFor(airframe, advertisedSpeedMps, cruiseW);
  const lastsS = (bound: number) =>
    enduranceS(cells, electricalPowerW(asTheBox(airframe, bound), boxFlow(advertisedSpeedMps)));
  if (!(cruiseScale >= scaleBounds.least)) return tooGood(aircraft, battery, lastsS(scaleBounds.least));
  if (!(cruiseScale <= scaleBounds.most)) return tooPoor(aircraft, battery, lastsS(scaleBounds.most));
  if (hoverW === null)
    return success({ powertrain: asTheBox(airframe, cruiseScale), hoverTimeFinding: null });
  const hoverScale = scaleFor(airframe, 0, hoverW);
  if (!(hoverScale <= scaleBounds.most)) return impossibleHover(aircraft);
  const scale = isPair ? hoverScale : Math.max(cruiseScale, hoverScale);
  return success({ powertrain: asTheBox(airframe, scale), hoverTimeFinding: finding });
}

/** Health of the pack the box was measured with. */
export const asSold = 1;

function asTheBox(airframe: Airframe, scale: number): Powertrain {
  return { airframe, scale, flightRatio: 1, unsteadiness: steady };
}

/** The pack the box was measured with: the same type, new, just charged full, and at the box's temperature. */
export function newBattery(battery: Battery): Battery {
  return {
    ...battery,
    cycles: 0,
    ageYears: 0,
    health: 1,
    startCharge: 1,
    daysSinceCharge: null,
    daysToStorage: null,
    startTemperatureC: boxTemperatureC,
  };
}

/**
 * The constant power that empties a full pack in a given time, W; null when none does. Time falls a little faster than
 * 1/power, so in logarithms the miss is nearly straight.
 */
function powerForDurationW(cells: Cells, durationS: number): number | null {
  const miss = (logPower: number) => Math.log(enduranceS(cells, Math.exp(logPower)) / durationS);
  const labelW =
    (capacityAh(cells, boxTemperatureC) * openCircuitV(cells.restVoltagesV, 0.5) * cells.cellCount * 3600) /
    durationS;
  const guess = Math.log(labelW * (1 - sagShare(cells, labelW)));
  const logPower = solveNear(miss, guess, -1.05, 1e-3) ?? solveBetween(miss, guess - 1.2, guess + 0.3, 1e-6);
  return logPower === null || !Number.isFinite(logPower) ? null : Math.exp(logPower);
}

/** The share of the rest voltage that is lost in the cells at a power, half charged. */
function sagShare(cells: Cells, powerW: number): number {
  const restV = openCircuitV(cells.restVoltagesV, 0.5);
  const ampere = powerW / cells.cellCount / restV;
  return Math.min(0.3, (ampere * cells.resistance.warmOhm) / restV);
}

function enduranceS(cells: Cells, powerW: number): number {
  const full = { timeS: 0, charge: 1, temperatureC: boxTemperatureC };
  return endOf(drain(cells, powerW, boxTemperatureC, full))?.timeS ?? 0;
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

/** The powers that the two times on a box ask of its pack, W. */
interface BoxPowers {
  readonly cruiseW: number;
  readonly hoverW: number | null;
}

function pairOf(
  aircraft: Aircraft,
  airframe: Airframe,
  { cruiseW, hoverW }: BoxPowers,
  ratio: number,
): BoxPair {
  const { auxiliaryPowerW } = airframe;
  return {
    wanted: (ratio * (cruiseW - auxiliaryPowerW)) / ((hoverW ?? 0) - auxiliaryPowerW),
    ratioOf: (one) => boxRotorPowerW(one, aircraft.advertisedSpeedMps) / boxRotorPowerW(one, 0),
    isDragKnown: aircraft.dragAreaM2 != null,
  };
}

/** What is odd about the two times on the box, if anything is: the same in every draw, as far as its airframe goes. */
function hoverTimeFinding(
  aircraft: Aircraft,
  powers: BoxPowers,
  coefficients: BoxCoefficients,
): HoverTimeFinding | null {
  const {
    advertisedHoverTimeS: hoverS,
    advertisedFlightTimeS: flightS,
    advertisedSpeedMps: speedMps,
  } = aircraft;
  if (hoverS == null) return null;
  const times = { hoverS, flightS, speedMps };
  if (speedMps === 0)
    return sentence(
      'both-hovers',
      'the hover time on the box ({hoverS}) and its flight time ({flightS} at {speedMps:1}): both are hovers; the shorter one is believed',
      times,
    );
  if (hoverS > flightS)
    return sentence(
      'hover-too-long',
      'the hover time on the box ({hoverS}) and its flight time ({flightS} at {speedMps:1}): nothing hovers longer than it cruises at its best, so one of them is wrong; the thirstier is believed',
      times,
    );
  const usual = airframeOf(aircraft, { ...coefficients, ...nominal(airframePriors) });
  if (surpriseOf(usual, pairOf(aircraft, usual, powers, 1)) <= maxSurprise) return null;
  return sentence(
    'no-drag-explains',
    'the hover time on the box ({hoverS}) and its flight time ({flightS} at {speedMps:1}): no drag explains the two together; the thirstier is believed',
    times,
  );
}

function impossibleTime(aircraft: Aircraft, battery: Battery) {
  return refuse(
    'box-time-impossible',
    'No steady power empties this pack in {advertisedFlightTimeS} min: check the flight time on the box and the rated capacity ({ratedCapacityMah}).',
    { advertisedFlightTimeS: aircraft.advertisedFlightTimeS, ratedCapacityMah: battery.ratedCapacityMah },
  );
}

function impossibleHover(aircraft: Aircraft) {
  return refuse(
    'box-hover-time-impossible',
    'A hover of {advertisedHoverTimeS} is far too short beside {advertisedFlightTimeS} min of flight: check the hover time on the box.',
    {
      advertisedHoverTimeS: aircraft.advertisedHoverTimeS as number,
      advertisedFlightTimeS: aircraft.advertisedFlightTimeS,
    },
  );
}

function tooGood(aircraft: Aircraft, battery: Battery, atBestS: number) {
  return refuse(
    'box-too-good',
    '{advertisedFlightTimeS} min at {takeoffMassKg} from a pack of {labelWh} would take better rotors than there can be: at best it lasts {atBestS} min. The flight time is too long, or the mass or the pack (capacity, cells, voltage) is wrong.',
    { ...boxNumbers(aircraft, battery), atBestS },
  );
}

function tooPoor(aircraft: Aircraft, battery: Battery, atWorstS: number) {
  return refuse(
    'box-too-poor',
    '{advertisedFlightTimeS} min at {takeoffMassKg} is far too short for a pack of {labelWh}: even a wasteful aircraft lasts {atWorstS} min. The flight time is too short, or the mass or the pack (capacity, cells, voltage) is wrong.',
    { ...boxNumbers(aircraft, battery), atWorstS },
  );
}

function boxNumbers({ advertisedFlightTimeS, takeoffMassKg }: Aircraft, battery: Battery) {
  return { advertisedFlightTimeS, takeoffMassKg, labelWh: labelEnergyWh(battery) };
}
