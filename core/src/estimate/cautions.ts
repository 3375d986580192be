import { clearanceM, suggestedReturnHeight } from '../air/obstacle';
import { tallestThingM, usualCeilingM } from '../air/site';
import { spec } from '../aircraft/aircraft';
import { rotorDiameterM } from '../aircraft/airframe';
import { groundEffectPowerRatio, isInGroundEffect } from '../aircraft/groundEffect';
import { takeoffCharge } from '../battery/standing';
import { isTestOnly, usualReserveCharge } from '../reserve/policy';
import { countdownS, usualReturnHeightM } from '../reserve/returnHome';
import { daysInWords, minutesAndSeconds } from '../units/clock';
import type { FlightEvent } from './events';
import type { Reckoning } from './reckon';
import type { EstimateRequest } from './request';

export interface Caution {
  readonly code: string;
  readonly message: string;
  /** What it is about: this battery, or the flight whatever the battery. */
  readonly about: 'battery' | 'flight';
}

const coldPackC = 15;
const notFullCharge = 0.9;
/** Charge lost standing that is worth a word. */
const worthSaying = 0.02;
const wornHealth = 0.85;
const frostReserveCharge = 0.3;
/** An own call that comes later than this is told. */
const worthACallS = 30;
/** Below this the aircraft’s still-air reckoning is near enough. */
const stillMps = 2;

/** What a pilot should be told beside the figure, most pressing first. Thresholds are common practice. */
export function cautions(
  request: EstimateRequest,
  reckoning: Reckoning,
  events: readonly FlightEvent[],
  health: number,
): Caution[] {
  const { aircraft, battery, conditions, flight, policy } = request;
  const atTakeoff = takeoffCharge(battery, 1);
  const packC = battery.startTemperatureC ?? conditions.airTemperatureC;
  const air = reckoning.atmosphere(flight.heightM);
  const cruise = reckoning.wayHome.find((leg) => leg.kind === 'cruise');
  const returnMps = spec(aircraft, 'returnSpeedMps');
  const diameterM = rotorDiameterM(aircraft, reckoning.powertrain.airframe);
  const ownPrompt = events.find(({ kind }) => kind === 'own-return');
  const turnBack = events.find(({ kind }) => kind === 'turn-back');
  const found: (Caution | false)[] = [
    packC < 0 && ofBattery('frozen-pack', 'Frozen pack: do not fly it, warm it slowly'),
    packC >= 0 && packC < coldPackC && ofBattery('cold-pack', 'Cold pack: warm it first'),
    atTakeoff < notFullCharge &&
      ofBattery(
        'not-full',
        battery.startCharge - atTakeoff > worthSaying
          ? `Stood ${daysInWords(battery.daysSinceCharge ?? 0)}, about ${Math.round(atTakeoff * 100)} % left`
          : `Only ${Math.round(atTakeoff * 100)} % charged`,
      ),
    health < wornHealth &&
      ofBattery(
        'worn',
        battery.health == null
          ? `Weak: about ${Math.round(health * 100)} % of its label, by its cycles`
          : `Weak: ${Math.round(health * 100)} % of its label`,
      ),
    air.gustMps > returnMps &&
      ofFlight('gust-over-return-speed', `Gusts of ${air.gustMps.toFixed(0)} m/s pass the return speed`),
    cruise !== undefined &&
      cruise.groundMps < returnMps / 2 &&
      ofFlight(
        'slow-way-home',
        `The way home crawls: ${flight.farthestM} m take ${minutesAndSeconds(cruise.durationS)} against the wind`,
      ),
    ownPrompt !== undefined &&
      turnBack !== undefined &&
      !isTestOnly(policy) &&
      ownPrompt.timeS + countdownS > turnBack.timeS + worthACallS &&
      air.windMps > stillMps &&
      ofFlight(
        'own-return-late',
        `The aircraft’s own call to return reckons with still air: it sets off ${minutesAndSeconds(ownPrompt.timeS + countdownS - turnBack.timeS)} after you should`,
      ),
    isInGroundEffect(flight.heightM, diameterM) &&
      ofFlight(
        'ground-effect',
        `Under ${(2 * diameterM).toFixed(1)} m it floats on its own cushion: flown so low, it lasts up to ${Math.round((1 / groundEffectPowerRatio(flight.heightM, diameterM) - 1) * 100)} % longer`,
      ),
    aboveCeiling(flight.heightM, request.site?.ceilingM ?? null),
    lowReturn(
      flight.returnHeightM ?? usualReturnHeightM,
      tallestThingM(request.site ?? {}),
      request.site?.ceilingM ?? null,
    ),
    conditions.airTemperatureC < 0 &&
      policy.kind === 'touch-down-charge' &&
      (policy.reserveCharge ?? usualReserveCharge) < frostReserveCharge &&
      ofFlight('frost', 'Below freezing, pilots hold back 30 %'),
    reckoning.box.hoverTimeFinding !== null &&
      ofFlight('hover-time-odd', `Look at ${reckoning.box.hoverTimeFinding}`),
    isTestOnly(policy) && ofFlight('test-only', 'For test flights only, never a plan'),
  ];
  return found.filter((item) => item !== false);
}

function aboveCeiling(heightM: number, ceilingM: number | null): Caution | false {
  if (ceilingM !== null) {
    return heightM > ceilingM && ofFlight('above-ceiling', `Above your local ceiling of ${ceilingM} m`);
  }
  return (
    heightM > usualCeilingM && ofFlight('above-ceiling', `Above ${usualCeilingM} m: check your local rule`)
  );
}

function lowReturn(returnHeightM: number, tallestM: number | null, ceilingM: number | null): Caution | false {
  if (tallestM === null || returnHeightM >= tallestM + clearanceM) return false;
  const { heightM } = suggestedReturnHeight(tallestM, ceilingM ?? usualCeilingM);
  return ofFlight(
    'low-return-height',
    `It would come home at ${returnHeightM} m, and the tallest thing stands ${tallestM} m: set the return height to ${heightM} m`,
  );
}

function ofBattery(code: string, message: string): Caution {
  return { code, message, about: 'battery' };
}

function ofFlight(code: string, message: string): Caution {
  return { code, message, about: 'flight' };
}
