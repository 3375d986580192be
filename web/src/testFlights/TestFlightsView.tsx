import { minutesAndSeconds } from '@acorn-tally/core';
import { ActionIcon, Button } from '@mantine/core';
import { IconArrowsDiff, IconClockPlay } from '@tabler/icons-react';
import { Suspense, useEffect, useMemo, useState } from 'react';
import { Link, useSearchParams } from 'react-router';
import { followClocks, useClocks } from '../flightClock/useClocks';
import { Choosable } from '../parts/Choosable';
import { AsideSection, Desk } from '../parts/Desk';
import { Empty } from '../parts/Empty';
import { LinkButton } from '../parts/LinkButton';
import { Note } from '../parts/Note';
import { howFlown } from '../parts/testWords';
import { usePhone } from '../parts/usePhone';
import { useTouched } from '../parts/useTouched';
import { useRecords } from '../records/records';
import { useClock } from '../state/clock';
import { useAircraft } from '../state/current';
import { lazyPart } from '../state/lazyPart';
import { usePreferences } from '../state/preferences';
import { AllFlights } from './AllFlights';
import { Comparison } from './Comparison';
import { everyTest, listed } from './filter';
import { ByBattery, ByKind } from './Groups';
import { ListingFields } from './ListingFields';
import { Taught } from './Taught';
import { TestDetail } from './TestDetail';
import styles from './TestFlightsView.module.css';
import { type TestRow, useTests } from './useTests';
import { missInWords } from './words';

const ImportPanel = lazyPart(async () => (await import('./ImportPanel')).ImportPanel);

/** More lines in one plot cannot be told apart. */
const maxCompared = 4;

/** What was flown, held against the estimate made for it and against the box. */
export function TestFlightsView() {
  const rows = useTests();
  const aircraft = useAircraft();
  const isPhone = usePhone();
  const { testFlightId, choose } = usePreferences();
  const [, setSearch] = useSearchParams();
  const [listing, setListing] = useState(everyTest);
  const [filters, setFilters] = useState(false);
  const [imports, setImports] = useState(false);
  const importing = useTouched(imports);
  const [comparedIds, setCompared] = useState<readonly string[]>([]);
  const shown = useMemo(() => listed(rows, listing), [rows, listing]);
  const compared = comparedIds.flatMap((id) => rows.find(({ record }) => record.id === id) ?? []);
  const chosen = rows.find(({ record }) => record.id === testFlightId) ?? rows[0] ?? null;
  const flown = useRecords((state) => state.aircraft.find(({ id }) => id === chosen?.record.aircraftId));
  const compare = (id: string) =>
    setCompared((ids) =>
      ids.includes(id) ? ids.filter((one) => one !== id) : [...ids, id].slice(-maxCompared),
    );
  const record = (
    <Button fullWidth onClick={() => setSearch({ record: '' })} disabled={!aircraft}>
      Record a test <kbd className={styles.key}>T</kbd>
    </Button>
  );
  return (
    <Desk
      label="Test flights"
      action={
        <>
          <ClockLink short />
          {record}
        </>
      }
      aside={
        <>
          <div className={styles.actions}>
            {!isPhone && <ClockLink />}
            <Button fullWidth variant="default" className={styles.clock} onClick={() => setImports(true)}>
              Read log files
            </Button>
            {!isPhone && record}
          </div>
          <AsideSection
            title="Flown so far"
            end={
              rows.length > 1 && (
                <LinkButton onClick={() => setFilters(!filters)}>
                  {filters ? 'Close the filter' : 'Filter, sort'}
                </LinkButton>
              )
            }
          >
            {filters && <ListingFields rows={rows} listing={listing} onChange={setListing} />}
            {shown.length === 0 && rows.length > 0 && (
              <Note>
                None of {rows.length} is of that kind.{' '}
                <LinkButton onClick={() => setListing(everyTest)}>Show all</LinkButton>
              </Note>
            )}
            <ul className={styles.list}>
              {shown.map((row) => (
                <TestItem
                  key={row.record.id}
                  row={row}
                  chosen={row === chosen}
                  onChoose={() => choose({ testFlightId: row.record.id })}
                  compared={comparedIds.includes(row.record.id)}
                  onCompare={rows.length > 1 ? () => compare(row.record.id) : null}
                />
              ))}
            </ul>
          </AsideSection>
        </>
      }
    >
      <Suspense fallback={null}>
        {importing && <ImportPanel opened={imports} onClose={() => setImports(false)} />}
      </Suspense>
      {compared.length > 1 ? (
        <Comparison rows={compared} onEnd={() => setCompared([])} />
      ) : chosen ? (
        <>
          <TestDetail key={chosen.record.id} row={chosen} />
          {flown && <Taught key={flown.id} aircraft={flown} rows={rows} />}
          <AllFlights rows={rows} />
          <div className={styles.groups}>
            <ByKind
              rows={rows.filter(({ record }) => record.aircraftId === chosen.record.aircraftId)}
              aircraftId={chosen.record.aircraftId}
            />
            <ByBattery rows={rows} />
          </div>
        </>
      ) : (
        <NoTests hasAircraft={aircraft !== null} />
      )}
    </Desk>
  );
}

/** The way to the clock, and what runs on it. */
function ClockLink({ short = false }: { readonly short?: boolean }) {
  const clocks = useClocks((state) => state.clocks) ?? [];
  const running = clocks.map(({ plan }) => plan.label).join(', ');
  useEffect(followClocks, []);
  return (
    <Button
      component={Link}
      to="/clock"
      fullWidth
      variant="default"
      leftSection={!short && <IconClockPlay size={18} aria-hidden />}
      className={short ? undefined : styles.clock}
      aria-label={
        running
          ? `${short ? 'By the clock, running' : 'On the clock'}: ${running}`
          : 'Fly a test by the clock'
      }
    >
      {short ? 'By the clock' : running ? `On the clock: ${running}` : 'Fly a test by the clock'}
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
  readonly compared: boolean;
  readonly onCompare: (() => void) | null;
}

function TestItem({ row, chosen, onChoose, compared, onCompare }: ItemProps) {
  const { record, battery, comparison, counts, questions } = row;
  const clock = useClock();
  const { test } = record;
  return (
    <li className={styles.row}>
      <Choosable chosen={chosen} onChoose={onChoose} className={styles.item}>
        <b>
          {battery?.label ?? 'removed battery'} · {howFlown(record)}
        </b>
        {!counts && <b>{questions.length > 0 ? 'asked' : 'left out'}</b>}
        {counts && record.purpose === 'work' && <b>work</b>}
        <small>
          {clock.format(record.flownAt, 'D MMM')} · {minutesAndSeconds(test.durationS)} min to{' '}
          {Math.round(test.endCharge * 100)}
          {'\u00a0'}%
        </small>
        {counts && comparison.missFraction !== null && (
          <small>estimate {missInWords(comparison.missFraction)}</small>
        )}
      </Choosable>
      {onCompare && (
        <ActionIcon
          className={styles.compare}
          aria-label={`Compare ${battery?.label ?? 'removed battery'}, ${howFlown(record)}, ${clock.format(record.flownAt, 'D MMM')}`}
          aria-pressed={compared}
          onClick={onCompare}
        >
          <IconArrowsDiff size={16} aria-hidden />
        </ActionIcon>
      )}
    </li>
  );
}
