import '@mantine/core/styles/Checkbox.css';
import '@mantine/core/styles/Progress.css';
import {
  type AircraftRecord,
  type BatteryRecord,
  type ColumnMap,
  type DayAtPlace,
  headingKey,
  type LogColumn,
  type LogLayout,
  type LogSource,
  type LogUnit,
  logColumns,
  logUnits,
  type Mode,
  minutesAndSeconds,
  missingColumns,
  outcomeMeanwhile,
  requestForTest,
  testPatterns,
  withOffset,
} from '@acorn-tally/core';
import { Button, Checkbox, Progress } from '@mantine/core';
import { type ReactNode, useMemo, useState } from 'react';
import { ChoiceField } from '../fields/ChoiceField';
import { percent } from '../fields/percent';
import { Say } from '../fields/Say';
import { DropFile } from '../parts/DropFile';
import { LinkButton } from '../parts/LinkButton';
import { Note } from '../parts/Note';
import { PanelPart, type PanelProps, SidePanel } from '../parts/SidePanel';
import { Wrong } from '../parts/Wrong';
import { making } from '../records/changes';
import { comesOrGoes } from '../records/history';
import { useRecords } from '../records/records';
import { keepSamples } from '../records/samples';
import { beliefAbout } from '../state/belief';
import { useChosen } from '../state/chosen';
import { clockAt } from '../state/clock';
import { useAircraft, useBatteriesOf, useBattery, useConditions } from '../state/current';
import { useLogLayouts } from '../state/logLayouts';
import type { FileRead } from '../workers/logReader';
import { useLogReader } from '../workers/useLogReader';
import styles from './ImportPanel.module.css';
import { contentRead, type Keeping, keepingOf, keptBefore, type ReadFlight, testRead } from './imported';
import { isHover, patternNames } from './words';

/** Log files and tracks become test flights: read, looked at, and only then kept. */
export function ImportPanel({ opened, onClose }: PanelProps) {
  const aircraft = useAircraft();
  const batteries = useBatteriesOf(aircraft?.id);
  const battery = useBattery(batteries);
  const conditions = useConditions();
  return (
    <SidePanel title="Read log files" size={560} opened={opened} onClose={onClose}>
      {aircraft && battery && conditions ? (
        <Import
          aircraft={aircraft}
          batteries={batteries}
          battery={battery}
          conditions={conditions}
          onKept={onClose}
        />
      ) : (
        <Note>An aircraft and a battery come first: begin in Minutes.</Note>
      )}
    </SidePanel>
  );
}

interface ImportProps {
  readonly aircraft: AircraftRecord;
  readonly batteries: readonly BatteryRecord[];
  readonly battery: BatteryRecord;
  readonly conditions: DayAtPlace;
  readonly onKept: () => void;
}

