import type { Content, Kind } from '@acorn-tally/core';
import type { Reader } from '../database/database';
import { NothingThere } from '../database/errors';
import { requireUnused } from '../database/references';
import type { Stores } from '../database/stores';

type Rule<K extends Kind> = (
  content: Content<K>,
  reader: Reader,
  stores: Stores,
  id: string | null,
) => Promise<void>;

/** What a record needs of others; what holds within it is core's (`problemsOf`). Each rule throws what is wrong. */
const rules: { readonly [K in Kind]?: Rule<K> } = {
  batteries: staysWithItsUsers,
  testFlights: ({ aircraftId, batteryId }, reader, stores) =>
    requireOwn(reader, stores, [aircraftId], [batteryId], 'batteryId'),
  shoots: ({ aircraftId, otherAircraftId, batteryIds }, reader, stores) =>
    requireOwn(reader, stores, [aircraftId, otherAircraftId], batteryIds, 'batteryIds'),
};

/** Within the transaction that writes it; `id` is null for a new record. */
export async function requireRules<K extends Kind>(
  kind: K,
  content: Content<K>,
  reader: Reader,
  stores: Stores,
  id: string | null,
): Promise<void> {
  await (rules[kind] as Rule<K> | undefined)?.(content, reader, stores, id);
}

/** A battery that tests or shoots name belongs to their aircraft, and does not change it under them. */
async function staysWithItsUsers(
  { aircraftId }: Content<'batteries'>,
  reader: Reader,
  stores: Stores,
  id: string | null,
): Promise<void> {
  if (id === null) return;
  const [now] = await stores.of('batteries').getMany(reader, [id]);
  if (now && now.aircraftId !== aircraftId) await requireUnused(reader, 'batteries', id);
}

async function requireOwn(
  reader: Reader,
  stores: Stores,
  aircraftIds: readonly (string | null | undefined)[],
  ids: readonly string[],
  field: string,
): Promise<void> {
  const batteries = await stores.of('batteries').getMany(reader, ids);
  const own = new Set(batteries.filter((one) => aircraftIds.includes(one.aircraftId)).map(({ id }) => id));
  const strange = ids.filter((id) => !own.has(id));
  if (strange.length > 0) throw new NothingThere(field, strange, 'This aircraft has no such battery.');
}
