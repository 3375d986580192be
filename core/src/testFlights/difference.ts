import type { World } from '../belief/belief';
import type { NominalBelief } from '../estimate/estimate';
import type { EstimateRequest } from '../estimate/request';
import { simulate } from '../estimate/simulate';
import { meanPowerW } from '../flight/bundles';
import { luckPriors } from '../flight/luck';
import { eightInTenDeviations } from '../statistics/normalQuantile';
import { shapleyValues } from '../statistics/shapley';
import { type Outcome, success } from '../units/outcome';
import { type DrainFit, fitDrain, flownAt } from './drainFit';
import { patternMix, readingsOf, type TestFlight } from './testFlight';

/** A test and what the model needs to fly it again. */
export interface FlownTest {
  readonly test: TestFlight;
  readonly request: EstimateRequest;
}

/** What two flights differ by besides how they were flown. */
export const differenceCauses = ['start', 'air', 'wind', 'pack'] as const;
export type DifferenceCause = (typeof differenceCauses)[number];

export interface Difference {
  /** Down to this gauge both are compared: the higher of the two ends. */
  readonly downToCharge: number;
  /** Seconds from lift-off to that gauge, of the first and of the second. */
  readonly firstS: number;
  readonly secondS: number;
  /** What the model says of each cause, s: second minus first. */
  readonly causes: readonly { readonly cause: DifferenceCause; readonly seconds: number }[];
  /** What is left: style, setting or aircraft, s. Causes and rest make secondS − firstS. */
  readonly restS: number;
  /** Eight in ten pairs of like flights differ by less than this, s. */
  readonly scatterS: number;
  /** Where both were flown alike, the rest as power that the second took beyond the first, W. */
  readonly extraPowerW: number | null;
}

/** The label of one pack against another's, as in battery/wear. */
const packFraction = 0.03;
/** One gauge read to a whole per cent at the start and one at the end of some 70 %. */
const readingFraction = 0.006;

/**
 * The difference of two flights explained: each is the model's own flight with its power scaled to what was read (`drainFit`); the
 * second is brought to the first one's start, air, wind and pack, cause by cause, by Shapley's average over their orders. What then
 * is left is style, setting or aircraft. Flights of different aircraft keep their own packs.
 */
export function explainDifference(
  first: FlownTest,
  second: FlownTest,
  { middle }: NominalBelief,
): Outcome<Difference> {
  const downToCharge = Math.max(first.test.endCharge, second.test.endCharge);
  const fits = [first, second].map(({ test, request }) => fitDrain(request, readingsOf(test), middle));
  const [a, b] = fits as [Outcome<DrainFit>, Outcome<DrainFit>];
  if (!a.ok) return a;
  if (!b.ok) return b;
  const timeOf = (fit: DrainFit) => fit.timesAt([downToCharge])[0] as number;
  const [firstS, secondS] = [timeOf(a.value), timeOf(b.value)];

  const causes = sameAircraft(first, second)
    ? differenceCauses
    : differenceCauses.filter((cause) => cause !== 'pack');
  /** The second flight with what is in the mask as it was, and all else as the first one's. */
  const secondAs = (mask: number) => {
    const own = new Set(causes.filter((_, i) => mask & (1 << i)));
    const flown = flownAt(mixed(first.request, second.request, own, causes), middle, b.value.powerRatio);
    return flown.ok ? timeOf(flown.value) : secondS;
  };
  const worths = Array.from({ length: 1 << causes.length }, (_, mask) => secondAs(mask));
  const shares = shapleyValues(causes.length, (mask) => worths[mask] as number);
  const broughtS = worths[0] as number;

  return success({
    downToCharge,
    firstS,
    secondS,
    causes: causes.map((cause, i) => ({ cause, seconds: shares[i] as number })),
    restS: broughtS - firstS,
    scatterS: scatterS((firstS + broughtS) / 2, samePack(first, second)),
    extraPowerW: flownAlike(first, second)
      ? (b.value.powerRatio - a.value.powerRatio) * meanPower(second.request, middle)
      : null,
  });
}

function flownAlike({ test: first }: FlownTest, { test: second }: FlownTest): boolean {
  return JSON.stringify(patternMix(first)) === JSON.stringify(patternMix(second));
}

/** What the model takes for a flight on the mean, W. It was flown before, so it can be. */
function meanPower(request: EstimateRequest, world: World): number {
  const flown = simulate(request, world);
  return flown.ok ? meanPowerW(flown.value.round) : 0;
}

/** By how much two like flights of one length differ of themselves, eight in ten. */
export function scatterS(durationS: number, isSamePack: boolean): number {
  const one = Math.hypot(luckPriors.flightPowerRatio.spread, readingFraction, isSamePack ? 0 : packFraction);
  return eightInTenDeviations * Math.SQRT2 * one * durationS;
}

function sameAircraft(first: FlownTest, second: FlownTest): boolean {
  const box = ({ request: { aircraft } }: FlownTest) =>
    [aircraft.kind, aircraft.takeoffMassKg, aircraft.advertisedFlightTimeS].join();
  return box(first) === box(second);
}

function samePack({ request: first }: FlownTest, { request: second }: FlownTest): boolean {
  return first.batteryId != null && first.batteryId === second.batteryId;
}

/** The second one's request, with those causes that are not its own taken from the first. */
function mixed(
  first: EstimateRequest,
  second: EstimateRequest,
  own: ReadonlySet<DifferenceCause>,
  causes: readonly DifferenceCause[],
): EstimateRequest {
  const of = (cause: DifferenceCause) => (own.has(cause) || !causes.includes(cause) ? second : first);
  const pack = of('pack');
  const { startCharge, startTemperatureC } = of('start').battery;
  const { wind, roughnessM } = of('wind').conditions;
  return {
    ...second,
    batteryId: pack.batteryId ?? null,
    battery: { ...pack.battery, startCharge, startTemperatureC: startTemperatureC ?? null },
    conditions: { ...of('air').conditions, wind, roughnessM: roughnessM ?? null },
  };
}
