import { type AircraftRecord, ranges } from '@acorn-tally/core';
import { ChoiceField } from './ChoiceField';
import { QuantityField } from './QuantityField';

interface Props {
  readonly recordings: AircraftRecord['recordings'];
  readonly loadW: number | null;
  /** What nothing chosen means. */
  readonly none?: string;
  readonly onChange: (loadW: number | null) => void;
}

const other = 'other';
const off = 'off';

/** At what it records, by what that draws: the settings whose draw is known, or watts typed. */
export function RecordingField({ recordings, loadW, none = 'off, or not known', onChange }: Props) {
  const known = recordings ?? [];
  const chosen =
    known.find((one) => one.loadW === loadW)?.name ?? (loadW === null || loadW === 0 ? off : other);
  return (
    <>
      {known.length > 0 && (
        <ChoiceField
          label="Recording"
          value={chosen}
          options={[
            { value: off, label: none },
            ...known.map(({ name, loadW: draws }) => ({
              value: name,
              label: `${name}, ${draws.toFixed(1)} W`,
            })),
            ...(chosen === other ? [{ value: other, label: 'as typed' }] : []),
          ]}
          onChange={(name) => onChange(known.find((one) => one.name === name)?.loadW ?? null)}
        />
      )}
      <QuantityField<number | null>
        quantity={ranges.flight.recordingLoadW}
        hint={known.length > 0 ? undefined : 'a comparison of two tests finds it'}
        value={loadW}
        assumed={0}
        onChange={onChange}
      />
    </>
  );
}
