import { standard } from '../air/pressure';
import type { Aircraft } from '../aircraft/aircraft';
import { type Airframe, type AirframeCoefficients, airframeOf } from '../aircraft/airframe';
import { rotorPowerW } from '../aircraft/rotorPower';
import type { Battery } from '../battery/battery';
import { type Pack, type PackCoefficients, packOf } from '../battery/pack';
import { solveBetween } from '../statistics/solve';
import { minutesAndSeconds } from '../units/clock';
import { type Outcome, refuse, success } from '../units/outcome';
import { drain } from './drain';
import type { Powertrain } from './powertrain';

/** The box was measured in still air at sea level and 25 °C (common practice of advertised times). */
export const boxTemperatureC = 25;
export const boxDensityKgm3 = standard.densityKgm3 * (standard.temperatureK / (boxTemperatureC + 273.15));

/** Bounds on electrical over ideal rotor power: below, better than any rotor; above, no aircraft sold flies so badly. */
const scaleBounds = { least: 0.9, most: 6 } as const;
const dragRatioBounds = { least: 0.05, most: 8 } as const;

/** What the box taught: the powertrain, and whether its hover time had to be set aside. */
export interface SolvedBox {
  readonly powertrain: Powertrain;
  readonly hoverTimeIgnored: boolean;
}

/**
 * Solves the box: a fresh full pack flown to empty at the advertised speed lasts the advertised time. The electrical
 * power that does this is found from the pack alone; the rotor scale follows from it. With a hover time as well, the
 * drag area is solved from the ratio of the two powers. Refuses a box that no pack or rotor could live up to.
 */
export function solveBox(
  aircraft: Aircraft,
  battery: Battery,
  coefficients: AirframeCoefficients & PackCoefficients,
): Outcome<SolvedBox> {
  const pack = packOf(newBattery(battery), aircraft.hiddenCharge ?? null, coefficients);
  const cruiseW = powerForDurationW(pack, aircraft.advertisedFlightTimeS);
  const guessed = airframeOf(aircraft, coefficients);
  if (cruiseW === null) return impossibleTime(aircraft, battery);
  const airframe = withHoverTime(aircraft, pack, guessed, cruiseW);
  const scale = scaleFor(airframe ?? guessed, aircraft.advertisedSpeedMps, cruiseW);
  if (!(scale >= scaleBounds.least)) return tooGood(aircraft, scale);
  if (!(scale <= scaleBounds.most)) return tooPoor(aircraft, scale);
  return success({
    powertrain: { airframe: airframe ?? guessed, scale },
    hoverTimeIgnored: aircraft.advertisedHoverTimeS != null && airframe === null,
  });
}

/** The pack the box was measured with: the same type, new, full and at the box's temperature. */
export function newBattery(battery: Battery): Battery {
  return { ...battery, cycles: 0, health: 1, startCharge: 1, startTemperatureC: boxTemperatureC };
}

/** The constant power that empties a full pack in a given time, W; null when none does. */
function powerForDurationW(pack: Pack, durationS: number): number | null {
  const labelW =
    (pack.capacityAh(boxTemperatureC) * pack.openCircuitV(0.5) * pack.cellCount * 3600) / durationS;
  const miss = (powerW: number) => {
    const curve = drain(pack, powerW, boxTemperatureC, {
      timeS: 0,
      charge: 1,
      temperatureC: boxTemperatureC,
    });
    return (curve[curve.length - 1]?.timeS ?? 0) - durationS;
  };
  return solveBetween(miss, labelW * 0.3, labelW * 1.3, labelW * 1e-6);
}

function scaleFor(airframe: Airframe, airspeedMps: number, electricalW: number): number {
  return (electricalW - airframe.auxiliaryPowerW) / boxRotorPowerW(airframe, airspeedMps);
}

function boxRotorPowerW(airframe: Airframe, airspeedMps: number): number {
  return rotorPowerW(airframe, { airspeedMps, climbMps: 0, densityKgm3: boxDensityKgm3, loadFactor: 1 });
}

/** The airframe whose hover and cruise stand in the ratio the box says; null without a (usable) hover time. */
function withHoverTime(aircraft: Aircraft, pack: Pack, guessed: Airframe, cruiseW: number): Airframe | null {
  if (aircraft.advertisedHoverTimeS == null || aircraft.advertisedSpeedMps === 0) return null;
  const hoverW = powerForDurationW(pack, aircraft.advertisedHoverTimeS);
  if (hoverW === null) return null;
  const wanted = (cruiseW - guessed.auxiliaryPowerW) / (hoverW - guessed.auxiliaryPowerW);
  const draggy = (ratio: number): Airframe => ({ ...guessed, dragAreaM2: guessed.dragAreaM2 * ratio });
  const miss = (ratio: number) =>
    boxRotorPowerW(draggy(ratio), aircraft.advertisedSpeedMps) / boxRotorPowerW(guessed, 0) - wanted;
  const ratio = solveBetween(miss, dragRatioBounds.least, dragRatioBounds.most, 1e-6);
  return ratio === null ? null : draggy(ratio);
}

function impossibleTime(aircraft: Aircraft, battery: Battery) {
  return refuse(
    'box-time-impossible',
    `No steady power empties this pack in ${minutesAndSeconds(aircraft.advertisedFlightTimeS)}: check the flight time on the box (${aircraft.advertisedFlightTimeS / 60} min) and the rated capacity (${battery.ratedCapacityMah} mAh).`,
    { advertisedFlightTimeS: aircraft.advertisedFlightTimeS, ratedCapacityMah: battery.ratedCapacityMah },
  );
}

function tooGood(aircraft: Aircraft, scale: number) {
  return refuse(
    'box-too-good',
    `${aircraft.advertisedFlightTimeS / 60} min at ${aircraft.takeoffMassKg * 1000} g from this pack would take better rotors than there can be: check the flight time, take-off mass, capacity and cells.`,
    { advertisedFlightTimeS: aircraft.advertisedFlightTimeS, takeoffMassKg: aircraft.takeoffMassKg, scale },
  );
}

function tooPoor(aircraft: Aircraft, scale: number) {
  return refuse(
    'box-too-poor',
    `${aircraft.advertisedFlightTimeS / 60} min at ${aircraft.takeoffMassKg * 1000} g is far too short for this pack: check the flight time, take-off mass, capacity and cells.`,
    { advertisedFlightTimeS: aircraft.advertisedFlightTimeS, takeoffMassKg: aircraft.takeoffMassKg, scale },
  );
}
