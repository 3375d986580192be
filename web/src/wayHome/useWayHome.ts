import {
  type AircraftRecord,
  type BatteryRecord,
  type ConditionsRecord,
  type Outcome,
  type Reaches,
  type ReturnAnswer,
  type ReturnBand,
  type ReturnRequest,
  returnAnswer,
  type TurnTable,
  usualReturnHeightM,
} from '@acorn-tally/core';
import { useMemo } from 'react';
import { packAtTheHour } from '../state/atTheHour';
import { reckoners } from '../workers/reckoners';
import { type Reckoned, useReckoned } from '../workers/useReckoned';

export interface WayHome {
  readonly request: ReturnRequest;
  readonly answer: Outcome<ReturnAnswer>;
  readonly band: Reckoned<ReturnBand>;
  readonly reaches: Reckoned<Reaches>;
  readonly table: Reckoned<TurnTable>;
}

export function returnRequestFor(
  aircraft: AircraftRecord,
  battery: BatteryRecord,
  conditions: ConditionsRecord,
  charge: number,
): ReturnRequest {
  const { flight, policy, spec } = aircraft;
  const { site } = conditions;
  return {
    aircraft: spec,
    battery: packAtTheHour(battery, conditions),
    conditions: conditions.weather,
    policy,
    position: {
      distanceM: flight.farthestM,
      bearingDeg: flight.bearingDeg,
      heightM: flight.heightM,
      charge,
    },
    returnHeightM: flight.returnHeightM ?? usualReturnHeightM,
    mix: flight.mix.length > 0 ? flight.mix : null,
    obstacles: site?.obstacles ?? null,
    ceilingM: site?.ceilingM ?? null,
    landingPlaces: site?.landingPlaces ?? null,
    below: site?.below ?? null,
  };
}

/** The middle answer at once; band, reach and table from the workers, each a moment later. */
export function useWayHome(request: ReturnRequest, tallestM: number | null): WayHome {
  const answer = useMemo(() => returnAnswer(request, tallestM), [request, tallestM]);
  const askBand = useMemo(
    () => (wanted: AbortSignal) => reckoners.do((worker) => worker.returnBand(request), wanted),
    [request],
  );
  const askReaches = useMemo(
    () => (wanted: AbortSignal) => reckoners.do((worker) => worker.reaches(request), wanted),
    [request],
  );
  // The table is the same wherever the aircraft is, but for its height and how far the distances must go.
  const { distanceM } = request.position;
  const position = { ...request.position, distanceM: Math.max(1000, distanceM), bearingDeg: 0, charge: 1 };
  const tableQuestion = JSON.stringify({ ...request, position });
  const askTable = useMemo(
    () => (wanted: AbortSignal) =>
      reckoners.do((worker) => worker.turnTable(JSON.parse(tableQuestion) as ReturnRequest), wanted),
    [tableQuestion],
  );
  return {
    request,
    answer,
    band: useReckoned(askBand),
    reaches: useReckoned(askReaches),
    table: useReckoned(askTable),
  };
}
