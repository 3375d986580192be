import { feet, kmh, knot, mile } from './unitFactors';

/** What a column of a log may tell. */
export const logColumns = [
  'time',
  'date',
  'charge',
  'minutes left',
  'voltage',
  'height',
  'speed',
  'distance',
  'temperature',
  'motors',
  'latitude',
  'longitude',
] as const;
export type LogColumn = (typeof logColumns)[number];

/** How the texts of a column are read. */
export const logUnits = {
  time: ['s', 'ms', 'µs', 'ns', 'min', 'clock', 'date and time'],
  date: ['date and time', 'date'],
  charge: ['%', 'fraction'],
  'minutes left': ['s', 'min', 'clock'],
  voltage: ['V', 'mV', 'V a cell'],
  height: ['m', 'ft'],
  speed: ['m/s', 'km/h', 'mph', 'kn'],
  distance: ['m', 'ft', 'km', 'mi'],
  temperature: ['°C', '°F'],
  motors: ['on or off'],
  latitude: ['°'],
  longitude: ['°'],
} as const satisfies Record<LogColumn, readonly string[]>;
export type LogUnit = (typeof logUnits)[LogColumn][number];

/** Which column tells what, and in which unit. */
export type ColumnMap = Partial<Record<LogColumn, { readonly index: number; readonly unit: LogUnit }>>;

/** SI for one of the unit; what is not a plain factor is read by itself. */
export const perUnit: Partial<Record<LogUnit, number>> = {
  s: 1,
  ms: 1e-3,
  µs: 1e-6,
  ns: 1e-9,
  min: 60,
  fraction: 1,
  V: 1,
  'V a cell': 1,
  mV: 0.001,
  m: 1,
  ft: feet,
  km: 1000,
  mi: mile,
  'm/s': 1,
  'km/h': kmh,
  mph: mile / 3600,
  kn: knot,
  '°': 1,
};

/** Words that head each column, in the order in which they are tried; of those that fit by name and values the likeliest is it. */
const names: Readonly<Record<LogColumn, RegExp>> = {
  latitude: /\b(lat|latitude)\b/,
  longitude: /\b(lon|lng|long|longitude)\b/,
  'minutes left': /(time|minutes|flight|\bmin\b).*(left|remain)|(left|remain)\w* (flight )?(time|min)/,
  voltage: /volt|\bcells?\b|\bu\b|spannung/,
  temperature: /temp/,
  charge: /charge|battery|batt|\bbat\b|\bsoc\b|remain|gauge|capacity|akku|level|percent|^%$/,
  motors: /motor|armed|in air|flying|airborne|power state/,
  height: /height|altitude|\balt\b|\bagl\b|höhe/,
  speed: /speed|velocity|geschw/,
  distance: /distance|\bdist\b|range|entf/,
  time: /time|elapsed|clock|stamp|\bt\b|seconds|millis|micros|nanos|zeit|date/,
  date: /date|day|time|stamp|utc|datum/,
};

/** Units as they stand in a heading, after brackets and underscores became blanks. */
const unitWords: readonly (readonly [RegExp, LogUnit])[] = [
  [/\bm\/s\b|\bmps\b|\bm s\b/, 'm/s'],
  [/km\/h|\bkmh\b|\bkph\b/, 'km/h'],
  [/\bmph\b|mi\/h/, 'mph'],
  [/\bkn\b|\bkt\b|\bkts\b|\bknots?\b/, 'kn'],
  [/\bmv\b/, 'mV'],
  [/\bcell\b|zelle/, 'V a cell'],
  [/\bv\b|\bvolts?\b/, 'V'],
  [/\bms\b|millis|\bmsec\b/, 'ms'],
  [/(^|\s)[µμu]s\b|micros|\busec\b/, 'µs'],
  [/\bns\b|nanos|\bnsec\b/, 'ns'],
  [/\bmin\b|\bminutes\b/, 'min'],
  [/\bs\b|\bsec\b|\bseconds\b/, 's'],
  [/\bft\b|\bfeet\b/, 'ft'],
  [/\bkm\b/, 'km'],
  [/\bmi\b|\bmiles?\b/, 'mi'],
  [/\bm\b|\bmet(er|re)s?\b/, 'm'],
  [/°?\bf\b|fahrenheit/, '°F'],
  [/°?\bc\b|celsius/, '°C'],
  [/%|percent/, '%'],
];

/** Columns that tell one cell each: "cell 1", "Cell_2_V", "cell voltage 3". */
export function singleCells(headings: readonly string[]): number[] {
  return headings.flatMap((heading, index) =>
    /\bcell ?(no |nr |volt(age)? )?\d{1,2}\b/.test(plainHeading(heading)) ? [index] : [],
  );
}

/** Small letters, and what divides words as blanks: "Battery_Level[%]" → "battery level %". */
export function plainHeading(heading: string): string {
  return heading
    .replace(/([a-zäöü])([A-Z])/g, '$1 $2')
    .toLowerCase()
    .replace(/[_()[\]{}.:;,-]+/g, ' ')
    .trim();
}

/** The unit a heading names for what its column tells; null where it is silent. */
export function logUnitNamed(column: LogColumn, heading: string): LogUnit | null {
  const plain = plainHeading(heading);
  const own = logUnits[column] as readonly LogUnit[];
  return unitWords.find(([words, unit]) => own.includes(unit) && words.test(plain))?.[1] ?? null;
}

/** The columns whose headings may tell this, in their order. */
export function headedSo(column: LogColumn, headings: readonly string[]): number[] {
  return headings.flatMap((heading, index) => (names[column].test(plainHeading(heading)) ? [index] : []));
}

/** The order in which columns are looked for: what is told apart surely comes first. */
export const searchOrder = Object.keys(names) as readonly LogColumn[];

/** Whose charge, level or signal a column may tell that is not the pack's. */
const others =
  /\bsat|\bgps\b|\bgnss\b|signal|\brssi\b|link|remote|\brc\b|controller|phone|tablet|noise|light/;
const ofThePack = /charge|battery|batt|\bbat\b|\bsoc\b|gauge|akku/;

/** How surely a heading speaks of the pack's charge: 2 by name, 1 by a word that others use too, 0 of something else. */
export function chargeHeading(heading: string): number {
  const plain = plainHeading(heading);
  if (others.test(plain)) return 0;
  return ofThePack.test(plain) ? 2 : 1;
}

/** Whether a heading says that its times are those of UTC. */
export const isUtc = (heading: string) => /\b(utc|gmt|zulu)\b/.test(plainHeading(heading));
