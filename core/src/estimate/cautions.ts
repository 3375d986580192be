import { spec } from '../aircraft/aircraft';
import { usualReserveCharge } from '../reserve/policy';
import { minutesAndSeconds } from '../units/clock';
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
const wornHealth = 0.85;
const usualCeilingM = 120;
const frostReserveCharge = 0.3;

/** What a pilot should be told beside the figure, most pressing first. Thresholds are common practice. */
export function cautions(request: EstimateRequest, reckoning: Reckoning, health: number): Caution[] {
  const { aircraft, battery, conditions, flight, policy } = request;
  const packC = battery.startTemperatureC ?? conditions.airTemperatureC;
  const air = reckoning.atmosphere(flight.heightM);
  const cruise = reckoning.wayHome.find((leg) => leg.kind === 'cruise');
  const returnMps = spec(aircraft, 'returnSpeedMps');
  const found: (Caution | false)[] = [
    packC < 0 && ofBattery('frozen-pack', 'Frozen pack: do not fly it, warm it slowly'),
    packC >= 0 && packC < coldPackC && ofBattery('cold-pack', 'Cold pack: warm it first'),
    battery.startCharge < notFullCharge &&
      ofBattery('not-full', `Only ${Math.round(battery.startCharge * 100)} % charged`),
    health < wornHealth && ofBattery('worn', `Worn: about ${Math.round(health * 100)} % of its label`),
    air.gustMps > returnMps &&
      ofFlight('gust-over-return-speed', `Gusts of ${air.gustMps.toFixed(0)} m/s pass the return speed`),
    cruise !== undefined &&
      cruise.groundMps < returnMps / 2 &&
      ofFlight(
        'slow-way-home',
        `The way home crawls: ${flight.farthestM} m take ${minutesAndSeconds(cruise.durationS)} against the wind`,
      ),
    flight.heightM > usualCeilingM &&
      ofFlight('above-ceiling', `Above ${usualCeilingM} m: check your local rule`),
    conditions.airTemperatureC < 0 &&
      policy.kind === 'touch-down-charge' &&
      (policy.reserveCharge ?? usualReserveCharge) < frostReserveCharge &&
      ofFlight('frost', 'Below freezing, pilots hold back 30 %'),
    reckoning.hoverTimeIgnored &&
      ofFlight('hover-time-odd', 'The hover time on the box does not fit its flight time: set aside'),
    (policy.kind === 'forced-landing' || policy.kind === 'empty') &&
      ofFlight('test-only', 'For test flights only, never a plan'),
  ];
  return found.filter((item) => item !== false);
}

function ofBattery(code: string, message: string): Caution {
  return { code, message, about: 'battery' };
}

function ofFlight(code: string, message: string): Caution {
  return { code, message, about: 'flight' };
}