function Import({ aircraft, batteries, battery, conditions, onKept }: ImportProps) {
  const { files, progress, trouble, read, cancel, samples } = useLogReader();
  const { layouts, remember } = useLogLayouts();
  const [chosen, setChosen] = useState<readonly File[]>([]);
  const [keepings, setKeepings] = useState<Readonly<Record<string, Keeping>>>({});
  const { testFlights, fresh, doAll, complain } = useRecords();
  const choose = useChosen((state) => state.choose);
  const { timeZone } = clockAt(conditions);
  const reading = { timeZone, cellCount: battery.pack.cellCount };
  const open = (from: readonly File[]) => {
    setChosen(from);
    setKeepings({});
    read(from, { ...reading, layouts });
  };
  const correct = (layout: LogLayout) => {
    const key = headingKey(layout.headings);
    remember(key, layout);
    read(chosen, { ...reading, layouts: { ...layouts, [key]: layout } });
  };

  const flights = useMemo(
    () =>
      (files ?? []).flatMap((file) =>
        file.flights.map((flight, i) => {
          const source: LogSource = { name: file.name, hash: file.hash, flightNumber: i + 1 };
          const before = keptBefore(source, testFlights);
          return { key: `${file.hash} ${i}`, flight, source, before };
        }),
      ),
    [files, testFlights],
  );
  const keepingAt = ({ key, flight, before }: (typeof flights)[number]) =>
    keepings[key] ?? keepingOf(flight, battery, before !== null);
  const wanted = flights.flatMap((one) => {
    const keeping = keepingAt(one);
    const test = testRead(one.flight, keeping);
    const own = batteries.find(({ id }) => id === keeping.batteryId);
    return keeping.wanted && typeof test !== 'string' && own ? [{ ...one, test, own }] : [];
  });
  const keep = async () => {
    // Asked for before the panel goes, and its reader with it.
    const raw = await Promise.all(
      wanted.map(({ source }) => samples(source.hash, source.flightNumber).catch(() => null)),
    );
    const made = wanted.map(({ flight, test, own, source }) => {
      const at = withOffset(flight.startedAt ?? conditions.at, timeZone);
      const content = contentRead(test, own, at, conditions.weather, source);
      const request = requestForTest(test, aircraft.spec, own.pack, conditions.weather);
      const outcome = outcomeMeanwhile(content, request, beliefAbout(aircraft).middle, Date.now());
      return fresh('testFlights', content, { outcome });
    });
    doAll(
      made.map((one) => making('testFlights', one)),
      made.length === 1 ? 'reading a flight from a file' : `reading ${made.length} flights from files`,
      comesOrGoes,
    );
    for (const [i, { id }] of made.entries()) {
      const own = raw[i];
      if (own) void keepSamples(id, own).catch((error: Error) => complain(error.message));
    }
    if (made[0]) choose({ testFlightId: made[0].id });
    onKept();
  };

  return (
    <>
      <DropFile
        several
        label="Log files"
        words="Drop logs as CSV, and tracks as GPX or GeoJSON here, or choose them"
        onFiles={open}
      />
      <Note>
        Any columns will do, if time and charge are among them. A track of the same time gives a log its
        height, speed and pattern. Nothing is kept before you say so.
      </Note>
      {progress !== null && (
        <div className={styles.reading}>
          <Progress value={progress * 100} aria-label="Read so far" />
          <LinkButton onClick={cancel}>Cancel</LinkButton>
        </div>
      )}
      {trouble && <Wrong>{trouble}</Wrong>}
      {progress === null &&
        (files ?? []).map((file) => (
          <FilePart key={`${file.name} ${file.hash}`} file={file} onLayout={correct}>
            {flights
              .filter(({ source }) => source.hash === file.hash && source.name === file.name)
              .map((one) => (
                <FlightPart
                  key={one.key}
                  flight={one.flight}
                  number={one.source.flightNumber}
                  keptAs={
                    one.before && `${clockAt(conditions).format(one.before.flownAt, 'D MMM YYYY, HH:mm')}`
                  }
                  startedAt={
                    one.flight.startedAt &&
                    clockAt(conditions).format(one.flight.startedAt, 'D MMM YYYY, HH:mm')
                  }
                  keeping={keepingAt(one)}
                  batteries={batteries}
                  onChange={(keeping) => setKeepings({ ...keepings, [one.key]: keeping })}
                />
              ))}
          </FilePart>
        ))}
      {progress === null && flights.length > 0 && (
        <>
          <Note>
            In the conditions of the ribbon, {clockAt(conditions).format(conditions.at, 'D MMM, HH:mm')}: set
            them to those of the flights first, if they differ.
          </Note>
          <Button fullWidth disabled={wanted.length === 0} onClick={() => void keep()}>
            {wanted.length === 1 ? 'Keep one flight' : `Keep ${wanted.length} flights`}
          </Button>
        </>
      )}
    </>
  );
}

interface FilePartProps {
  readonly file: FileRead;
  readonly onLayout: (layout: LogLayout) => void;
  readonly children: ReactNode;
}

function FilePart({ file, onLayout, children }: FilePartProps) {
  const { name, refusal, layout, rows, problems, leftOut, flights, withTrack } = file;
  const missing = layout ? missingColumns(layout) : [];
  return (
    <PanelPart title={name}>
      {refusal && (
        <Wrong>
          <Say sentence={refusal} />
        </Wrong>
      )}
      {layout && <Columns layout={layout} onLayout={onLayout} />}
      {missing.length > 0 && (
        <Wrong>Which column tells {missing.join(', and which ')}? Say it above; it is remembered.</Wrong>
      )}
      {!refusal && missing.length === 0 && (
        <Note>
          {rows} rows{withTrack && `, with the track of ${withTrack}`}.{' '}
          {layout === null &&
            flights.length === 0 &&
            'A track without a gauge: read it together with its log.'}
          {layout !== null &&
            flights.length === 0 &&
            'No flight is in it: none lasts half a minute and spends 3 %.'}
        </Note>
      )}
      {leftOut > 0 && (
        <div role="alert" className={styles.problems}>
          {leftOut === 1 ? 'One line is' : `${leftOut} lines are`} left out:
          <ul>
            {problems.map(({ line, message }) => (
              <li key={`${line} ${message}`}>
                Line {line}: {message}
              </li>
            ))}
            {leftOut > problems.length && <li>and {leftOut - problems.length} more</li>}
          </ul>
        </div>
      )}
      {children}
    </PanelPart>
  );
}

