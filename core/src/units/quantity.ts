import { minutesAndSeconds, readClock } from './clock';
import { readCompass } from './compass';
import { type NumberMarks, plainMarks, readNumeral } from './numeral';
import { type ChosenUnits, digitsOf, dimensionOf, type Unit, unitFor, unitNamed } from './units';

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
  /** Decimals shown at most; those of its unit when absent. */
  readonly digits?: number;
  /** Range in SI, both ends allowed. */
  readonly min: number;
  readonly max: number;
  /** Step of the arrow keys, in shown units. */
  readonly step: number;
  readonly whole?: boolean;
  /** A span of minutes written 5:20. */
  readonly clock?: boolean;
  /** A direction, which may be written as a point of the compass. */
  readonly compass?: boolean;
}

/** Says what is wrong with a value given in SI, in the shown unit, or null when it is in range. */
export function violation(quantity: Quantity, value: unknown): string | null {
  const { label, min, max } = quantity;
  if (typeof value !== 'number' || Number.isNaN(value)) return `${label}: a number is needed.`;
  if (!(value >= min && value <= max)) {
    return `${label} must be from ${shown(quantity, min)} to ${withUnit(quantity, max)}, not ${withUnit(quantity, value)}.`;
  }
  if (quantity.whole && !Number.isInteger(inShownUnit(quantity, value))) {
    return `${label} must be a whole number, not ${inShownUnit(quantity, value)}.`;
  }
  return null;
}

/** The value in its shown unit, rounded by the unit's rule and without needless noughts: 0.99 → "99", 320 s → "5:20". */
export function shown(quantity: Quantity, value: number): string {
  if (quantity.clock && Number.isFinite(value)) return minutesAndSeconds(value);
  const inUnit = inShownUnit(quantity, value);
  return Number.isFinite(inUnit) ? String(Number(inUnit.toFixed(digitsFor(quantity))) + 0) : String(inUnit);
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

function digitsFor({ digits, unit }: Quantity): number {
  return digits ?? digitsOf(unit);
}

/** The quantity in the unit a person chose for its dimension; as it is where there is no choice. */
export function inChosenUnit(quantity: Quantity, chosen: ChosenUnits): Quantity {
  const dimension = dimensionOf(quantity.unit);
  if (!dimension) return quantity;
  const unit = unitFor(dimension, chosen);
  if (unit.name === quantity.unit) return quantity;
  const { digits: own, ...rest } = quantity;
  // A quantity with a finer rule than its unit keeps it.
  const digits = unit.digits + Math.max(0, (own ?? 0) - digitsOf(quantity.unit));
  return {
    ...rest,
    unit: unit.name,
    ...scaleOf(unit, quantity),
    step: Math.max(10 ** -digits, niceStep((quantity.step * quantity.siPerUnit) / unit.inBase)),
    digits,
  };
}

/** How a unit is computed into SI; a difference has no shifted zero. */
function scaleOf(unit: Unit, { difference }: Quantity): Pick<Quantity, 'siPerUnit' | 'siAtZero'> {
  return { siPerUnit: unit.inBase, siAtZero: difference ? 0 : (unit.baseAtZero ?? 0) };
}

/** The nearest of 1, 2 or 5 times a power of ten, for arrow keys that go in whole steps. */
function niceStep(step: number): number {
  const power = 10 ** Math.floor(Math.log10(step));
  const [nearest = 1] = [1, 2, 5, 10].sort(
    (a, b) => Math.abs(Math.log(a / (step / power))) - Math.abs(Math.log(b / (step / power))),
  );
  return Number((nearest * power).toPrecision(3));
}

/** What was typed: a value in SI; or what to say beside the field, with the values it may be where only the pilot knows. */
export type Typed =
  | { readonly value: number }
  | { readonly message: string; readonly either?: readonly number[] };

/** No number with its unit is longer; of a longer text so much is quoted. */
const maxTypedLength = 40;

/**
 * Reads what a person typed: in the quantity's own unit, or in any of its kind written after the number ("12 mph"), with the
 * marks of the reader's locale; minutes may be written 5:20, directions as W or WSW. A text is read as a whole or not at
 * all; one that may be two numbers is asked about.
 */
export function readTyped(quantity: Quantity, text: string, marks: NumberMarks = plainMarks): Typed {
  const typed = text.trim();
  if (typed === '') return { message: `${quantity.label} is empty.` };
  const found = typed.length > maxTypedLength ? [] : readingsOf(quantity, typed, marks);
  const readings = found.map((value) => atTheEdge(quantity, value));
  const possible = readings.filter((value) => violation(quantity, value) === null);
  const [only] = possible;
  if (possible.length === 1 && only !== undefined) return { value: only };
  const [first, second] = readings;
  if (first === undefined) {
    const inUnit = quantity.unit && ` in ${quantity.unit}`;
    return { message: `${quantity.label}: a number${inUnit} is needed, not “${quoted(typed)}”.` };
  }
  if (possible.length === 2 && second !== undefined) {
    const either = `${shown(quantity, first)} or ${withUnit(quantity, second)}`;
    return { message: `${quantity.label}: does “${quoted(typed)}” mean ${either}?`, either: possible };
  }
  return { message: violation(quantity, second ?? first) as string };
}

function quoted(text: string): string {
  return text.length > maxTypedLength ? `${text.slice(0, maxTypedLength)}…` : text;
}

/** A bound typed as it is shown, so rounded, is the bound. */
function atTheEdge(quantity: Quantity, value: number): number {
  const { min, max, siPerUnit } = quantity;
  const half = 0.5 * 10 ** -digitsFor(quantity) * siPerUnit;
  if (value > max && value <= max + half && shown(quantity, value) === shown(quantity, max)) return max;
  if (value < min && value >= min - half && shown(quantity, value) === shown(quantity, min)) return min;
  return value;
}

/** The values in SI a text may stand for: none, one, or two. */
function readingsOf(quantity: Quantity, text: string, marks: NumberMarks): readonly number[] {
  const clock = quantity.unit === 'min' ? readClock(text) : null;
  if (clock !== null) return [clock];
  const compass = quantity.compass ? readCompass(text) : null;
  if (compass !== null) return [compass];
  const match = /^([+−-]?(?:\d(?:[\d.,'’\s]*\d)?[.,]?|[.,]\d+)(?:e[+-]?\d+)?)\s*(\D.*)?$/i.exec(text);
  const numeral = match && readNumeral(match[1] as string, marks);
  if (!match || !numeral) return [];
  const scale = scaleOfWord(quantity, match[2] ?? '');
  if (!scale) return [];
  const numbers = 'value' in numeral ? [numeral.value] : numeral.either;
  return numbers.map((number) => fromShownUnit(scale, number));
}

/** The quantity in the unit that was written after the number; null for a word that is none of its units. */
function scaleOfWord(quantity: Quantity, word: string): Quantity | null {
  if (word === '' || word.toLowerCase() === quantity.unit.toLowerCase()) return quantity;
  const unit = unitNamed(quantity.unit, word);
  return unit && { ...quantity, ...scaleOf(unit, quantity) };
}
