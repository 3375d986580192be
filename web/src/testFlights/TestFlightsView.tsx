import { minutesAndSeconds } from '@acorn-tally/core';
import { Button } from '@mantine/core';
import { IconClockPlay } from '@tabler/icons-react';
import { useEffect } from 'react';
import { Link, useSearchParams } from 'react-router';
import { percent } from '../fields/percent';
import { followClocks, useClocks } from '../flightClock/useClocks';
import { Choosable } from '../parts/Choosable';
import { Chosen, Desk } from '../parts/Desk';
import { Empty } from '../parts/Empty';
import { usePhone } from '../parts/usePhone';
import { useChosen } from '../state/chosen';
import { useClock } from '../state/clock';
import { useAircraft } from '../state/current';
import { AllFlights } from './AllFlights';
import { TestDetail } from './TestDetail';
import styles from './TestFlightsView.module.css';
import { type TestRow, useTests } from './useTests';
import { howFlown, missInWords } from './words';

/** What was flown, held against the estimate made for it and against the box. */
export function TestFlightsView() {
  const rows = useTests();
  const aircraft = useAircraft();
  const isPhone = usePhone();
  const { testFlightId, choose } = useChosen();
  const [, setSearch] = useSearchParams();
  const chosen = rows.find(({ record }) => record.id === testFlightId) ?? rows[0] ?? null;
  const record = (
    <Button fullWidth onClick={() => setSearch({ record: '' })} disabled={!aircraft}>
      Record a test <kbd className={styles.key}>T</kbd>
    </Button>
  );
  return (
    <Desk
      label="Test flights"
      action={record}
      aside={
        <>
          <Chosen title="Flown so far">
            <ul className={styles.list}>
              {rows.map((row) => (
                <TestItem
                  key={row.record.id}
                  row={row}
                  chosen={row === chosen}
                  onChoose={() => choose({ testFlightId: row.record.id })}
                />
              ))}
            </ul>
          </Chosen>
          <Running />
          {!isPhone && record}
        </>
      }
    >
      {chosen ? (
        <>
          <TestDetail key={chosen.record.id} row={chosen} />
          <AllFlights rows={rows} />
        </>
      ) : (
        <NoTests hasAircraft={aircraft !== null} />
      )}
    </Desk>
  );
}

/** The way to the clock, and what runs on it. */
function Running() {
  const clocks = useClocks((state) => state.clocks) ?? [];
  useEffect(followClocks, []);
  return (
    <Button
      component={Link}
      to="/clock"
      fullWidth
      variant="default"
      leftSection={<IconClockPlay size={18} aria-hidden />}
      className={styles.clock}
    >
      {clocks.length === 0
        ? 'Fly a test by the clock'
        : `On the clock: ${clocks.map(({ plan }) => plan.label).join(', ')}`}
    </Button>
  );
}

function NoTests({ hasAircraft }: { readonly hasAircraft: boolean }) {
  return (
    <Empty title="No test flights yet">
      <p>
        A full pack, a stopwatch at lift-off, a hover low over open ground until about 25 % is left: that one
        test says more than the box. {hasAircraft ? 'Record it with T.' : 'Add an aircraft in Minutes first.'}
      </p>
    </Empty>
  );
}

interface ItemProps {
  readonly row: TestRow;
  readonly chosen: boolean;
  readonly onChoose: () => void;
}

function TestItem({ row, chosen, onChoose }: ItemProps) {
  const { record, battery, comparison, counts, questions } = row;
  const clock = useClock();
  const { test } = record;
  return (
    <li>
      <Choosable chosen={chosen} onChoose={onChoose} className={styles.item}>
        <b>
          {battery?.label ?? 'removed battery'} · {howFlown(record)}
        </b>
        {!counts && <b>{questions.length > 0 ? 'asked' : 'left out'}</b>}
        <small>
          {clock.format(record.flownAt, 'D MMM')} · {minutesAndSeconds(test.durationS)} min, down to{' '}
          {percent(test.endCharge)}
        </small>
        {counts && comparison.missFraction !== null && (
          <small>estimate {missInWords(comparison.missFraction)}</small>
        )}
      </Choosable>
    </li>
  );
}
