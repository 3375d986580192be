import type { FitContent } from './fitted';
import type {
  AircraftContent,
  BatteryContent,
  ChargerContent,
  DayContent,
  FrozenEstimate,
  Kept,
  KeptPlanContent,
  LiftOffContent,
  PlaceContent,
  ShootContent,
  TestFlightContent,
  TimedChargeContent,
} from './records';

/** Every kind of record: what of it is written, and what is made once with it. */
export interface Kinds {
  places: { content: PlaceContent; made: object };
  days: { content: DayContent; made: object };
  aircraft: { content: AircraftContent; made: object };
  batteries: { content: BatteryContent; made: object };
  chargers: { content: ChargerContent; made: object };
  testFlights: { content: TestFlightContent; made: { readonly estimate: FrozenEstimate } };
  timedCharges: { content: TimedChargeContent; made: object };
  fits: { content: FitContent; made: object };
  shoots: { content: ShootContent; made: object };
  plans: { content: KeptPlanContent; made: object };
  liftOffs: { content: LiftOffContent; made: object };
}
export type Kind = keyof Kinds;
export type Content<K extends Kind> = Kinds[K]['content'];
export type KeptRecord<K extends Kind> = Kept & Content<K> & Kinds[K]['made'];

interface KindOfRecord<K extends Kind> {
  /** Under which its endpoints stand. */
  readonly path: string;
  /** As in "There is no such battery". */
  readonly noun: string;
  readonly nouns: string;
  /** The fields that name another record, or several, and of which kind that is. */
  readonly refersTo: Partial<Record<keyof Content<K>, Kind>>;
  /** The field that a person calls it by; without one it is counted. */
  readonly nameField: keyof Content<K> | null;
  /** A record of which it makes no sense without: what is removed with it needs no asking. */
  readonly ownedBy?: keyof Content<K>;
}

/** The one list of kinds, from what is referred to to what refers to it. */
export const recordKinds: { readonly [K in Kind]: KindOfRecord<K> } = {
  places: { path: 'places', noun: 'place', nouns: 'places', refersTo: {}, nameField: 'name' },
  days: { path: 'days', noun: 'day', nouns: 'days', refersTo: { placeId: 'places' }, nameField: null },
  aircraft: { path: 'aircraft', noun: 'aircraft', nouns: 'aircraft', refersTo: {}, nameField: 'name' },
  batteries: {
    path: 'batteries',
    noun: 'battery',
    nouns: 'batteries',
    refersTo: { aircraftId: 'aircraft' },
    nameField: 'label',
  },
  chargers: { path: 'chargers', noun: 'charger', nouns: 'chargers', refersTo: {}, nameField: 'name' },
  testFlights: {
    path: 'test-flights',
    noun: 'test flight',
    nouns: 'test flights',
    refersTo: { aircraftId: 'aircraft', batteryId: 'batteries' },
    nameField: null,
  },
  timedCharges: {
    path: 'timed-charges',
    noun: 'timed charge',
    nouns: 'timed charges',
    refersTo: { chargerId: 'chargers', batteryId: 'batteries' },
    nameField: null,
    ownedBy: 'chargerId',
  },
  fits: {
    path: 'fits',
    noun: 'fit',
    nouns: 'fits',
    refersTo: { aircraftId: 'aircraft' },
    nameField: null,
    ownedBy: 'aircraftId',
  },
  shoots: {
    path: 'shoots',
    noun: 'shoot',
    nouns: 'shoots',
    refersTo: {
      aircraftId: 'aircraft',
      otherAircraftId: 'aircraft',
      dayId: 'days',
      batteryIds: 'batteries',
    },
    nameField: 'name',
  },
  plans: {
    path: 'plans',
    noun: 'kept plan',
    nouns: 'kept plans',
    refersTo: { shootId: 'shoots' },
    nameField: null,
    ownedBy: 'shootId',
  },
  liftOffs: {
    path: 'lift-offs',
    noun: 'lift-off card',
    nouns: 'lift-off cards',
    refersTo: { batteryId: 'batteries' },
    nameField: null,
    ownedBy: 'batteryId',
  },
};

export const kinds = Object.keys(recordKinds) as readonly Kind[];

/** What a record refers to: the field, the kind, and the ids it names there. */
export interface Reference {
  readonly field: string;
  readonly kind: Kind;
  readonly ids: readonly string[];
}

export function referencesOf<K extends Kind>(kind: K, content: Content<K>): Reference[] {
  const fields = Object.entries(recordKinds[kind].refersTo) as [string, Kind][];
  return fields.map(([field, to]) => {
    const named = (content as unknown as Record<string, string | readonly string[]>)[field] ?? [];
    return { field, kind: to, ids: typeof named === 'string' ? [named] : named };
  });
}

/** The fields of all kinds that name records of a kind. */
export function referrersTo(kind: Kind): { readonly kind: Kind; readonly field: string }[] {
  return kinds.flatMap((from) =>
    Object.entries(recordKinds[from].refersTo)
      .filter(([, to]) => to === kind)
      .map(([field]) => ({ kind: from, field })),
  );
}

type AnyContent = Readonly<Record<string, unknown>>;

/** Users of one kind as a person names them: "battery Jay 1", or how many there are: "7 test flights". */
export function usersInWords(kind: Kind, users: readonly object[]): string[] {
  const { noun, nouns, nameField } = recordKinds[kind];
  if (nameField) return users.map((user) => `${noun} ${(user as AnyContent)[nameField]}`);
  if (users.length === 0) return [];
  return [users.length === 1 ? `one ${noun}` : `${users.length} ${nouns}`];
}
