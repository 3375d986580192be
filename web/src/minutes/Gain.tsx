import {
  type AircraftRecord,
  type Band,
  type BatteryRecord,
  type DayAtPlace,
  minutesAndSeconds,
  waysToKnow,
} from '@acorn-tally/core';
import { Anchor } from '@mantine/core';
import { Link } from 'react-router';
import { useNextTests, useToLearn } from '../answers/learning';
import { Note } from '../parts/Note';
import { testInWords } from '../parts/testWords';
import { useRecords } from '../records/records';
import { useChosen } from '../state/chosen';
import styles from './Trust.module.css';

interface Props {
  readonly battery: BatteryRecord;
  readonly band: Band;
  readonly aircraft: AircraftRecord;
  readonly conditions: DayAtPlace;
}

/**
 * What would gain most minutes to plan on: after a fit, the test to fly next or what is to be read; before it, what the draws tell
 * apart. And whether there are flights that could teach more than is used.
 */
export default function Gain({ battery, band, aircraft, conditions }: Props) {
  const batteries = useRecords((state) => state.batteries);
  const isRead = useRecords((state) => state.loadingRest === 'ready');
  const choose = useChosen((state) => state.choose);
  const learn = useToLearn(aircraft);
  const posterior = learn.current?.fit.posterior ?? null;
  const tests = useNextTests(learn, posterior, aircraft, battery, conditions);
  const labelOf = (id: string) => batteries.find((one) => one.id === id)?.label ?? 'another pack';
  const gains = [
    ...band.sensitivity.map(({ input, seconds }) => ({ way: waysToKnow[input], seconds })),
    ...(tests ?? []).map((test) => ({
      way: `Fly a test: ${testInWords(test, labelOf)}`,
      seconds: test.gainsS,
    })),
  ];
  const [first] = gains.sort((a, b) => b.seconds - a.seconds);
  const hasMore = isRead && learn.changes !== null && learn.basis.flights.length > 0 && !aircraft.takesFits;
  return (
    <>
      {first && (
        <dl className={styles.more}>
          <div>
            <dt>{first.way}</dt>
            <dd className={styles.gain}>gains {minutesAndSeconds(first.seconds)}</dd>
          </div>
        </dl>
      )}
      {hasMore && (
        <Note>
          There are flights that it does not use yet.{' '}
          <Anchor
            component={Link}
            to="/test-flights#taught"
            onClick={() => choose({ testFlightId: learn.basis.flights.at(-1)?.id ?? null })}
          >
            See what they teach
          </Anchor>
        </Note>
      )}
      {first && <Note>What you find out turns hollow strokes solid.</Note>}
    </>
  );
}
