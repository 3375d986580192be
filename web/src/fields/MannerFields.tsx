import {
  type Handling,
  handlings,
  type Manner,
  type Style,
  styleShareRanges,
  usualHandling,
  usualManner,
} from '@acorn-tally/core';
import { useWriter } from '../state/units';
import { ChoiceField } from './ChoiceField';
import { QuantityField } from './QuantityField';

interface Props {
  readonly style: Style;
  readonly manner: Manner;
  readonly onChange: (part: Partial<Manner>, what: string) => void;
  /** Said before each label, where several styles stand together. */
  readonly of?: string;
}

/** How a style is flown beyond its name: how hard, the speed that is held, and how often it turns back. */
export function MannerFields({ style, manner, onChange, of = '' }: Props) {
  const { write } = useWriter();
  if (style === 'hover') return null;
  const usual = usualManner(style, manner.handling);
  const label = (name: string) => (of ? `${of}: ${name.toLowerCase()}` : name);
  return (
    <>
      {style === 'manual' && (
        <ChoiceField<Handling>
          label={label('How hard')}
          value={manner.handling ?? usualHandling}
          options={handlings.map((value) => ({ value, label: value }))}
          onChange={(handling) => onChange({ handling }, 'how hard')}
        />
      )}
      <QuantityField<number | null>
        quantity={styleShareRanges.airspeedMps}
        label={label('Airspeed held')}
        hint={`held, not the limit; empty: ${write('speed', usual.groundMps, 1)} over ground`}
        value={manner.airspeedMps ?? null}
        assumed={null}
        onChange={(airspeedMps) => onChange({ airspeedMps }, 'airspeed')}
      />
      <QuantityField<number | null>
        quantity={styleShareRanges.reversalsPerMin}
        label={label('Reversals a minute')}
        value={manner.reversalsPerMin ?? null}
        assumed={usual.reversalsPerMin}
        onChange={(reversalsPerMin) => onChange({ reversalsPerMin }, 'reversals')}
      />
    </>
  );
}
