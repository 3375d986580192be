import { warmedInPocketC } from '../battery/pocketWarmth';
import { type Sentence, sentence } from '../units/sentence';
import type { BatteryCautionCode, Caution } from './cautions';
import { type Estimate, estimate } from './estimate';
import { type Coefficients, type EstimateRequest, usualCoefficients } from './request';

/** What to do about a battery, in a word, and what it gains of the minutes to spend; null where nothing is to be gained. */
export interface Advice extends Sentence<BatteryCautionCode> {
  readonly gainS: number | null;
}

const pocketMin = 10;
const toppedUpCharge = 0.99;
/** Less than this is not worth a pilot's while. */
const leastGainS = 10;

/**
 * The cautions about a battery turned into something to do: each remedy is estimated like the flight itself, so the gain
 * is the difference of two estimates. Wear has no remedy; a smaller reserve is never one.
 */
export function advice(
  request: EstimateRequest,
  now: Estimate,
  coefficients: Coefficients = usualCoefficients,
): Advice[] {
  return now.cautions.filter(isOfBattery).map((caution) => {
    const remedy = remedyFor(caution.code, request);
    const better = remedy && estimate(remedy.request, coefficients);
    const gainS = better?.ok ? better.value.usableS.p50 - now.usableS.p50 : 0;
    const { code, template, values } = caution;
    return remedy && gainS >= leastGainS
      ? { ...remedy.words(caution, gainS), gainS }
      : { code, template, values, gainS: null };
  });
}

type BatteryCaution = Caution & Sentence<BatteryCautionCode>;

function isOfBattery(caution: Caution): caution is BatteryCaution {
  return caution.about === 'battery';
}

interface Remedy {
  readonly request: EstimateRequest;
  words(caution: BatteryCaution, gainS: number): Sentence<BatteryCautionCode>;
}

/** What may be done on the spot; wear and frost have no quick remedy. */
function remedyFor(code: BatteryCautionCode, request: EstimateRequest): Remedy | null {
  switch (code) {
    case 'cold-pack':
      return inThePocket(request);
    case 'not-full':
      return toppedUp(request);
    case 'worn':
    case 'frozen-pack':
      return null;
  }
}

function toppedUp(request: EstimateRequest): Remedy {
  return {
    request: withBattery(request, { startCharge: toppedUpCharge, daysSinceCharge: null }),
    words: (caution, gainS) =>
      sentence('not-full', '{caution}: topping up gains about {gainS}', { caution, gainS }),
  };
}

function inThePocket(request: EstimateRequest): Remedy {
  const fromC = request.battery.startTemperatureC ?? request.conditions.airTemperatureC;
  const startTemperatureC = warmedInPocketC(request.battery, fromC, pocketMin * 60);
  return {
    request: withBattery(request, { startTemperatureC }),
    words: (_, gainS) =>
      sentence('cold-pack', 'Cold pack: {pocketCount} min in a pocket gains about {gainS}', {
        pocketCount: pocketMin,
        gainS,
      }),
  };
}

function withBattery(request: EstimateRequest, part: Partial<EstimateRequest['battery']>): EstimateRequest {
  return { ...request, battery: { ...request.battery, ...part } };
}
