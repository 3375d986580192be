import { daysInWords, minutesAndSeconds, spanInWords } from './clock';
import { type ChosenUnits, type Dimension, fixed, metricUnits, written, writtenDifference } from './units';

/**
 * Something the core tells: a code for machines, and a template whose named quantities are put in by whoever shows it, in
 * the reader's units. A name ends in its unit, as names do everywhere here: {windMps}, {distanceM:0}; after a colon
 * stand the decimals in the SI unit. A name without a unit is a word, or another sentence.
 */
export interface Sentence<Code extends string = string> {
  readonly code: Code;
  readonly template: string;
  readonly values: Readonly<Record<string, SaidValue>>;
}

export type SaidValue = number | string | Sentence;

type Place = 0 | 1 | 2;
const formatQuantity = (dimension: Dimension) => (si: number, units: ChosenUnits, digits: number) =>
  written(dimension, si, units, digits);
const plain =
  (unit: string, factor = 1) =>
  (si: number, _: ChosenUnits, digits: number) =>
    `${fixed(si * factor, digits)}${unit}`;

/** How a value is written, by the ending of its name. */
const endings = {
  Mps: formatQuantity('speed'),
  M: formatQuantity('distance'),
  DifferenceC: (celsius: number, units: ChosenUnits) => writtenDifference(celsius, units),
  C: formatQuantity('temperature'),
  Kgm3: formatQuantity('density'),
  Kg: formatQuantity('mass'),
  Npm2: formatQuantity('discLoading'),
  M2: formatQuantity('area'),
  Hpa: formatQuantity('pressure'),
  Mah: plain(' mAh'),
  Wh: plain(' Wh'),
  W: plain(' W'),
  V: plain(' V'),
  Ohm: plain(' mΩ', 1000),
  Deg: plain('°'),
  Charge: plain(' %', 100),
  Fraction: plain(' %', 100),
  Days: (days: number) => daysInWords(days),
  SpanS: (seconds: number) => spanInWords(seconds),
  S: (seconds: number) => minutesAndSeconds(seconds),
  Count: plain(''),
} as const satisfies Record<string, (si: number, units: ChosenUnits, digits: number) => string>;
type Ending = keyof typeof endings;

/** Longest first, so that {windMps} is a speed and no time. */
const byLength = (Object.keys(endings) as Ending[]).sort((a, b) => b.length - a.length);

type Bare<Name extends string> = Name extends `${infer Before}:${Place}` ? Before : Name;
type NamesIn<Template extends string> = Template extends `${string}{${infer Name}}${infer Rest}`
  ? Bare<Name> | NamesIn<Rest>
  : never;
type ValueOf<Name extends string> = Name extends `${string}${Ending}` ? number : string | Sentence;
/** The values a template needs: each name once, a number where the name ends in a unit. */
export type ValuesFor<Template extends string> = { readonly [Name in NamesIn<Template>]: ValueOf<Name> };

/** The last argument of whatever takes a template: none where it names no quantity. */
export type TemplateValues<Template extends string> = [NamesIn<Template>] extends [never]
  ? []
  : [values: ValuesFor<Template>];

/** A sentence whose values are checked against its template by the compiler. */
export function sentence<Code extends string, const Template extends string>(
  code: Code,
  template: Template,
  ...[values]: TemplateValues<Template>
): Sentence<Code> {
  return { code, template, values: (values ?? {}) as Readonly<Record<string, SaidValue>> };
}

/** The sentence in the reader's units. */
export function inWords({ template, values }: Sentence, units: ChosenUnits): string {
  return template.replace(/\{(\w+)(?::(\d))?\}/g, (_, name: string, digits = '0') =>
    valueInWords(name, values[name] as SaidValue, units, Number(digits)),
  );
}

function valueInWords(name: string, value: SaidValue, units: ChosenUnits, digits: number): string {
  if (typeof value === 'string') return value;
  if (typeof value !== 'number') return inWords(value, units);
  const ending = byLength.find((one) => name.endsWith(one));
  const said = ending ? endings[ending](value, units, digits) : String(value);
  return said.replace(/\.0+(?=\D|$)/, '');
}

/** The sentence in SI units, as programs and logs read it. */
export function writeInSi(said: Sentence): string {
  return inWords(said, metricUnits);
}

/** The sentence with its message in SI, as interfaces for programs and kept records give it. */
export function inSi<Said extends Sentence>(said: Said): Said & { readonly message: string } {
  return { ...said, message: writeInSi(said) };
}

/** The numbers of a sentence by their names, SI. */
export function numbersOf({ values }: Sentence): Readonly<Record<string, number>> {
  return Object.fromEntries(
    Object.entries(values).filter((entry): entry is [string, number] => typeof entry[1] === 'number'),
  );
}
