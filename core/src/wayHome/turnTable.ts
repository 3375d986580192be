import type { Belief } from '../belief/belief';
import { plannedTurnBack } from '../estimate/plannedTurnBack';
import { confidenceOf } from '../reserve/policy';
import type { Outcome } from '../units/outcome';
import type { ReturnRequest } from './request';
import { ownReturnOf, turnBackCharge } from './returnNow';
import { movedTo, type Situation, situationOf } from './situation';

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
  /** The aircraft's own call, the same in every direction, since it assumes still air. */
  readonly ownCharge: number | null;
}

const distanceLists: readonly (readonly number[])[] = [
  [100, 250, 500, 750, 1000],
  [200, 500, 1000, 1500, 2000],
  [500, 1000, 2000, 3500, 5000],
  [1000, 2000, 4000, 7000, 10_000],
];

/** At the height of the request; the drain that leads there is the same for all places, so each draw flies it once. */
export function turnTable(request: ReturnRequest, belief: Belief): TurnTable {
  const { fromDeg } = request.conditions.wind;
  const directions = (['downwind', 'across', 'upwind', 'across'] as const).map((name, i) => ({
    name,
    bearingDeg: (fromDeg + 180 + i * 90) % 360,
  }));
  const distances = distanceLists.find(
    (list) => (list[list.length - 1] as number) >= request.position.distanceM,
  );
  const situations = belief.draws.map((world) => situationOf(request, world));
  const middle = situationOf(request, belief.middle);
  const confidence = confidenceOf(request.policy);
  const plannedAt = (distanceM: number, bearingDeg: number) => {
    const chargeOf = (one: Outcome<Situation>) =>
      one.ok ? turnBackCharge(movedTo(one.value, distanceM, bearingDeg)) : null;
    return plannedTurnBack(chargeOf(middle), situations.map(chargeOf), confidence);
  };
  return {
    directions,
    rows: (distances ?? []).map((distanceM) => ({
      distanceM,
      charges: directions.map(({ bearingDeg }) => plannedAt(distanceM, bearingDeg)),
      ownCharge: middle.ok ? (ownReturnOf(movedTo(middle.value, distanceM, 0))?.charge ?? null) : null,
    })),
  };
}
