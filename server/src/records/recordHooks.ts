import {
  type Content,
  type FrozenEstimate,
  fromTheBox,
  type KeptRecord,
  type Kind,
  type Kinds,
  type Knowledge,
  knowledgeFrom,
  listedFit,
  testOutcome,
  testRequestFor,
  timeZoneAt,
} from '@acorn-tally/core';
import type { Calculator } from '../calculations/calculator';
import type { Reader } from '../database/database';
import type { Stores } from '../database/stores';

/** What stands beside a record: made once with it, left out of lists, or told there. */
interface RecordHooks<K extends Kind> {
  /** Made once, when the record is; before it waits for its turn to be written. */
  readonly onCreate?: (
    content: Content<K>,
    stores: Stores,
    calculator: Calculator,
  ) => Promise<Kinds[K]['made']>;
  /** What stands in its place where it takes long: the record is written first, and it follows. */
  readonly provisional?: (content: Content<K>, stores: Stores) => Promise<Kinds[K]['made']>;
  /** Whether what a record has is still to follow. */
  readonly isProvisional?: (record: KeptRecord<K>) => boolean;
  /** Whether a new content asks for that to be made anew. */
  readonly mustRecreate?: (content: Content<K>, kept: KeptRecord<K>) => boolean;
  /** As a list shows it: what is large comes with the record only. */
  readonly toListItem?: (record: KeptRecord<K>) => object;
  /** What follows from a record and a list tells beside it: no part of what is kept, nor of what is sent back. */
  readonly computed?: (record: KeptRecord<K>) => object | null;
}

export const recordHooks: { readonly [K in Kind]?: RecordHooks<K> } = {
  places: {
    /** The zone its coordinates lie in, which takes a large map to find. */
    computed: ({ coordinates }) => (coordinates ? { timeZone: timeZoneAt(coordinates) } : null),
  },
  testFlights: {
    onCreate: async (content, stores, calculator) => ({
      estimate: await estimateAsFlown(content, stores, calculator),
    }),
    provisional: async (content, stores) => ({
      estimate: { request: (await asFlown(content, stores)).request, answer: null, refusal: null },
    }),
    isProvisional: ({ estimate: { answer, refusal } }) => answer === null && refusal === null,
    mustRecreate: ({ estimatedAt }, kept) => estimatedAt != null && estimatedAt !== kept.estimatedAt,
    toListItem: ({ estimate: _, ...record }) => record,
    computed: (record) => testOutcome(record, Date.now()),
  },
  fits: { toListItem: listedFit },
};

/** Estimates the flight as it was flown; that answer stays with it for good, whatever is learned later. */
async function estimateAsFlown(
  content: Content<'testFlights'>,
  stores: Stores,
  calculator: Calculator,
): Promise<FrozenEstimate> {
  return calculator.run('testEstimates', await asFlown(content, stores));
}

async function asFlown(content: Content<'testFlights'>, stores: Stores) {
  return stores.database.read(async (reader) => {
    const aircraft = await stores.of('aircraft').get(reader, content.aircraftId);
    const battery = await stores.of('batteries').get(reader, content.batteryId);
    return {
      request: testRequestFor(content, aircraft, battery),
      known: await currentKnowledge(aircraft, reader, stores),
    };
  });
}

/** By the current fit of the aircraft; from the box where it has none, or where that is no more. */
async function currentKnowledge(
  { id, currentFitId }: KeptRecord<'aircraft'>,
  reader: Reader,
  stores: Stores,
): Promise<Knowledge> {
  if (!currentFitId) return fromTheBox;
  const [record] = await stores.of('fits').getMany(reader, [currentFitId]);
  if (!record || record.aircraftId !== id) return fromTheBox;
  return knowledgeFrom({ ...record.fit, id: record.id });
}
