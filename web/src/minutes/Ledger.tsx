import {
  type AircraftRecord,
  type BatteryRecord,
  type Cause,
  type ConditionsRecord,
  chargeAtTouchdown,
  daysInWords,
  type Estimate,
  type LedgerLine,
  minutesAndSeconds,
  spec,
} from '@acorn-tally/core';
import { Say } from '../fields/Say';
import { packAtTheHour } from '../state/atTheHour';

interface Props {
  readonly estimate: Estimate;
  readonly lines: readonly LedgerLine[];
  /** Whether the lines belong to what is on the screen now. */
  readonly fresh: boolean;
  readonly aircraft: AircraftRecord;
  readonly battery: BatteryRecord;
  readonly conditions: ConditionsRecord;
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
          <tr key={cause}>
            <th scope="row">
              <Say>{wordsFor(cause, props)}</Say>
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

function wordsFor(cause: Cause, { estimate, aircraft, battery, conditions }: Props): string {
  const { flight, policy } = aircraft;
  const { airTemperatureC, elevationM } = conditions.weather;
  const pack = packAtTheHour(battery, conditions);
  const packC = Math.round(pack.startTemperatureC ?? airTemperatureC);
  const words: Record<Cause, () => string> = {
    'other-pack': () =>
      `Other pack: ${pack.ratedCapacityMah}, not ${aircraft.spec.advertisedCapacityMah} mAh`,
    style: () => 'Flown this way, not cruising steadily',
    air: () => `Air at ${elevationM} m and ${airTemperatureC} °C`,
    temperature: () => `Pack at ${packC} °C in air of ${airTemperatureC} °C`,
    wind: () =>
      `Wind ${estimate.air.windAtHeightMps.toFixed(1)} m/s, gusts ${estimate.air.gustAtHeightMps.toFixed(1)} m/s, at ${flight.heightM} m`,
    wear: () =>
      pack.health != null
        ? `Worn to ${Math.round(pack.health * 100)} %, measured`
        : `${pack.cycles ?? 0} cycles of wear`,
    'not-full': () =>
      (pack.daysSinceCharge ?? 0) > 0.5
        ? `At ${Math.round(estimate.takeoffCharge * 100)} % after ${daysInWords(pack.daysSinceCharge ?? 0)} of standing`
        : `Charged to ${Math.round(pack.startCharge * 100)} %`,
    hidden: () => 'Charge the gauge never shows',
    'held-back': () =>
      `Held back: ${Math.round(chargeAtTouchdown(policy, spec(aircraft.spec, 'forcedLandingCharge')) * 100)} % at touch-down`,
    'way-home': () => `Way home: ${flight.farthestM} m out, ${flight.heightM} m up`,
  };
  return words[cause]();
}
