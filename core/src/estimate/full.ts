import { type Outcome, success } from '../units/outcome';
import type { Quantity } from '../units/quantity';
import { type Band, bandOf } from './band';
import { drawnFlights } from './drawnFlights';
import { drawCoefficients, usualDraws, usualSeed } from './draws';
import { type EstimateWithLedger, estimateWithLedger } from './estimate';
import type { EstimateRequest } from './request';

/** The whole answer: middle values with their band, ledger, events, curve, cautions, and what would narrow the band. */
export interface FullEstimate extends Omit<EstimateWithLedger, 'usableS' | 'touchdownS' | 'turnBackCharge'> {
  readonly usableS: Band['usableS'] & { readonly p50: number };
  readonly touchdownS: Band['touchdownS'] & { readonly p50: number };
  readonly turnBackCharge: Band['turnBackCharge'] & { readonly p50: number };
  readonly chanceBelowReserve: number;
  readonly chanceImpossible: number;
  readonly sensitivity: Band['sensitivity'];
  readonly curveBand: Band['curve'];
}

export const drawRanges = {
  draws: { label: 'Draws', unit: '', siPerUnit: 1, min: 16, max: 4096, step: 1, whole: true },
  seed: { label: 'Seed', unit: '', siPerUnit: 1, min: 0, max: 4_294_967_295, step: 1, whole: true },
} as const satisfies Record<string, Quantity>;

/** Estimates one battery with its band, from 512 seeded draws unless told otherwise. The same seed, the same answer. */
export function estimateInFull(
  request: EstimateRequest,
  { draws = usualDraws, seed = usualSeed }: { readonly draws?: number; readonly seed?: number } = {},
): Outcome<FullEstimate> {
  const middle = estimateWithLedger(request);
  if (!middle.ok) return middle;
  const drawn = drawCoefficients(draws, seed);
  const [flights = []] = drawnFlights([request], drawn);
  const confidence = request.policy.confidence ?? undefined;
  return success(withBand(middle.value, bandOf(middle.value, flights, drawn, confidence)));
}

function withBand(middle: EstimateWithLedger, band: Band): FullEstimate {
  return {
    ...middle,
    usableS: { ...band.usableS, p50: middle.usableS.p50 },
    touchdownS: { ...band.touchdownS, p50: middle.touchdownS.p50 },
    turnBackCharge: { ...band.turnBackCharge, p50: middle.turnBackCharge.p50 },
    chanceBelowReserve: band.chanceBelowReserve,
    chanceImpossible: band.chanceImpossible,
    sensitivity: band.sensitivity,
    curveBand: band.curve,
  };
}
