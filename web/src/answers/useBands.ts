import {
  type AircraftRecord,
  type Band,
  type BatteryRecord,
  type DayAtPlace,
  type EstimateRequest,
  estimateRequestFor,
  type FlightRemedy,
  type Knowledge,
  type LedgerLine,
} from '@acorn-tally/core';
import { useMemo } from 'react';
import { beliefAbout } from '../state/belief';
import type { DrawnAnswer } from '../workers/calculator';
import { calculators } from '../workers/calculators';
import { type Calculated, useCalculated } from '../workers/useCalculated';

export type DrawnAnswers = ReadonlyMap<string, DrawnAnswer>;

/**
 * What the draws say of all batteries, from the workers. Middle values stand at once; what is planned follows, and a newer
 * question makes the older one needless.
 */
export function useDrawnAnswers(
  aircraft: AircraftRecord,
  batteries: readonly BatteryRecord[],
  conditions: DayAtPlace,
): Calculated<DrawnAnswers> {
  const ask = useMemo(() => {
    const groups = shared(batteries, calculators.size);
    const { known } = beliefAbout(aircraft);
    return async (wanted: AbortSignal): Promise<DrawnAnswers> => {
      const answers = await Promise.all(
        groups.map(async (group) => {
          const requests = group.map((battery) => estimateRequestFor(aircraft, battery, conditions));
          const drawn = await calculators.do((worker) => worker.flights(requests, known), wanted);
          return group.map((battery, i) => [battery.id, drawn[i] ?? null] as const);
        }),
      );
      return new Map(answers.flat().filter((entry): entry is [string, DrawnAnswer] => entry[1] !== null));
    };
  }, [aircraft, batteries, conditions]);
  return useCalculated(ask);
}

/** The bands of some flights, in their order; null for one that is refused. */
export function useBandsOf(
  requests: readonly EstimateRequest[],
  known: Knowledge,
): Calculated<readonly (Band | null)[]> {
  const ask = useMemo(
    () => async (wanted: AbortSignal) =>
      requests.length === 0 ? [] : calculators.do((worker) => worker.bands(requests, known), wanted),
    [requests, known],
  );
  return useCalculated(ask);
}

/** What helps a flight that cannot be planned; null where none is asked about. */
export function useFlightRemedies(
  request: EstimateRequest | null,
  known: Knowledge,
): Calculated<readonly FlightRemedy[]> {
  const ask = useMemo(
    () => async (wanted: AbortSignal) =>
      request ? calculators.do((worker) => worker.remedies(request, known), wanted) : null,
    [request, known],
  );
  return useCalculated(ask);
}

export function useLedger(
  request: EstimateRequest | null,
  known: Knowledge,
): Calculated<readonly LedgerLine[]> {
  const ask = useMemo(
    () => async (wanted: AbortSignal) =>
      request ? calculators.do((worker) => worker.ledger(request, known), wanted) : null,
    [request, known],
  );
  return useCalculated(ask);
}

/** Batteries in as many groups as there are workers: those of one group share most of the work. */
function shared<T>(items: readonly T[], groups: number): T[][] {
  const size = Math.ceil(items.length / groups);
  return Array.from({ length: Math.ceil(items.length / size) || 0 }, (_, i) =>
    items.slice(i * size, (i + 1) * size),
  );
}
