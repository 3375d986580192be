import { warmedInPocketC } from '../battery/pocketWarmth';
import { minutesAndSeconds } from '../units/clock';
import type { Caution } from './cautions';
import { type Estimate, estimate } from './estimate';
import { type Coefficients, type EstimateRequest, usualCoefficients } from './request';

/** What to do about a battery, in a word, and what it gains of the minutes to spend; null where nothing is to be gained. */
export interface Advice {
  readonly code: string;
  readonly message: string;
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
  return now.cautions
    .filter(({ about }) => about === 'battery')
    .map((caution) => {
      const remedy = remedies[caution.code]?.(request);
      const better = remedy && estimate(remedy.request, coefficients);
      const gainS = better?.ok ? better.value.usableS.p50 - now.usableS.p50 : 0;
      return remedy && gainS >= leastGainS
        ? {
            code: caution.code,
            message: `${remedy.words(caution)} gains about ${minutesAndSeconds(gainS)}`,
            gainS,
          }
        : { code: caution.code, message: caution.message, gainS: null };
    });
}

interface Remedy {
  readonly request: EstimateRequest;
  words(caution: Caution): string;
}

const remedies: Readonly<Record<string, (request: EstimateRequest) => Remedy>> = {
  'cold-pack': inThePocket,
  'not-full': (request) => ({
    request: withBattery(request, { startCharge: toppedUpCharge, daysSinceCharge: null }),
    words: ({ message }) => `${message}: topping up`,
  }),
};

function inThePocket(request: EstimateRequest): Remedy {
  const fromC = request.battery.startTemperatureC ?? request.conditions.airTemperatureC;
  const startTemperatureC = warmedInPocketC(request.battery, fromC, pocketMin * 60);
  return {
    request: withBattery(request, { startTemperatureC }),
    words: () => `Cold pack: ${pocketMin} min in a pocket`,
  };
}

function withBattery(request: EstimateRequest, part: Partial<EstimateRequest['battery']>): EstimateRequest {
  return { ...request, battery: { ...request.battery, ...part } };
}
