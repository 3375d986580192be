import { minutesAndSeconds } from '@acorn-tally/core';
import { Button } from '@mantine/core';
import { useSearchParams } from 'react-router';
import { percent } from '../fields/percent';
import { useChosen } from '../state/chosen';
import { useClock } from '../state/clock';
import { useAircraft } from '../state/current';
import { AllFlights } from './AllFlights';
import { TestDetail } from './TestDetail';
import { TestDrawer } from './TestDrawer';
import { type TestRow, useTests } from './useTests';
import { howFlown, signedPercent } from './words';
import './testFlights.css';

/** What was flown, held against the estimate made for it and against the box. */
export function TestFlightsView() {
  const rows = useTests();
  const aircraft = useAircraft();
  const { testFlightId, choose } = useChosen();
  const [search, setSearch] = useSearchParams();
  const chosen = rows.find(({ record }) => record.id === testFlightId) ?? rows[0] ?? null;
  const recording = search.has('record');
  const open = () => setSearch({ record: '' });
  const close = () => setSearch({});
  return (
    <div className="desk">
      <aside className="desk-left" aria-label="Test flights">
        <h2>Flown so far</h2>
        <ul className="test-list">
          {rows.map((row) => (
            <TestItem
              key={row.record.id}
              row={row}
              chosen={row === chosen}
              onChoose={() => choose({ testFlightId: row.record.id })}
            />
          ))}
        </ul>
        <Button fullWidth onClick={open} disabled={!aircraft}>
          Record a test T
        </Button>
      </aside>
      <main className="desk-main">
        {chosen ? (
          <>
            <TestDetail key={chosen.record.id} row={chosen} />
            <AllFlights rows={rows} />
          </>
        ) : (
          <NoTests hasAircraft={aircraft !== null} />
        )}
      </main>
      {aircraft && <TestDrawer opened={recording} onClose={close} />}
    </div>
  );
}

function NoTests({ hasAircraft }: { readonly hasAircraft: boolean }) {
  return (
    <div className="empty">
      <h1>No test flights yet</h1>
      <p>
        A full pack, a stopwatch at lift-off, a hover low over open ground until about 25 % is left: that one
        test says more than the box. {hasAircraft ? 'Record it with T.' : 'Add an aircraft in Minutes first.'}
      </p>
    </div>
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
      <button type="button" className="test-item" aria-pressed={chosen} onClick={onChoose}>
        <b>
          {battery?.label ?? 'removed battery'} · {howFlown(record)}
        </b>
        <b>
          {counts
            ? comparison.missFraction === null
              ? '–'
              : signedPercent(comparison.missFraction)
            : questions.length > 0
              ? 'asked'
              : 'left out'}
        </b>
        <small>
          {clock.format(record.flownAt, 'D MMM')} · {minutesAndSeconds(test.durationS)} to{' '}
          {percent(test.endCharge)}
        </small>
      </button>
    </li>
  );
}
