import {
  type Band,
  bandOf,
  chancesEarly,
  drawCoefficients,
  drawnFlights,
  type EstimateRequest,
  estimate,
  estimateWithLedger,
  type LedgerLine,
  type PlanRequest,
  type Reaches,
  type ReturnBand,
  type ReturnRequest,
  reaches,
  returnBand,
  type SwapPlan,
  type TurnTable,
  turnTable,
  usualDraws,
  usualSeed,
} from '@acorn-tally/core';
import { expose } from 'comlink';

/** The heavy computing of the interface, away from the thread that draws it. Null where the flight is refused. */
const reckoner = {
  /** Bands of batteries of one aircraft and flight, which share most of the work. */
  bands(requests: readonly EstimateRequest[]): (Band | null)[] {
    const draws = drawCoefficients(usualDraws, usualSeed);
    const flights = drawnFlights(requests, draws);
    return requests.map((request, i) => {
      const middle = estimate(request);
      const confidence = request.policy.confidence ?? undefined;
      return middle.ok ? bandOf(middle.value, flights[i] ?? [], draws, confidence) : null;
    });
  },

  chancesEarly(request: PlanRequest, plan: SwapPlan): number[] {
    return chancesEarly(request, plan, drawCoefficients(usualDraws, usualSeed));
  },

  /** The band of the way home from one position. */
  returnBand(request: ReturnRequest): ReturnBand {
    return returnBand(request, drawCoefficients(usualDraws, usualSeed));
  },

  reaches(request: ReturnRequest): Reaches | null {
    const outcome = reaches(request);
    return outcome.ok ? outcome.value : null;
  },

  turnTable(request: ReturnRequest): TurnTable {
    return turnTable(request, drawCoefficients(usualDraws, usualSeed));
  },

  ledger(request: EstimateRequest): readonly LedgerLine[] | null {
    const outcome = estimateWithLedger(request);
    return outcome.ok ? outcome.value.ledger : null;
  },
};

export type Reckoner = typeof reckoner;

expose(reckoner);
