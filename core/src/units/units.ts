/** A unit of one dimension: what one of it is in SI (or the dimension's base), and the base's value where it reads 0. */
export interface Unit {
  readonly name: string;
  readonly inBase: number;
  readonly baseAtZero?: number;
  readonly also?: readonly string[];
  /** Decimals a value in it is shown with at most: the one rounding rule of the unit. */
  readonly digits: number;
  /** How many more decimals it takes to say as much as in the dimension's first unit; negative for fewer. */
  readonly shift?: number;
}

/**
 * The units a person may type, by dimension; the first is the one the core's quantities are written in. Exact by definition
 * (BIPM, SI Brochure, 9th ed.; NIST SP 811, app. B): mile 1609.344 m, foot 0.3048 m, nautical mile 1852 m, pound
 * 0.45359237 kg, pound-force 4.4482216 N, °F = 9/5 °C + 32; the inch of mercury is that of 0 °C.
 */
const dimensions = {
  speed: [
    { name: 'm/s', inBase: 1, also: ['mps'], digits: 2 },
    { name: 'km/h', inBase: 1 / 3.6, also: ['kmh', 'kph'], digits: 1 },
    { name: 'mph', inBase: 0.44704, digits: 1 },
    { name: 'kn', inBase: 1852 / 3600, also: ['kt', 'kts', 'knot', 'knots'], digits: 1 },
  ],
  distance: [
    { name: 'm', inBase: 1, also: ['metre', 'metres', 'meter', 'meters'], digits: 1 },
    { name: 'ft', inBase: 0.3048, also: ['feet', 'foot', '′', "'"], digits: 0, shift: -1 },
    { name: 'km', inBase: 1000, digits: 3, shift: 3 },
    { name: 'mi', inBase: 1609.344, also: ['mile', 'miles'], digits: 3 },
    { name: 'yd', inBase: 0.9144, also: ['yard', 'yards'], digits: 0, shift: -1 },
  ],
  temperature: [
    { name: '°C', inBase: 1, also: ['c', '°'], digits: 1 },
    { name: '°F', inBase: 5 / 9, baseAtZero: -160 / 9, also: ['f'], digits: 1 },
  ],
  mass: [
    { name: 'g', inBase: 0.001, also: ['gram', 'grams'], digits: 1 },
    { name: 'lb', inBase: 0.45359237, also: ['lbs'], digits: 3, shift: 2 },
    { name: 'kg', inBase: 1, digits: 3, shift: 3 },
    { name: 'oz', inBase: 0.45359237 / 16, digits: 1, shift: 1 },
  ],
  span: [
    { name: 'mm', inBase: 0.001, digits: 0 },
    { name: 'cm', inBase: 0.01, digits: 1 },
    { name: 'in', inBase: 0.0254, also: ['"', '″', 'inch', 'inches'], digits: 2, shift: 1 },
  ],
  area: [
    { name: 'cm²', inBase: 1e-4, also: ['cm2'], digits: 0 },
    { name: 'in²', inBase: 0.0254 ** 2, also: ['in2', 'sq in'], digits: 1, shift: 1 },
    { name: 'm²', inBase: 1, also: ['m2'], digits: 4 },
  ],
  time: [
    { name: 'min', inBase: 60, also: ['m', 'minute', 'minutes'], digits: 1 },
    { name: 's', inBase: 1, also: ['sec', 'second', 'seconds'], digits: 0 },
    { name: 'h', inBase: 3600, also: ['hour', 'hours'], digits: 2 },
  ],
  days: [
    { name: 'd', inBase: 1, also: ['day', 'days'], digits: 1 },
    { name: 'h', inBase: 1 / 24, also: ['hour', 'hours'], digits: 0 },
    { name: 'wk', inBase: 7, also: ['week', 'weeks'], digits: 1 },
  ],
  capacity: [
    { name: 'mAh', inBase: 1, digits: 0 },
    { name: 'Ah', inBase: 1000, digits: 3 },
  ],
  pressure: [
    { name: 'hPa', inBase: 1, also: ['mbar', 'mb'], digits: 1 },
    { name: 'inHg', inBase: 33.8639, also: ['in'], digits: 2, shift: 2 },
  ],
  density: [
    { name: 'kg/m³', inBase: 1, digits: 2 },
    { name: 'lb/ft³', inBase: 0.45359237 / 0.3048 ** 3, digits: 4, shift: 2 },
  ],
  discLoading: [
    { name: 'N/m²', inBase: 1, digits: 0 },
    { name: 'lb/ft²', inBase: 4.4482216 / 0.3048 ** 2, digits: 1, shift: 1 },
  ],
} as const satisfies Record<string, readonly Unit[]>;

