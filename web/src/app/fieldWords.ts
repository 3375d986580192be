import {
  type ChosenUnits,
  chargerRanges,
  inChosenUnit,
  isDay,
  isInstant,
  type Kind,
  launchPlaceRanges,
  type Quantity,
  ranges,
  shootRanges,
  siteRanges,
  testFlightRanges,
  withUnit,
} from '@acorn-tally/core';
import { percent } from '../fields/percent';
import { capitalize } from '../parts/capitalize';
import type { Clock } from '../state/clock';

/** Quantities by the name of their field; what is said of a kit and a plan goes before what is said of a test. */
const quantities: Readonly<Record<string, Quantity>> = {
  ...testFlightRanges,
  ...ranges.styleShare,
  ...ranges.flight,
  ...launchPlaceRanges,
  ...siteRanges,
  ...ranges.policy,
  ...ranges.conditions,
  ...ranges.wind,
  ...ranges.aircraft,
  ...ranges.battery,
  ...chargerRanges,
  ...shootRanges,
};
const ofTests: Readonly<Record<string, Quantity>> = testFlightRanges;

function quantityOf(kind: Kind, name: string): Quantity | undefined {
  return (kind === 'testFlights' ? ofTests[name] : undefined) ?? quantities[name];
}

/** What a field is called on the screen; one that stands nowhere by a path of its own words. */
export function fieldInWords(kind: Kind, path: readonly string[]): string {
  const name = path.at(-1) ?? '';
  return quantityOf(kind, name)?.label ?? words[name] ?? capitalize(path.map(spaced).join(', '));
}

const words: Readonly<Record<string, string>> = {
  notes: 'Notes',
  state: 'State',
  keptAt: 'Where it is kept',
  chargedAt: 'Charged',
  boughtOn: 'Bought',
  healthMeasuredOn: 'Health measured',
  at: 'Day and hour',
  startsAt: 'First take-off',
  flownAt: 'Flown',
  placeId: 'Place',
  dayId: 'Day',
  batteryId: 'Battery',
  currentFitId: 'What its flights taught',
  takesFits: 'New flights are used at once',
  recordings: 'Recording settings',
  batteryIds: 'Batteries at hand',
  endsAt: 'All down by',
  order: 'Order of the shots',
  chargerIds: 'Charged meanwhile with',
  locks: 'Batteries kept to a flight',
  leftOutIds: 'Shots left out',
  aircraftId: 'Aircraft',
  weatherFrom: 'Weather from',
  hoursFrom: 'Hours from',
  liftOff: 'Lift-off card',
  mix: 'How it is flown',
  retiredOn: 'Retired',
  excludedReason: 'Left out because',
};

/** "maxAirspeedMps" → "max airspeed mps". */
function spaced(name: string): string {
  return name.replace(/([a-z])([A-Z])/g, '$1 $2').toLowerCase();
}

interface Reader {
  readonly units: ChosenUnits;
  readonly clock: Clock;
  /** What a record is called, by its id. */
  nameOf(id: string): string | null;
}

/** A value as a person reads it, in his units and by the clocks of the place. */
export function valueInWords(kind: Kind, name: string, value: unknown, reader: Reader): string {
  if (value === null || value === '') return 'nothing';
  if (typeof value === 'number') {
    const quantity = quantityOf(kind, name);
    return quantity ? withUnit(inChosenUnit(quantity, reader.units), value) : String(value);
  }
  if (Array.isArray(value)) return listInWords(value, reader);
  if (typeof value === 'object')
    return Object.values(value)
      .map((part) => valueInWords(kind, '', part, reader))
      .join(', ');
  if (typeof value !== 'string') return value === true ? 'yes' : 'no';
  if (isInstant(value)) return reader.clock.format(value, 'D MMM YYYY, HH:mm');
  return isDay(value) ? value : (reader.nameOf(value) ?? value);
}

/** Names where the parts have any, else how many there are. */
function listInWords(list: readonly unknown[], reader: Reader): string {
  if (list.length === 0) return 'none';
  const named = list.map((one) => {
    if (typeof one === 'string') return reader.nameOf(one) ?? one;
    const { name, style, share } = one as { name?: string; style?: string; share?: number };
    if (style && share !== undefined) return `${style} ${percent(share)}`;
    return name ?? null;
  });
  return named.every((one) => one !== null) ? named.join(', ') : `${list.length} of them`;
}
