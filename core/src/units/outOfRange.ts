import { type Quantity, violation } from './quantity';
import type { Sentence } from './sentence';

/** How a value's name ends in a sentence, by the unit its quantity is written in. */
const endings: Readonly<Record<string, string>> = {
  'm/s': 'Mps',
  m: 'M',
  '°C': 'C',
  hPa: 'Hpa',
  '°': 'Deg',
};

/**
 * What is wrong with a value in SI that was not typed but read from elsewhere, for the reader's units; null when it is in
 * range. Only for quantities in the units above.
 */
export function outOfRange(quantity: Quantity, si: number): Sentence<'out-of-range'> | null {
  if (violation(quantity, si) === null) return null;
  const { label, unit, min, max } = quantity;
  const ending = endings[unit];
  if (!ending) throw new Error(`No sentence tells a range in “${unit}”.`);
  return {
    code: 'out-of-range',
    template: `{label} must be from {least${ending}} to {most${ending}}, not {given${ending}:1}.`,
    values: { label, [`least${ending}`]: min, [`most${ending}`]: max, [`given${ending}`]: si },
  };
}
