import { type Belief, type DrawCount, defaultDraws } from '../belief/belief';
import { confidenceOf, type Policy } from '../reserve/policy';
import { type Outcome, success } from '../units/outcome';
import type { Quantity } from '../units/quantity';
import { asPlanned } from './asPlanned';
import { type Band, bandOf, plannedIn } from './band';
import { drawnFlights } from './drawnFlights';
import { type EstimateWithLedger, estimateWithLedger } from './estimate';
import { withDoubt } from './ledger';
import type { EstimateRequest } from './request';

/** The whole answer: what is planned with its band, ledger, events, curve, cautions, and what would gain minutes. */
export interface FullEstimate
  extends Omit<EstimateWithLedger, 'usableS' | 'touchdownS' | 'turnBackCharge'>,
    Omit<Band, 'curve'> {
  readonly curveBand: Band['curve'];
}

export const drawRanges = {
  draws: { label: 'Draws', unit: '', siPerUnit: 1, min: 16, max: 4096, step: 1, whole: true },
  seed: { label: 'Seed', unit: '', siPerUnit: 1, min: 0, max: 4_294_967_295, step: 1, whole: true },
} as const satisfies Record<string, Quantity>;

/** From here on so few of the usual draws lie beyond that four times as many are made: 0.99 would be told from five of them. */
const manyDrawsFrom = 0.95;
const manyDraws = 2048;

/** The draws that a policy is answered from: the same on every screen. */
export function drawsFor(policy: Policy): DrawCount {
  return confidenceOf(policy) >= manyDrawsFrom ? { ...defaultDraws, draws: manyDraws } : defaultDraws;
}

/** What a request leaves open of the draws. */
export function drawCountOf(
  { draws, seed }: { readonly draws?: number | null; readonly seed?: number | null },
  policy: Policy,
): DrawCount {
  const usual = drawsFor(policy);
  return { draws: draws ?? usual.draws, seed: seed ?? usual.seed };
}

/** Estimates one battery with its band, from the draws of a belief. The same belief, the same answer. */
export function estimateInFull(request: EstimateRequest, belief: Belief): Outcome<FullEstimate> {
  const middle = estimateWithLedger(request, belief);
  if (!middle.ok) return middle;
  const [flights = []] = drawnFlights([request], belief);
  const { curve: curveBand, ...band } = bandOf(middle.value, flights, belief, request.policy);
  const plan = plannedIn(band);
  const planned = asPlanned(request, belief, plan);
  if (!planned.ok) return planned;
  return success({
    ...middle.value,
    ...band,
    curveBand,
    ledger: withDoubt(middle.value.ledger, request.aircraft.advertisedFlightTimeS, plan.usableS),
    events: planned.value.events,
    cautions: [...middle.value.cautions, ...planned.value.cautions],
  });
}
