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
import { useRef, useState } from 'react';
import { SidePanel } from '../app/SidePanel';
import { saveFile } from '../app/saveFile';
import { useBusy } from '../app/useBusy';
import { Say } from '../fields/Say';
import { useClock } from '../state/clock';
import { useRecords } from '../state/records';

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
  const input = useRef<HTMLInputElement>(null);
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
  const open = async (file: File | undefined) => {
    if (file)
      setRead({ name: file.name, outcome: readKitCsv(await file.text(), usual.name, clock.timeZone) });
    if (input.current) input.current.value = '';
  };
  return (
    <span className="kit-files">
      <button type="button" className="link" onClick={save}>
        Export CSV
      </button>
      <button type="button" className="link" onClick={() => input.current?.click()}>
        Import CSV
      </button>
      <input
        ref={input}
        type="file"
        accept=".csv,text/csv,text/plain"
        aria-label="CSV file of batteries"
        className="unseen"
        tabIndex={-1}
        onChange={(event) => void open(event.target.files?.[0])}
      />
      <SidePanel title="Import batteries" opened={read !== null} onClose={() => setRead(null)}>
        {read && (
          <Preview read={read} aircraft={aircraft} batteries={batteries} onClose={() => setRead(null)} />
        )}
      </SidePanel>
    </span>
  );
}

interface PreviewProps extends Omit<Props, 'usual'> {
  readonly read: Read;
  readonly onClose: () => void;
}

function Preview({ read, aircraft, batteries, onClose }: PreviewProps) {
  const { add, editAll } = useRecords();
  const { busy, run } = useBusy();
  if (!read.outcome.ok) {
    return (
      <p className="field-problem" role="alert">
        {read.name}: <Say sentence={read.outcome.refusal} />
      </p>
    );
  }
  const { lines, problems } = read.outcome.value;
  const { fresh, known, strange } = sorted(lines, aircraft, batteries);
  const take = () =>
    run(async () => {
      editAll(
        'batteries',
        known.map(({ battery, line }) => ({
          id: battery.id,
          content: { pack: line.pack, keeping: line.keeping },
        })),
        `importing ${read.name}`,
      );
      for (const { owner, line } of fresh) {
        const { label, pack, keeping } = line;
        await add('batteries', { aircraftId: owner.id, label, pack, keeping }, `adding ${label}`);
      }
      onClose();
    });
  const count = fresh.length + known.length;
  return (
    <>
      <p className="panel-note">{read.name}</p>
      <Part title="New" labels={fresh.map(({ line }) => line.label)} />
      <Part title="Known, written over" labels={known.map(({ line }) => line.label)} />
      {(problems.length > 0 || strange.length > 0) && (
        <>
          <h3 className="panel-part">Left out</h3>
          <div role="alert">
            <ul className="kit-problems">
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
        </>
      )}
      <Button fullWidth mt="md" onClick={take} loading={busy} disabled={count === 0}>
        {count === 1 ? 'Take one battery' : `Take ${count} batteries`}
      </Button>
    </>
  );
}

function Part({ title, labels }: { readonly title: string; readonly labels: readonly string[] }) {
  if (labels.length === 0) return null;
  return (
    <>
      <h3 className="panel-part">
        {title}: {labels.length}
      </h3>
      <p className="kit-labels">{labels.join(', ')}</p>
    </>
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
