import { type ComesHome, comesHomeWays, defaultComesHome, type Policy } from '@acorn-tally/core';
import { ChoiceField } from './ChoiceField';
import type { FieldLayout } from './shape';

const names: Readonly<Record<ComesHome, string>> = {
  'by-itself': 'by itself, as a lost link does',
  'by-hand': 'by hand, normal mode',
  'by-hand-fast': 'by hand, fast mode',
  'by-hand-low': 'by hand, low',
};

/** "flown home by hand, normal mode"; nothing where it comes by itself. */
export function comesHomeInWords({ comesHome }: Pick<Policy, 'comesHome'>): string | null {
  const how = comesHome ?? defaultComesHome;
  return how === 'by-itself' ? null : `flown home ${names[how]}`;
}

interface Props extends FieldLayout {
  readonly policy: Policy;
  readonly onChange: (part: Pick<Policy, 'comesHome'>) => void;
}

/** How the way home is flown. The default is what a lost link leaves; the others rest on sight, link and hands. */
export function ComesHomeField({ policy, onChange, ...standing }: Props) {
  return (
    <ChoiceField<ComesHome>
      {...standing}
      label="Comes home"
      value={policy.comesHome ?? defaultComesHome}
      options={comesHomeWays.map((value) => ({ value, label: names[value] }))}
      onChange={(comesHome) => onChange({ comesHome })}
    />
  );
}
