import {
  defaultHandling,
  defaultManner,
  type Handling,
  handlings,
  type Manner,
  type Style,
  styleShareRanges,
} from '@acorn-tally/core';
import { useWriter } from '../state/units';
import { ChoiceField } from './ChoiceField';
import { QuantityField } from './QuantityField';

interface Props {
  readonly style: Style;
  readonly manner: Manner;
  readonly onChange: (part: Partial<Manner>, what: string) => void;
}

/** How a style is flown beyond its name: how hard, the speed that is held, and how often it turns back. */
export function MannerFields({ style, manner, onChange }: Props) {
  const { write } = useWriter();
  if (style === 'hover') return null;
  const usual = defaultManner(style, manner.handling);
  return (
    <>
      {style === 'manual' && (
        <ChoiceField<Handling>
          label="How hard"
          value={manner.handling ?? defaultHandling}
          options={handlings.map((value) => ({ value, label: value }))}
          onChange={(handling) => onChange({ handling }, 'how hard')}
        />
      )}
      <QuantityField<number | null>
        quantity={styleShareRanges.airspeedMps}
        label="Airspeed held"
        hint={`held, not the limit; empty: ${write('speed', usual.groundMps, 1)} over ground`}
        value={manner.airspeedMps ?? null}
        assumed={null}
        onChange={(airspeedMps) => onChange({ airspeedMps }, 'airspeed')}
      />
      <QuantityField<number | null>
        quantity={styleShareRanges.reversalsPerMin}
        value={manner.reversalsPerMin ?? null}
        assumed={usual.reversalsPerMin}
        onChange={(reversalsPerMin) => onChange({ reversalsPerMin }, 'reversals')}
      />
    </>
  );
}
