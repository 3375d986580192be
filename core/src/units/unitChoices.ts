import type { Quantity } from './quantity';

/** A unit of one dimension: what one of it is in the dimension's base, and the base's value where it reads 0. */
interface Unit {
  readonly name: string;
  readonly inBase: number;
  readonly baseAtZero?: number;
  readonly also?: readonly string[];
}

/**
 * The units a person may type, by dimension; the first is its base. Exact by definition (BIPM, SI Brochure, 9th ed.; NIST
 * SP 811, app. B): mile 1609.344 m, foot 0.3048 m, nautical mile 1852 m, pound 0.45359237 kg, °F = 9/5 °C + 32.
 */
const dimensions = {
  speed: [
    { name: 'm/s', inBase: 1, also: ['mps'] },
    { name: 'km/h', inBase: 1 / 3.6, also: ['kmh', 'kph'] },
    { name: 'mph', inBase: 0.44704 },
    { name: 'kn', inBase: 1852 / 3600, also: ['kt', 'kts', 'knot', 'knots'] },
  ],
  distance: [
    { name: 'm', inBase: 1 },
    { name: 'ft', inBase: 0.3048, also: ['feet', 'foot', '′', "'"] },
    { name: 'km', inBase: 1000 },
    { name: 'mi', inBase: 1609.344, also: ['mile', 'miles'] },
  ],
  temperature: [
    { name: '°C', inBase: 1, also: ['c', '°'] },
    { name: '°F', inBase: 5 / 9, baseAtZero: -160 / 9, also: ['f'] },
  ],
  mass: [
    { name: 'g', inBase: 0.001 },
    { name: 'lb', inBase: 0.45359237, also: ['lbs'] },
    { name: 'kg', inBase: 1 },
    { name: 'oz', inBase: 0.45359237 / 16 },
  ],
  span: [
    { name: 'mm', inBase: 0.001 },
    { name: 'cm', inBase: 0.01 },
    { name: 'in', inBase: 0.0254, also: ['"', '″', 'inch', 'inches'] },
  ],
  time: [
    { name: 'min', inBase: 60, also: ['m'] },
    { name: 's', inBase: 1, also: ['sec'] },
    { name: 'h', inBase: 3600 },
  ],
  capacity: [
    { name: 'mAh', inBase: 1 },
    { name: 'Ah', inBase: 1000 },
  ],
  pressure: [
    { name: 'hPa', inBase: 1, also: ['mbar', 'mb'] },
    { name: 'inHg', inBase: 33.8639, also: ['in'] },
  ],
} as const satisfies Record<string, readonly Unit[]>;

/** What a person may choose how to read; everything else has one unit the trade agrees on. */
export const unitChoices = {
  speed: ['m/s', 'km/h', 'mph', 'kn'],
  distance: ['m', 'ft'],
  temperature: ['°C', '°F'],
  mass: ['g', 'lb'],
} as const;

export type Dimension = keyof typeof unitChoices;
export type ChosenUnits = { readonly [D in Dimension]: (typeof unitChoices)[D][number] };

export const metricUnits: ChosenUnits = { speed: 'm/s', distance: 'm', temperature: '°C', mass: 'g' };
export const imperialUnits: ChosenUnits = { speed: 'mph', distance: 'ft', temperature: '°F', mass: 'lb' };

const decimals: Readonly<Record<string, number>> = {
  'km/h': 1,
  mph: 1,
  kn: 1,
  ft: 0,
  '°F': 1,
  lb: 3,
};

/** The quantity in the unit a person chose for its dimension; as it is where there is no choice. */
export function inChosenUnit(quantity: Quantity, chosen: ChosenUnits): Quantity {
  const dimension = chosenDimension(quantity.unit);
  const name = dimension && chosen[dimension];
  if (!name || name === quantity.unit) return quantity;
  const unit = unitNamed(quantity.unit, name);
  if (!unit) return quantity;
  const digits = decimals[name] ?? 2;
  return {
    ...quantity,
    unit: name,
    ...scaleOf(unit, quantity),
    step: Math.max(10 ** -digits, niceStep((quantity.step * quantity.siPerUnit) / unit.inBase)),
    digits,
  };
}

/** How a unit is reckoned into SI; a difference has no shifted zero. */
export function scaleOf(unit: Unit, { difference }: Quantity): Pick<Quantity, 'siPerUnit' | 'siAtZero'> {
  return { siPerUnit: unit.inBase, siAtZero: difference ? 0 : (unit.baseAtZero ?? 0) };
}

/** The unit a person wrote after a number, of the same dimension as the quantity's own; null for any other word. */
export function unitNamed(quantityUnit: string, written: string): Unit | null {
  const word = written.toLowerCase();
  const own = dimensionOf(quantityUnit);
  return own?.find(({ name, also }) => name.toLowerCase() === word || also?.includes(word)) ?? null;
}

function dimensionOf(unit: string): readonly Unit[] | undefined {
  return Object.values(dimensions as Record<string, readonly Unit[]>).find((units) =>
    units.some(({ name }) => name === unit),
  );
}

function chosenDimension(unit: string): Dimension | null {
  const names = Object.keys(unitChoices) as Dimension[];
  return names.find((name) => dimensions[name][0].name === unit) ?? null;
}

/** The nearest of 1, 2 or 5 times a power of ten, for arrow keys that go in whole steps. */
function niceStep(step: number): number {
  const power = 10 ** Math.floor(Math.log10(step));
  const [nearest = 1] = [1, 2, 5, 10].sort(
    (a, b) => Math.abs(Math.log(a / (step / power))) - Math.abs(Math.log(b / (step / power))),
  );
  return Number((nearest * power).toPrecision(3));
}

/** A value in SI as a person reads it: "12.3 mph". With `digits`, that many decimals in the base unit and about as many in others. */
export function written(dimension: Dimension, si: number, chosen: ChosenUnits, digits = 0): string {
  const name = chosen[dimension];
  const units: readonly Unit[] = dimensions[dimension];
  const unit = units.find((candidate) => candidate.name === name) as Unit;
  const inUnit = (si - (unit.baseAtZero ?? 0)) / unit.inBase;
  const places = name === 'lb' ? 2 : name === 'ft' ? Math.max(0, digits - 1) : digits;
  return `${tidy(inUnit, places)} ${name}`;
}

function tidy(value: number, places: number): string {
  const text = value.toFixed(places);
  return (Number(text) === 0 ? (0).toFixed(places) : text).replace('-', '−');
}

const inSentence = /(?<![\w.:,])([-−]?\d+(?:\.\d+)?) ?(m\/s|°C|m|g)(?![\w²³/·])/g;

/**
 * A sentence whose numbers are in metric units with the unit after each, in the units a person chose: "150 m" → "492 ft".
 * The core speaks metric; this is the one place where its sentences are rendered otherwise.
 */
export function inChosenUnits(sentence: string, chosen: ChosenUnits): string {
  return sentence.replace(inSentence, (whole, number: string, base: string) => {
    const dimension = chosenDimension(base);
    if (!dimension || chosen[dimension] === base) return whole.replace('-', '−');
    const digits = number.split('.')[1]?.length ?? 0;
    const value = Number(number.replace('−', '-'));
    return written(dimension, value * dimensions[dimension][0].inBase, chosen, digits);
  });
}
