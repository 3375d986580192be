import {
  type AircraftRecord,
  type Basis,
  type BatteryRecord,
  type Cause,
  type ConditionsRecord,
  confidenceOf,
  type Estimate,
  type LedgerLine,
  leastAtTouchdown,
  minutesAndSeconds,
  type Sentence,
  sentence,
  spec,
} from '@acorn-tally/core';
import { shareInWords } from '../fields/percent';
import { Say } from '../fields/Say';
import { packAtTheHour } from '../state/atTheHour';
import { flightFromHome } from '../state/home';
import { basisInWords } from './Trust';

interface Props {
  readonly estimate: Estimate;
  readonly lines: readonly LedgerLine[];
  /** Whether the lines belong to what is on the screen now. */
  readonly fresh: boolean;
  readonly aircraft: AircraftRecord;
  readonly battery: BatteryRecord;
  readonly conditions: ConditionsRecord;
  readonly basis: Basis;
}

/** From the minutes on the box to the minutes to spend, cause by cause; the lines add up to the second. */
export function Ledger(props: Props) {
  const { lines, fresh, aircraft } = props;
  const longest = Math.max(...lines.map(({ seconds }) => Math.abs(seconds)));
  const boxS = aircraft.spec.advertisedFlightTimeS;
  const spendS = boxS + lines.reduce((sum, { seconds }) => sum + seconds, 0);
  return (
    <table className={`ledger${fresh ? '' : ' ledger-old'}`}>
      <tbody>
        <tr>
          <th scope="row">On the box</th>
          <td />
          <td>
            <b>{minutesAndSeconds(boxS)}</b>
          </td>
        </tr>
        {lines.map(({ cause, seconds }) => (
          <tr key={cause} className={cause === 'doubt' ? 'ledger-doubt' : undefined}>
            <th scope="row">
              <Say sentence={wordsFor(cause, props)} />
            </th>
            <td className="ledger-bar">
              <i
                className={seconds > 0 ? 'ledger-gain' : undefined}
                style={{ width: `${(Math.abs(seconds) / longest) * 100}%` }}
              />
            </td>
            <td>
              <b>{seconds > 0 ? `+${minutesAndSeconds(seconds)}` : minutesAndSeconds(seconds)}</b>
            </td>
          </tr>
        ))}
      </tbody>
      <tfoot>
        <tr>
          <th scope="row">To spend</th>
          <td />
          <td>{minutesAndSeconds(spendS)}</td>
        </tr>
      </tfoot>
    </table>
  );
}

function wordsFor(cause: Cause, { estimate, aircraft, battery, conditions, basis }: Props): Sentence<Cause> {
  const { flight, policy } = aircraft;
  const { airTemperatureC, elevationM } = conditions.weather;
  const pack = packAtTheHour(battery, conditions);
  const packC = pack.startTemperatureC ?? airTemperatureC;
  const words: Record<Cause, () => Sentence<Cause>> = {
    'other-pack': () =>
      sentence('other-pack', 'Other pack: {packMah}, not {boxMah}', {
        packMah: pack.ratedCapacityMah,
        boxMah: aircraft.spec.advertisedCapacityMah ?? pack.ratedCapacityMah,
      }),
    style: () => sentence('style', 'Flown this way, not cruising steadily'),
    air: () => sentence('air', 'Air at {elevationM} and {airTemperatureC}', { elevationM, airTemperatureC }),
    temperature: () =>
      sentence('temperature', 'Pack at {packC} in air of {airTemperatureC}', { packC, airTemperatureC }),
    wind: () =>
      sentence('wind', 'Wind {windMps:1}, gusts {gustMps:1}, at {heightM}', {
        windMps: estimate.air.windAtHeightMps,
        gustMps: estimate.air.gustAtHeightMps,
        heightM: flight.heightM,
      }),
    wear: () =>
      pack.health != null
        ? sentence('wear', 'Worn to {healthFraction}, measured', { healthFraction: pack.health })
        : sentence('wear', '{cyclesCount} cycles of wear', { cyclesCount: pack.cycles ?? 0 }),
    'not-full': () =>
      (pack.daysSinceCharge ?? 0) > 0.5
        ? sentence('not-full', 'At {leftCharge} after {stoodDays} of standing', {
            leftCharge: estimate.takeoffCharge,
            stoodDays: pack.daysSinceCharge ?? 0,
          })
        : sentence('not-full', 'Charged to {startCharge}', { startCharge: pack.startCharge }),
    hidden: () => sentence('hidden', 'Charge the gauge never shows'),
    'held-back': () =>
      sentence('held-back', 'Held back: {reserveCharge} at touch-down', {
        reserveCharge: leastAtTouchdown(policy, spec(aircraft.spec, 'forcedLandingCharge')),
      }),
    'way-home': () =>
      sentence('way-home', 'Way home: {farthestM} out, {heightM} up', {
        farthestM: flightFromHome(conditions, flight).farthestM,
        heightM: flight.heightM,
      }),
    doubt: () =>
      sentence('doubt', 'Kept for doubt: from {basis}, {confidence}', {
        basis: basisInWords(basis),
        confidence: shareInWords(confidenceOf(policy)),
      }),
  };
  return words[cause]();
}
