import type { Draw } from '../estimate/draws';
import { usualCoefficients } from '../estimate/request';
import { usualConfidence } from '../reserve/policy';
import { quantiles } from '../statistics/quantile';
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
/** Above any gauge there is: it does not come home. */
const never = 2;

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
  const chargesAt = (distanceM: number, bearingDeg: number) =>
    situations.map((one) =>
      one.ok ? (turnBackCharge(there(one.value, distanceM, bearingDeg)) ?? never) : never,
    );
  const confidence = request.policy.confidence ?? usualConfidence;
  return {
    directions,
    rows: (distances ?? []).map((distanceM) => ({
      distanceM,
      charges: directions.map(({ bearingDeg }) => {
        const [charge] = quantiles(chargesAt(distanceM, bearingDeg), [confidence]) as [number];
        return charge > 1 ? null : charge;
      }),
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
