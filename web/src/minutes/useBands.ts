import {
  type AircraftRecord,
  type Band,
  type BatteryRecord,
  type ConditionsRecord,
  type EstimateRequest,
  type LedgerLine,
} from '@acorn-tally/core';
import { useMemo } from 'react';
import { reckoners } from '../workers/reckoners';
import { type Reckoned, useReckoned } from '../workers/useReckoned';
import { requestFor } from './useEstimates';

export type Bands = ReadonlyMap<string, Band>;

/**
 * The bands of all batteries, from the workers. Middle values stand at once; a band follows, and a newer question makes
 * the older one needless.
 */
export function useBands(
  aircraft: AircraftRecord,
  batteries: readonly BatteryRecord[],
  conditions: ConditionsRecord,
): Reckoned<Bands> {
  const ask = useMemo(() => {
    const groups = shared(batteries, reckoners.size);
    return async (wanted: AbortSignal): Promise<Bands> => {
      const answers = await Promise.all(
        groups.map(async (group) => {
          const requests = group.map((battery) => requestFor(aircraft, battery, conditions));
          const bands = await reckoners.do((worker) => worker.bands(requests), wanted);
          return group.map((battery, i) => [battery.id, bands[i] ?? null] as const);
        }),
      );
      return new Map(answers.flat().filter((entry): entry is [string, Band] => entry[1] !== null));
    };
  }, [aircraft, batteries, conditions]);
  return useReckoned(ask);
}

export function useLedger(request: EstimateRequest | null): Reckoned<readonly LedgerLine[]> {
  const ask = useMemo(
    () => async (wanted: AbortSignal) =>
      request ? reckoners.do((worker) => worker.ledger(request), wanted) : null,
    [request],
  );
  return useReckoned(ask);
}

/** Batteries in as many groups as there are workers: those of one group share most of the work. */
function shared<T>(items: readonly T[], groups: number): T[][] {
  const size = Math.ceil(items.length / groups);
  return Array.from({ length: Math.ceil(items.length / size) || 0 }, (_, i) =>
    items.slice(i * size, (i + 1) * size),
  );
}
