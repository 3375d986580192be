import { minutesAndSeconds, readClock } from './clock';
import { scaleOf, unitNamed } from './unitChoices';

/**
 * A quantity a person may enter: its name, the unit it is shown in, and the range that makes sense.
 * The one place a range is written; the HTTP door and the input fields both read it from here.
 */
export interface Quantity {
  readonly label: string;
  /** Unit as shown to a person, for example "%", "g", "m/s"; empty for a plain count. */
  readonly unit: string;
  /** SI value of one shown unit: 0.01 for a percentage, 0.001 for grams. */
  readonly siPerUnit: number;
  /** SI value where the shown unit reads 0; 0 when absent. Only °F needs it. */
  readonly siAtZero?: number;
  /** A difference of two values, so that no zero is shifted: 10 °C colder is 18 °F colder. */
  readonly difference?: boolean;
  /** Decimals shown at most; six significant figures when absent. */
  readonly digits?: number;
  /** Range in SI, both ends allowed. */
  readonly min: number;
  readonly max: number;
  /** Step of the arrow keys, in shown units. */
  readonly step: number;
  readonly whole?: boolean;
  /** A span of minutes written 5:20. */
  readonly clock?: boolean;
}

/** Says what is wrong with a value given in SI, in the shown unit, or null when it is in range. */
export function violation(quantity: Quantity, value: unknown): string | null {
  const { label, min, max } = quantity;
  if (typeof value !== 'number' || Number.isNaN(value)) return `${label}: a number is needed.`;
  if (!(value >= min && value <= max)) {
    return `${label} must be from ${shown(quantity, min)} to ${withUnit(quantity, max)}, not ${withUnit(quantity, value)}.`;
  }
  if (quantity.whole && !Number.isInteger(inShownUnit(quantity, value))) {
    return `${label} must be a whole number, not ${withUnit(quantity, value)}.`;
  }
  return null;
}

/** The value in its shown unit, rounded to what a person would type: 0.99 → "99", 320 s → "5:20". */
export function shown(quantity: Quantity, value: number): string {
  if (quantity.clock && Number.isFinite(value)) return minutesAndSeconds(value);
  const inUnit = inShownUnit(quantity, value);
  if (!Number.isFinite(inUnit)) return String(inUnit);
  return String(
    Number(quantity.digits === undefined ? inUnit.toPrecision(6) : inUnit.toFixed(quantity.digits)),
  );
}

export function inShownUnit({ siPerUnit, siAtZero = 0 }: Quantity, value: number): number {
  return (value - siAtZero) / siPerUnit;
}

/** From the shown unit to SI, without the dust of binary fractions. */
export function fromShownUnit({ siPerUnit, siAtZero = 0 }: Quantity, inUnit: number): number {
  return Number((inUnit * siPerUnit + siAtZero).toPrecision(12));
}

export function withUnit(quantity: Quantity, value: number): string {
  return quantity.unit === '' ? shown(quantity, value) : `${shown(quantity, value)} ${quantity.unit}`;
}

export type Typed = { readonly value: number } | { readonly message: string };

/**
 * Reads what a person typed: in the quantity's own unit, or in any of its kind written after the number ("12 mph"); a
 * decimal comma is a decimal point, and minutes may be written 5:20. Returns SI, or the message to show beside the field.
 */
export function readTyped(quantity: Quantity, text: string): Typed {
  if (text.trim() === '') return { message: `${quantity.label} is empty.` };
  const read = (quantity.unit === 'min' ? readClock(text) : null) ?? readNumber(quantity, text);
  const value = read === null ? null : atTheEdge(quantity, read);
  if (value === null) {
    const inUnit = quantity.unit && ` in ${quantity.unit}`;
    return { message: `${quantity.label}: a number${inUnit} is needed, not “${text.trim()}”.` };
  }
  const problem = violation(quantity, value);
  return problem ? { message: problem } : { value };
}

/** A bound typed as it is shown, so rounded, is the bound. */
function atTheEdge(quantity: Quantity, value: number): number {
  const { min, max, digits, siPerUnit } = quantity;
  const half = digits === undefined ? 0 : 0.5 * 10 ** -digits * siPerUnit;
  if (value > max && value <= max + half) return max;
  return value < min && value >= min - half ? min : value;
}

function readNumber(quantity: Quantity, text: string): number | null {
  const plain = text.trim().replace(',', '.').replace('−', '-');
  const match = /^([+-]?(?:\d+\.?\d*|\.\d+)(?:e[+-]?\d+)?)\s*(.*)$/i.exec(plain);
  if (!match) return null;
  const [, number, word = ''] = match;
  if (word === '' || word.toLowerCase() === quantity.unit.toLowerCase()) {
    return fromShownUnit(quantity, Number(number));
  }
  const unit = unitNamed(quantity.unit, word);
  return unit && fromShownUnit({ ...quantity, ...scaleOf(unit, quantity) }, Number(number));
}