export type Dimension = keyof typeof dimensions;

/** Units of which there is only one, with their rounding rule. */
const singleUnits: Readonly<Record<string, number>> = { '%': 1, '°': 0, V: 2, W: 1, '': 1 };

/** What a person may choose how to read; other dimensions follow one of these, or have one unit the trade agrees on. */
export const unitChoices = {
  speed: ['m/s', 'km/h', 'mph', 'kn'],
  distance: ['m', 'ft'],
  temperature: ['°C', '°F'],
  mass: ['g', 'lb'],
  pressure: ['hPa', 'inHg'],
} as const;

export type Choice = keyof typeof unitChoices;
export type ChosenUnits = { readonly [C in Choice]: (typeof unitChoices)[C][number] };

export const metricUnits: ChosenUnits = {
  speed: 'm/s',
  distance: 'm',
  temperature: '°C',
  mass: 'g',
  pressure: 'hPa',
};
export const imperialUnits: ChosenUnits = {
  speed: 'mph',
  distance: 'ft',
  temperature: '°F',
  mass: 'lb',
  pressure: 'inHg',
};

/** Small lengths and areas go with feet, weights by volume and by area with pounds. */
const following: Readonly<Partial<Record<Dimension, (chosen: ChosenUnits) => string>>> = {
  span: ({ distance }) => (distance === 'ft' ? 'in' : 'mm'),
  area: ({ distance }) => (distance === 'ft' ? 'in²' : 'cm²'),
  density: ({ mass }) => (mass === 'lb' ? 'lb/ft³' : 'kg/m³'),
  discLoading: ({ mass }) => (mass === 'lb' ? 'lb/ft²' : 'N/m²'),
};

/** The unit a dimension is read in: chosen, following what was chosen, or the only usual one. */
export function unitFor(dimension: Dimension, chosen: ChosenUnits): Unit {
  const units: readonly Unit[] = dimensions[dimension];
  const name = following[dimension]?.(chosen) ?? (chosen as Partial<Record<Dimension, string>>)[dimension];
  return units.find((unit) => unit.name === name) ?? (units[0] as Unit);
}

/** The dimension whose quantities are written in this unit; null for a unit that stands alone. */
export function dimensionOf(unitName: string): Dimension | null {
  const names = Object.keys(dimensions) as Dimension[];
  return names.find((name) => dimensions[name][0].name === unitName) ?? null;
}

/** The unit a person wrote after a number, of the same dimension as the given one; null for any other word. */
export function unitNamed(unitName: string, written: string): Unit | null {
  const word = written.toLowerCase();
  const like = Object.values(dimensions as Record<string, readonly Unit[]>).find((units) =>
    units.some(({ name }) => name === unitName),
  );
  return like?.find(({ name, also }) => name.toLowerCase() === word || also?.includes(word)) ?? null;
}

/** Decimals a value in a unit is shown with at most. */
export function digitsOf(unitName: string): number {
  const single = singleUnits[unitName];
  return single ?? unitNamed(unitName, unitName)?.digits ?? 2;
}

/** A value in SI as a person reads it: "12.3 mph". `digits` are the decimals in the dimension's first unit. */
export function written(dimension: Dimension, si: number, chosen: ChosenUnits, digits = 0): string {
  const unit = unitFor(dimension, chosen);
  return `${inUnit(unit, si, digits + (unit.shift ?? 0))} ${unit.name}`;
}

/** A difference of temperatures, which has no shifted zero: 10 °C colder is 18 °F colder. */
export function writtenDifference(celsius: number, chosen: ChosenUnits): string {
  const { baseAtZero: _, ...unit } = unitFor('temperature', chosen);
  return `${inUnit(unit, celsius, 0)} ${unit.name}`;
}

function inUnit({ inBase, baseAtZero = 0 }: Unit, si: number, places: number): string {
  return fixed((si - baseAtZero) / inBase, Math.max(0, places));
}

/** With so many decimals, a true minus sign, and no minus before nothing. */
export function fixed(value: number, places: number): string {
  const text = value.toFixed(places);
  return (Number(text) === 0 ? (0).toFixed(places) : text).replace('-', '−');
}

/** Whether a word is a unit of some dimension. */
export function isUnitWord(word: string): boolean {
  const written = word.toLowerCase();
  if (singleUnitWords.includes(written)) return true;
  return Object.values(dimensions as Record<string, readonly Unit[]>).some((units) =>
    units.some(({ name, also }) => name.toLowerCase() === written || also?.includes(written)),
  );
}
const singleUnitWords = ['%', '°', 'deg', 'degrees', 'v', 'w'];
