import {
  asPlanned,
  type Band,
  type BandAndAdvice,
  type Belief,
  bandsOf,
  bandsWithAdvice,
  beliefFrom,
  type Caution,
  drawsFor,
  type EstimateRequest,
  estimateWithLedger,
  type FlightRemedy,
  flightRemedies,
  type Knowledge,
  type LedgerLine,
  plannedIn,
  type Reaches,
  type ReturnBand,
  type ReturnRequest,
  reaches,
  returnBand,
  type TurnTable,
  turnTable,
} from '@acorn-tally/core';
import { expose } from 'comlink';

/** What the draws say of one battery's flight. */
export interface DrawnAnswer extends BandAndAdvice {
  /** What is told only when one knows where to turn. */
  readonly cautions: readonly Caution[];
}

/** The belief this worker was last asked by, with the draws its pilot's confidence asks for: they are made once. */
let held: { readonly key: string; readonly belief: Belief } | null = null;

function believed(known: Knowledge, { policy }: Pick<EstimateRequest, 'policy'>): Belief {
  const draws = drawsFor(policy);
  const key = JSON.stringify([known, draws]);
  if (held?.key !== key) held = { key, belief: beliefFrom(known, draws) };
  return held.belief;
}

/** The heavy computing of the interface, away from the thread that draws it. Null where the flight is refused. */
const calculator = {
  /** Batteries of one aircraft and flight, which share most of the work. */
  flights(requests: readonly EstimateRequest[], known: Knowledge): (DrawnAnswer | null)[] {
    const [first] = requests;
    if (!first) return [];
    const belief = believed(known, first);
    return bandsWithAdvice(requests, belief).map((answer, i) => {
      const planned = answer && asPlanned(requests[i] as EstimateRequest, belief, plannedIn(answer.band));
      return answer && { ...answer, cautions: planned?.ok ? planned.value.cautions : [] };
    });
  },

  /** What helps a flight that is refused or not to be planned. */
  remedies(request: EstimateRequest, known: Knowledge): readonly FlightRemedy[] {
    return flightRemedies(request, believed(known, request));
  },

  bands(requests: readonly EstimateRequest[], known: Knowledge): (Band | null)[] {
    const [first] = requests;
    return first ? bandsOf(requests, believed(known, first)) : [];
  },

  /** The band of the way home from one position. */
  returnBand(request: ReturnRequest, known: Knowledge): ReturnBand {
    return returnBand(request, believed(known, request));
  },

  reaches(request: ReturnRequest, known: Knowledge): Reaches | null {
    const outcome = reaches(request, believed(known, request));
    return outcome.ok ? outcome.value : null;
  },

  turnTable(request: ReturnRequest, known: Knowledge): TurnTable {
    return turnTable(request, believed(known, request));
  },

  ledger(request: EstimateRequest, known: Knowledge): readonly LedgerLine[] | null {
    const outcome = estimateWithLedger(request, believed(known, request));
    return outcome.ok ? outcome.value.ledger : null;
  },
};

export type Calculator = typeof calculator;

expose(calculator);
