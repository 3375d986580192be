import { isPoints, maxShots, readShotPoints, readShotsCsv, type ShootRecord } from '@acorn-tally/core';
import { Button, Textarea } from '@mantine/core';
import { Say } from '../fields/Say';
import { type PanelProps, SidePanel } from '../parts/SidePanel';
import { Warning } from '../parts/Warning';
import { useRecords } from '../records/records';
import { clockAt } from '../state/clock';
import { useConditionsOf } from '../state/current';
import { useWriter } from '../state/units';
import styles from './PasteShots.module.css';
import { counted } from './planWords';

interface Props extends PanelProps {
  readonly shoot: ShootRecord;
  readonly text: string;
  readonly onType: (text: string) => void;
}

/** Rows of a table program become shots; wrong ones are told by their line. */
export function PasteShots({ shoot, text, onType, opened, onClose }: Props) {
  const conditions = useConditionsOf(shoot);
  const clock = clockAt(conditions);
  const edit = useRecords((state) => state.edit);
  const home = conditions?.site.coordinates ?? null;
  const { units } = useWriter();
  const newId = () => crypto.randomUUID();
  const read =
    text.trim() === ''
      ? null
      : isPoints(text) && home
        ? readShotPoints(text, home, newId)
        : readShotsCsv(text, clock.timeZone, newId, units);
  const problems = read?.ok ? read.value.problems : [];
  const count = read?.ok ? read.value.shots.length : 0;
  const take = () => {
    if (!read?.ok) return;
    const longer = (now: ShootRecord) => [...now.shots, ...read.value.shots].slice(0, maxShots);
    edit('shoots', shoot.id, (now) => ({ shots: longer(now) }), 'pasting shots', { apart: true });
    onType('');
    onClose();
  };
  return (
    <SidePanel opened={opened} onClose={onClose} title="Paste shots" size={560}>
      <Textarea
        label="Rows with their headings, or points"
        description={`From a spreadsheet: name and minutes are needed; style, distance, bearing, height, takes and need are read where they are there, in the units their headings name, else in yours.${home ? ' From a map: points as GPX or GeoJSON.' : ''}`}
        autosize
        minRows={6}
        maxRows={14}
        value={text}
        onChange={(event) => onType(event.currentTarget.value)}
      />
      <div className={styles.end}>
        {read?.ok === false && (
          <Warning alert>
            <Say sentence={read.refusal} />
          </Warning>
        )}
        {problems.map(({ line, column, message }) => (
          <Warning key={`${line} ${column}`}>
            Line {line}
            {column && `, ${column}`}: {message}
          </Warning>
        ))}
        <Button disabled={count === 0} onClick={take}>
          {count === 0 ? 'Add the shots' : `Add ${counted(count, 'shot', 'shots')}`}
        </Button>
      </div>
    </SidePanel>
  );
}
