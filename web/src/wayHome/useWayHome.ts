import {
  type Outcome,
  provisionalTurnBack,
  type Reaches,
  type ReturnAnswer,
  type ReturnBand,
  type ReturnRequest,
  returnAnswer,
  type TurnTable,
} from '@acorn-tally/core';
import { useMemo } from 'react';
import type { Believed } from '../state/belief';
import { calculators } from '../workers/calculators';
import { type Calculated, useCalculated } from '../workers/useCalculated';

export interface WayHome {
  readonly request: ReturnRequest;
  readonly answer: Outcome<ReturnAnswer>;
  readonly band: Calculated<ReturnBand>;
  /** What to turn back by, which follows the middle while its band is on its way; null where there is none. */
  readonly turnBackCharge: number | null;
  readonly reaches: Calculated<Reaches>;
  readonly table: Calculated<TurnTable>;
}

/** The middle answer at once; band, reach and table from the workers, each a moment later. */
export function useWayHome(request: ReturnRequest, believed: Believed, tallestM: number | null): WayHome {
  const { known, middle } = believed;
  const answer = useMemo(() => returnAnswer(request, middle, tallestM), [request, middle, tallestM]);
  const askBand = useMemo(
    () => (wanted: AbortSignal) => calculators.do((worker) => worker.returnBand(request, known), wanted),
    [request, known],
  );
  const askReaches = useMemo(
    () => (wanted: AbortSignal) => calculators.do((worker) => worker.reaches(request, known), wanted),
    [request, known],
  );
  // The table is the same wherever the aircraft is, but for its height and how far the distances must go.
  const { distanceM } = request.position;
  const position = { ...request.position, distanceM: Math.max(1000, distanceM), bearingDeg: 0, charge: 1 };
  const tableQuestion = JSON.stringify({ ...request, position, at: null });
  const askTable = useMemo(
    () => (wanted: AbortSignal) =>
      calculators.do((worker) => worker.turnTable(JSON.parse(tableQuestion) as ReturnRequest, known), wanted),
    [tableQuestion, known],
  );
  const band = useCalculated(askBand);
  return {
    request,
    answer,
    band,
    turnBackCharge: shownTurnBack(answer, band),
    reaches: useCalculated(askReaches),
    table: useCalculated(askTable),
  };
}

function shownTurnBack(
  answer: Outcome<ReturnAnswer>,
  { value, fresh }: Calculated<ReturnBand>,
): number | null {
  if (!value || !answer.ok) return null;
  if (fresh) return value.turnBackCharge.planned;
  return provisionalTurnBack(answer.value.turnBackCharge.p50, value.turnBackCharge);
}
