import '@mantine/core/styles/Progress.css';
import {
  type AircraftRecord,
  type BatteryRecord,
  type DayAtPlace,
  flightUse,
  headingKey,
  type LogLayout,
  type LogSource,
  provisionalOutcome,
  testRequestFor,
  withOffset,
} from '@acorn-tally/core';
import { Button, Progress } from '@mantine/core';
import { useMemo, useState } from 'react';
import { DropFile } from '../parts/DropFile';
import { FieldError } from '../parts/FieldError';
import { LinkButton } from '../parts/LinkButton';
import { Note } from '../parts/Note';
import { type PanelProps, SidePanel } from '../parts/SidePanel';
import { useBusy } from '../parts/useBusy';
import { making } from '../records/changes';
import { useRecords } from '../records/records';
import { keepSamples } from '../records/samples';
import { comesOrGoes } from '../records/undoHistory';
import { beliefAbout } from '../state/belief';
import { clockAt } from '../state/clock';
import { useAircraft, useBatteriesOf, useBattery, useConditions } from '../state/current';
import { useLogLayouts } from '../state/logLayouts';
import { usePreferences } from '../state/preferences';
import { useLogReader } from '../workers/useLogReader';
import { ImportedFile } from './ImportedFile';
import { ImportedFlight } from './ImportedFlight';
import styles from './ImportPanel.module.css';
import { contentRead, type Keeping, keepingOf, keptBefore, testRead } from './imported';
import { PacksAfter, usePacksAfter } from './PacksAfter';

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
  const choose = usePreferences((state) => state.choose);
  const { busy, run } = useBusy();
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
  const packs = usePacksAfter(
    wanted.map(({ test, own, flight }) => ({
      ...flightUse(flight.startedAt ?? conditions.at, test),
      batteryId: own.id,
    })),
  );
  const keep = async () => {
    // Asked for before the panel goes, and its reader with it.
    const raw = await Promise.all(
      wanted.map(({ source }) => samples(source.hash, source.flightNumber).catch(() => null)),
    );
    const made = wanted.map(({ flight, test, own, source }) => {
      const at = withOffset(flight.startedAt ?? conditions.at, timeZone);
      const content = contentRead(test, own, at, conditions.weather, source);
      const request = testRequestFor(content, aircraft, own);
      const outcome = provisionalOutcome(content, request, beliefAbout(aircraft).middle, Date.now());
      return fresh('testFlights', content, { outcome });
    });
    doAll(
      [...made.map((one) => making('testFlights', one)), ...packs.changes()],
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
          <Progress value={Math.round(progress * 100)} aria-label="Read so far" />
          <LinkButton onClick={cancel}>Cancel</LinkButton>
        </div>
      )}
      {trouble && <FieldError>{trouble}</FieldError>}
      {progress === null &&
        (files ?? []).map((file) => (
          <ImportedFile key={`${file.name} ${file.hash}`} file={file} onLayout={correct}>
            {flights
              .filter(({ source }) => source.hash === file.hash && source.name === file.name)
              .map((one) => (
                <ImportedFlight
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
          </ImportedFile>
        ))}
      {progress === null && flights.length > 0 && (
        <>
          <Note>
            In the conditions of the ribbon, {clockAt(conditions).format(conditions.at, 'D MMM, HH:mm')}: set
            them to those of the flights first, if they differ.
          </Note>
          <PacksAfter after={packs} />
          <Button fullWidth disabled={wanted.length === 0 || busy} onClick={() => void run(keep)}>
            {wanted.length === 1 ? 'Keep one flight' : `Keep ${wanted.length} flights`}
          </Button>
        </>
      )}
    </>
  );
}
