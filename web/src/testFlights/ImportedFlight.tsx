import '@mantine/core/styles/Checkbox.css';
import { type BatteryRecord, type Mode, minutesAndSeconds, testPatterns } from '@acorn-tally/core';
import { Checkbox } from '@mantine/core';
import { ChoiceField } from '../fields/ChoiceField';
import { percent } from '../fields/percent';
import { FieldError } from '../parts/FieldError';
import { Note } from '../parts/Note';
import { isHover, patternNames } from '../parts/testWords';
import styles from './ImportPanel.module.css';
import { type Keeping, type ReadFlight, testRead } from './imported';

interface ImportedFlightProps {
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

/** One flight of a file: whether it is wanted, and what the file does not say of it. */
export function ImportedFlight({
  flight,
  number,
  keptAs,
  startedAt,
  keeping,
  batteries,
  onChange,
}: ImportedFlightProps) {
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
        <FieldError>{test}</FieldError>
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
