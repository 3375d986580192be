import type { Draw } from '../estimate/draws';
import { usualCoefficients } from '../estimate/request';
import { usualConfidence } from '../reserve/policy';
import type { Outcome } from '../units/outcome';
import { plannedTurnBack } from './plannedTurnBack';
import type { ReturnRequest } from './request';
import { turnBackCharge, turnBackOf } from './returnNow';
import { type Situation, situationOf } from './situation';

/** The gauge to turn back at, by distance and direction; null where it cannot be planned or does not come home. */
export interface TurnTable {
  readonly directions: readonly {
    readonly name: 'downwind' | 'across' | 'upwind';
    readonly bearingDeg: number;
  }[];
  readonly rows: readonly TurnRow[];
}

export interface TurnRow {
  readonly distanceM: number;
  /** With the pilot's confidence, in the order of the directions. */
  readonly charges: readonly (number | null)[];
  /** The aircraft's own call, the same in every direction, since it reckons with still air. */
  readonly ownCharge: number | null;
}

const distanceLists: readonly (readonly number[])[] = [
  [100, 250, 500, 750, 1000],
  [200, 500, 1000, 1500, 2000],
  [500, 1000, 2000, 3500, 5000],
  [1000, 2000, 4000, 7000, 10_000],
];

/** At the height of the request; the drain that leads there is the same for all places, so each draw flies it once. */
export function turnTable(request: ReturnRequest, draws: readonly Draw[]): TurnTable {
  const { fromDeg } = request.conditions.wind;
  const directions = (['downwind', 'across', 'upwind', 'across'] as const).map((name, i) => ({
    name,
    bearingDeg: (fromDeg + 180 + i * 90) % 360,
  }));
  const distances = distanceLists.find(
    (list) => (list[list.length - 1] as number) >= request.position.distanceM,
  );
  const situations = draws.map(({ coefficients }) => situationOf(request, coefficients));
  const middle = situationOf(request, usualCoefficients);
  const confidence = request.policy.confidence ?? usualConfidence;
  const plannedAt = (distanceM: number, bearingDeg: number) => {
    const chargeOf = (one: Outcome<Situation>) =>
      one.ok ? turnBackCharge(there(one.value, distanceM, bearingDeg)) : null;
    return plannedTurnBack(chargeOf(middle), situations.map(chargeOf), confidence);
  };
  return {
    directions,
    rows: (distances ?? []).map((distanceM) => ({
      distanceM,
      charges: directions.map(({ bearingDeg }) => plannedAt(distanceM, bearingDeg)),
      ownCharge: middle.ok ? (turnBackOf(there(middle.value, distanceM, 0)).own?.charge ?? null) : null,
    })),
  };
}

function there(situation: Situation, distanceM: number, bearingDeg: number): Situation {
  const { request, flight } = situation;
  return {
    ...situation,
    request: { ...request, position: { ...request.position, distanceM, bearingDeg } },
    flight: { ...flight, flight: { ...flight.flight, farthestM: distanceM, bearingDeg } },
  };
}
