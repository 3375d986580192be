import {
  type AircraftContent,
  type Content,
  chargeMarksProblem,
  checkedKnowledge,
  contradictions,
  flightProblem,
  isTestOnly,
  type Kind,
  type ShootContent,
  writeInSi,
} from '@acorn-tally/core';
import type { Reader } from '../database/database';
import { NothingThere } from '../database/errors';
import { requireUnused } from '../database/references';
import type { Stores } from '../database/stores';
import { requireWholeTest } from '../dtos/wholeTest';
import { invalid } from '../http/problem';

type Rule<K extends Kind> = (
  content: Content<K>,
  reader: Reader,
  stores: Stores,
  id: string | null,
) => unknown;

/** What holds for a record beside the ranges of its fields; each rule throws what is wrong. */
const rules: { readonly [K in Kind]?: Rule<K> } = {
  aircraft: wholeFlight,
  batteries: staysWithItsUsers,
  testFlights: async (content, reader, stores) => {
    requireWholeTest(content);
    await requireOwn(reader, stores, [content.aircraftId], [content.batteryId], 'batteryId');
  },
  timedCharges: rising,
  fits: wholeFit,
  plans: ({ request }) => {
    const found = contradictions(request);
    if (found.length > 0) throw invalid(found.map((one) => ({ ...one, path: `request.${one.path}` })));
  },
  shoots: async (content, reader, stores) => {
    keepsReserve(content);
    const aircraft = [content.aircraftId, content.otherAircraftId];
    await requireOwn(reader, stores, aircraft, content.batteryIds, 'batteryIds');
  },
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

function wholeFlight({ flight }: AircraftContent): void {
  const problem = flightProblem(flight);
  if (problem) throw invalid([{ path: 'flight.mix', message: writeInSi(problem) }]);
}

/** A fit that is kept makes a belief, and its triangle is that of its covariance: the interface draws by it. */
function wholeFit({ fit }: Content<'fits'>): void {
  const known = checkedKnowledge(fit);
  if (!known.ok) throw invalid([{ path: 'fit.posterior', message: writeInSi(known.refusal) }]);
  const ours = known.value.learned?.factor ?? [];
  const isSame = ours.every((row, i) =>
    row.every((value, k) => Math.abs(value - (fit.posterior.factor[i]?.[k] ?? Number.NaN)) < 1e-3),
  );
  if (!isSame) {
    throw invalid([{ path: 'fit.posterior.factor', message: 'This is not the triangle of the covariance.' }]);
  }
}

function rising({ marks }: Content<'timedCharges'>): void {
  const message = chargeMarksProblem(marks);
  if (message) throw invalid([{ path: 'marks', message }]);
}

function keepsReserve({ policy }: ShootContent): void {
  if (!isTestOnly(policy)) return;
  const message = 'A plan never flies down to the forced landing or to empty: choose a reserve.';
  throw invalid([{ path: 'policy.kind', message, received: policy.kind }]);
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
