import {
  type AircraftRecord,
  type Basis,
  type BatteryRecord,
  type Cause,
  confidenceOf,
  type DayAtPlace,
  type Estimate,
  flightFromHome,
  type LedgerLine,
  minAtTouchdown,
  minutesAndSeconds,
  packAtTheHour,
  type Sentence,
  sentence,
  spec,
} from '@acorn-tally/core';
import { Table } from '@mantine/core';
import { basisInWords } from '../answers/trust';
import { shareInWords } from '../fields/percent';
import { Say } from '../fields/Say';
import { Bar } from '../parts/Bar';
import styles from './Ledger.module.css';

interface Props {
  readonly estimate: Estimate;
  readonly lines: readonly LedgerLine[];
  /** Whether the lines belong to what is on the screen now. */
  readonly fresh: boolean;
  readonly aircraft: AircraftRecord;
  readonly battery: BatteryRecord;
  readonly conditions: DayAtPlace;
  readonly basis: Basis;
}

/** From the minutes on the box to the minutes to spend, cause by cause; the lines add up to the second. */
export function Ledger(props: Props) {
  const { lines, fresh, aircraft } = props;
  const longest = Math.max(...lines.map(({ seconds }) => Math.abs(seconds)));
  const boxS = aircraft.spec.advertisedFlightTimeS;
  const spendS = boxS + lines.reduce((sum, { seconds }) => sum + seconds, 0);
  return (
    <Table verticalSpacing={1} className={styles.ledger} data-old={!fresh || undefined}>
      <Table.Tbody>
        <Table.Tr>
          <Table.Th scope="row">
            <b>On the box</b>
          </Table.Th>
          <Table.Td />
          <Table.Td data-figure>{minutesAndSeconds(boxS)}</Table.Td>
        </Table.Tr>
        {lines.map(({ cause, seconds }) => (
          <Table.Tr key={cause} className={cause === 'doubt' ? styles.doubt : undefined}>
            <Table.Th scope="row">
              <Say sentence={wordsFor(cause, props)} />
            </Table.Th>
            <Bar
              share={Math.abs(seconds) / longest}
              as={cause === 'doubt' ? 'doubt' : seconds > 0 ? 'gain' : 'loss'}
            />
            <Table.Td data-figure>
              {seconds > 0 ? `+${minutesAndSeconds(seconds)}` : minutesAndSeconds(seconds)}
            </Table.Td>
          </Table.Tr>
        ))}
      </Table.Tbody>
      <Table.Tfoot>
        <Table.Tr className={styles.sum}>
          <Table.Th scope="row">To spend</Table.Th>
          <Table.Td />
          <Table.Td data-figure>{minutesAndSeconds(spendS)}</Table.Td>
        </Table.Tr>
      </Table.Tfoot>
    </Table>
  );
}

function wordsFor(cause: Cause, { estimate, aircraft, battery, conditions, basis }: Props): Sentence<Cause> {
  const { flight, policy } = aircraft;
  const { airTemperatureC, elevationM } = conditions.weather;
  const pack = packAtTheHour(battery, conditions);
  const packC = pack.startTemperatureC ?? airTemperatureC;
  const words: Record<Cause, () => Sentence<Cause>> = {
    'own-aircraft': () => sentence('own-aircraft', 'Your aircraft compared with its box'),
    'other-pack': () =>
      sentence('other-pack', 'Other pack: {packMah}, not {boxMah}', {
        packMah: pack.ratedCapacityMah,
        boxMah: aircraft.spec.advertisedCapacityMah ?? pack.ratedCapacityMah,
      }),
    style: () => sentence('style', 'Your flying instead of a steady cruise'),
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
        : sentence('wear', '{cyclesCount} cycles{age} of wear', {
            cyclesCount: pack.cycles ?? 0,
            age: pack.ageYears ? ` and ${monthsInWords(pack.ageYears)}` : '',
          }),
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
        reserveCharge: minAtTouchdown(policy, spec(aircraft.spec, 'forcedLandingCharge')),
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

/** "8 months", "3 years". */
function monthsInWords(years: number): string {
  const months = Math.round(years * 12);
  if (months >= 24) return `${Math.round(years)} years`;
  return months === 1 ? 'a month' : `${months} months`;
}