/** What each column was taken for: shown, and corrected once. */
function Columns({
  layout,
  onLayout,
}: {
  readonly layout: LogLayout;
  readonly onLayout: (layout: LogLayout) => void;
}) {
  const missing = missingColumns(layout);
  const [open, setOpen] = useState(false);
  const { headings, columns } = layout;
  const told = logColumns.filter((column) => columns[column]);
  const set = (column: LogColumn, index: number, unit: LogUnit) => {
    const { [column]: _, ...others } = columns;
    const next: ColumnMap = index < 0 ? others : { ...others, [column]: { index, unit } };
    onLayout({ ...layout, columns: next });
  };
  return (
    <>
      <Note>
        {told
          .map(
            (column) =>
              `${column}: “${headings[columns[column]?.index ?? 0]?.trim()}” in ${columns[column]?.unit}`,
          )
          .join('; ')}
        {'. '}
        <LinkButton onClick={() => setOpen(!open)}>
          {open ? 'Close the columns' : 'Correct the columns'}
        </LinkButton>
      </Note>
      {(open || missing.length > 0) &&
        logColumns.map((column) => {
          const found = columns[column];
          const units = logUnits[column] as readonly LogUnit[];
          const unit = found?.unit ?? (units[0] as LogUnit);
          return (
            <div key={column} className={styles.column}>
              <ChoiceField
                label={`Column of ${column}`}
                value={String(found?.index ?? -1)}
                options={[
                  { value: '-1', label: 'none' },
                  ...headings.map((heading, i) => ({
                    value: String(i),
                    label: heading.trim() || `column ${i + 1}`,
                  })),
                ]}
                onChange={(index) => set(column, Number(index), unit)}
              />
              {found && units.length > 1 && (
                <ChoiceField
                  label={`Unit of ${column}`}
                  value={unit}
                  options={units.map((one) => ({ value: one, label: one }))}
                  onChange={(one) => set(column, found.index, one)}
                />
              )}
            </div>
          );
        })}
    </>
  );
}

interface FlightPartProps {
  readonly flight: ReadFlight;
  readonly number: number;
  /** When the same flight was kept before, in words; null where it was not. */
  readonly keptAs: string | null;
  readonly startedAt: string | null;
  readonly keeping: Keeping;
  readonly batteries: readonly BatteryRecord[];
  readonly onChange: (keeping: Keeping) => void;
}

const modes: readonly Mode[] = ['slow', 'normal', 'fast', 'manual'];

function FlightPart({ flight, number, keptAs, startedAt, keeping, batteries, onChange }: FlightPartProps) {
  const { durationS, startCharge, endCharge, checkpoints } = flight;
  const test = testRead(flight, keeping);
  const set = (change: Partial<Keeping>) => onChange({ ...keeping, ...change });
  return (
    <div className={styles.flight}>
      <Checkbox
        label={`Flight ${number}: ${minutesAndSeconds(durationS)} min, ${percent(startCharge)} to ${percent(endCharge)}`}
        checked={keeping.wanted && typeof test !== 'string'}
        disabled={typeof test === 'string'}
        onChange={(event) => set({ wanted: event.currentTarget.checked })}
      />
      <Note>
        {startedAt ?? 'without a date: the ribbon’s hour stands for it'}, {checkpoints.length} steps of the
        gauge
        {flight.pattern !== null && `, by its track ${patternNames[flight.pattern]}`}.
      </Note>
      {keptAs && <Note status>This flight of this file was kept before, as of {keptAs}.</Note>}
      {typeof test === 'string' ? (
        <Wrong>{test}</Wrong>
      ) : (
        <>
          <ChoiceField
            label="Battery"
            value={keeping.batteryId}
            options={batteries.map(({ id, label }) => ({ value: id, label }))}
            onChange={(batteryId) => set({ batteryId })}
          />
          <ChoiceField
            label="Pattern"
            value={keeping.pattern}
            options={testPatterns.map((value) => ({ value, label: patternNames[value] }))}
            onChange={(pattern) => set({ pattern })}
          />
          {!isHover(keeping.pattern) && (
            <ChoiceField
              label="Mode"
              value={keeping.mode}
              options={modes.map((value) => ({ value, label: value }))}
              onChange={(mode) => set({ mode })}
            />
          )}
        </>
      )}
    </div>
  );
}
