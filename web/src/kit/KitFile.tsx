import {
  type AircraftRecord,
  type BatteryRecord,
  type KitLine,
  type KitRows,
  type Outcome,
  readKitCsv,
  writeKitCsv,
} from '@acorn-tally/core';
import { Button } from '@mantine/core';
import { useState } from 'react';
import { Say } from '../fields/Say';
import { DropFile } from '../parts/DropFile';
import { FieldError } from '../parts/FieldError';
import { LinkButton } from '../parts/LinkButton';
import { Note } from '../parts/Note';
import { PanelPart, SidePanel } from '../parts/SidePanel';
import { saveFile } from '../parts/saveFile';
import { edited, making } from '../records/changes';
import { useRecords } from '../records/records';
import { comesOrGoes } from '../records/undoHistory';
import { useClock } from '../state/clock';
import styles from './KitFile.module.css';

interface Props {
  readonly aircraft: readonly AircraftRecord[];
  readonly batteries: readonly BatteryRecord[];
  /** Whose batteries they are where a line names no aircraft. */
  readonly usual: AircraftRecord;
}

interface Read {
  readonly name: string;
  readonly outcome: Outcome<KitRows>;
}

/** The batteries out to a CSV file and in from one; what a file would change is shown before it does. */
export function KitFile({ aircraft, batteries, usual }: Props) {
  const clock = useClock();
  const [opened, setOpened] = useState(false);
  const [read, setRead] = useState<Read | null>(null);
  const nameOf = (id: string) => aircraft.find((one) => one.id === id)?.name ?? '';
  const save = () =>
    saveFile(
      'batteries.csv',
      'text/csv',
      writeKitCsv(
        batteries.map(({ aircraftId, label, pack, keeping }) => ({
          aircraft: nameOf(aircraftId),
          label,
          pack,
          keeping: keeping ?? {},
        })),
      ),
    );
  const open = async (file: File) =>
    setRead({ name: file.name, outcome: readKitCsv(await file.text(), usual.name, clock.timeZone) });
  const close = () => {
    setOpened(false);
    setRead(null);
  };
  return (
    <span className={styles.files}>
      <LinkButton onClick={save}>Export CSV</LinkButton>
      <LinkButton onClick={() => setOpened(true)}>Import CSV</LinkButton>
      <SidePanel title="Import batteries" opened={opened} onClose={close}>
        <DropFile
          label="CSV file of batteries"
          words="Drop a CSV of batteries here, or choose one"
          onFiles={([file]) => file && void open(file)}
        />
        <Note>Its first line names its columns, as in the file that Export CSV writes.</Note>
        {read && <Preview read={read} aircraft={aircraft} batteries={batteries} onClose={close} />}
      </SidePanel>
    </span>
  );
}

interface PreviewProps extends Omit<Props, 'usual'> {
  readonly read: Read;
  readonly onClose: () => void;
}

function Preview({ read, aircraft, batteries, onClose }: PreviewProps) {
  const { fresh: newRecord, doAll } = useRecords.getState();
  if (!read.outcome.ok) {
    return (
      <FieldError>
        {read.name}: <Say sentence={read.outcome.refusal} />
      </FieldError>
    );
  }
  const { lines, problems } = read.outcome.value;
  const { fresh, known, strange } = sorted(lines, aircraft, batteries);
  const take = () => {
    const written = known.flatMap(
      ({ battery, line }) =>
        edited(useRecords.getState(), 'batteries', battery.id, { pack: line.pack, keeping: line.keeping }) ??
        [],
    );
    const made = fresh.map(({ owner, line: { label, pack, keeping } }) =>
      making('batteries', newRecord('batteries', { aircraftId: owner.id, label, pack, keeping })),
    );
    doAll([...written, ...made], `importing ${read.name}`, comesOrGoes);
    onClose();
  };
  const count = fresh.length + known.length;
  return (
    <>
      <Note>{read.name}</Note>
      <Part title="New" labels={fresh.map(({ line }) => line.label)} />
      <Part title="Known, written over" labels={known.map(({ line }) => line.label)} />
      {(problems.length > 0 || strange.length > 0) && (
        <PanelPart title="Left out">
          <div role="alert">
            <ul className={styles.problems}>
              {problems.map(({ line, column, message }) => (
                <li key={`${line} ${column}`}>
                  Line {line}, {column}: {message}
                </li>
              ))}
              {strange.map(({ line, aircraft: name }) => (
                <li key={line}>
                  Line {line}, aircraft: there is no “{name}” in your kit.
                </li>
              ))}
            </ul>
          </div>
        </PanelPart>
      )}
      <Button fullWidth mt="md" onClick={take} disabled={count === 0}>
        {count === 1 ? 'Take one battery' : `Take ${count} batteries`}
      </Button>
    </>
  );
}

function Part({ title, labels }: { readonly title: string; readonly labels: readonly string[] }) {
  if (labels.length === 0) return null;
  return (
    <PanelPart title={`${title}: ${labels.length}`}>
      <div>{labels.join(', ')}</div>
    </PanelPart>
  );
}

/** Lines of the file by what they would do: make a battery, change the one of that label, or belong to nobody. */
function sorted(
  lines: readonly KitLine[],
  aircraft: readonly AircraftRecord[],
  batteries: readonly BatteryRecord[],
) {
  const owned = lines.map((line) => ({
    line,
    owner: aircraft.find(({ name }) => name.toLowerCase() === line.aircraft.toLowerCase()),
  }));
  const ours = owned.flatMap(({ line, owner }) => (owner ? [{ line, owner }] : []));
  const known = ours.flatMap(({ line, owner }) => {
    const battery = batteries.find(
      ({ label, aircraftId }) => label === line.label && aircraftId === owner.id,
    );
    return battery ? [{ line, battery }] : [];
  });
  return {
    known,
    fresh: ours.filter(({ line }) => !known.some((one) => one.line === line)),
    strange: owned.filter(({ owner }) => !owner).map(({ line }) => line),
  };
}
