import { type Band, minutesAndSeconds } from '@acorn-tally/core';
import { Anchor } from '@mantine/core';
import { Link } from 'react-router';
import { Note } from '../parts/Note';
import { useRecords } from '../records/records';
import { usePreferences } from '../state/preferences';
import styles from './Trust.module.css';
import { type Asked, useGains } from './useGains';

/** What would gain most minutes to plan on; and whether there are flights that could teach more than is used. */
export function Gain({ band, ...asked }: Asked & { readonly band: Band }) {
  const isRead = useRecords((state) => state.loadingRest === 'ready');
  const choose = usePreferences((state) => state.choose);
  const { gains, learn } = useGains(asked, band);
  const [first] = gains;
  const hasMore =
    isRead && learn.changes !== null && learn.basis.flights.length > 0 && !asked.aircraft.takesFits;
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
      {first && <Note>Test flights turn hollow strokes solid.</Note>}
    </>
  );
}
