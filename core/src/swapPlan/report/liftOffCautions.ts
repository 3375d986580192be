import { weatherAtHour } from '../../air/hours';
import type { Site } from '../../air/site';
import { estimate, type NominalBelief } from '../../estimate/estimate';
import type { EstimateRequest } from '../../estimate/request';
import type { Sentence } from '../../units/sentence';
import type { PlanRequest } from '../request/request';
import { asShare } from '../request/shot';
import type { FlightOfPlan, SwapPlan } from './answer';

/** Something to be told before lift-off, and of which flights of a plan it holds. */
export interface LiftOffCaution {
  readonly flightNumbers: readonly number[];
  readonly caution: Sentence;
}

/**
 * All that an estimate of each flight of a plan warns of, as a pilot would be told in Minutes: at its farthest and highest, with the
 * return height of its aircraft against what stands at the site. Likeliest beliefs by aircraft id; each caution once.
 */
export function liftOffCautions(
  request: PlanRequest,
  { flights }: Pick<SwapPlan, 'flights'>,
  site: Pick<Site, 'tallestM' | 'ceilingM' | 'obstacles'> | null,
  middles: Readonly<Record<string, NominalBelief>>,
): LiftOffCaution[] {
  const told = new Map<string, { caution: Sentence; flightNumbers: number[] }>();
  for (const flight of flights) {
    const middle = middles[flight.aircraftId];
    const asked = middle && estimateRequestOf(request, flight, site);
    if (!asked) continue;
    const outcome = estimate(asked, middle);
    for (const caution of outcome.ok ? outcome.value.cautions : [outcome.refusal]) {
      const key = JSON.stringify([caution.code, caution.values]);
      const known = told.get(key) ?? { caution, flightNumbers: [] };
      known.flightNumbers.push(flight.number);
      told.set(key, known);
    }
  }
  return [...told.values()];
}

function estimateRequestOf(
  request: PlanRequest,
  flight: FlightOfPlan,
  site: Pick<Site, 'tallestM' | 'ceilingM' | 'obstacles'> | null,
): EstimateRequest | null {
  const aircraft = request.aircraft.find(({ id }) => id === flight.aircraftId);
  const battery = request.batteries.find(({ id }) => id === flight.batteryId);
  const shots = flight.shots.flatMap(({ shotId }) => request.shots.find(({ id }) => id === shotId) ?? []);
  const [first] = request.hours ?? [];
  const conditions =
    request.conditions ?? (first ? weatherAtHour(request.hours ?? [], flight.takeoffAt, first) : null);
  const [farthest] = [...shots].sort((a, b) => b.distanceM - a.distanceM);
  if (!aircraft || !battery || !farthest || !conditions) return null;
  const { startCharge, startTemperatureC } = flight;
  return {
    aircraft: aircraft.spec,
    battery: { ...battery, startCharge, startTemperatureC, daysSinceCharge: null },
    batteryId: battery.id,
    conditions,
    flight: {
      heightM: Math.max(...shots.map(({ heightM }) => heightM)),
      farthestM: farthest.distanceM,
      bearingDeg: farthest.bearingDeg,
      returnHeightM: aircraft.returnHeightM ?? null,
      recordingLoadW: aircraft.recordingLoadW ?? null,
      addedMassKg: aircraft.addedMassKg ?? null,
      mix: [asShare(farthest)],
    },
    policy: request.policy,
    site,
  };
}
