import { warmedInPocketC } from '../battery/pocketWarmth';
import { chargedFull } from '../battery/selfDischarge';
import type { Belief } from '../belief/belief';
import { type Sentence, sentence } from '../units/sentence';
import { type Band, bandsOf } from './band';
import type { BatteryCautionCode, Caution } from './cautions';
import { type Estimate, estimate } from './estimate';
import type { EstimateRequest } from './request';

/** What to do about a battery, in a word, and what it gains of the minutes to plan on; null where nothing is to be gained. */
export interface Advice extends Sentence<BatteryCautionCode> {
  readonly gainS: number | null;
}

const pocketMin = 10;
/** Less than this is not worth a pilot's while. */
const minGainS = 10;

/** What the draws say of one battery's flight, and what to do about the battery. */
export interface BandAndAdvice {
  readonly band: Band;
  readonly advice: readonly Advice[];
}

/**
 * The bands of batteries, and the cautions about each turned into something to do: every remedy is flown in every draw
 * together with the flights themselves, which share most of the work, so a gain is the difference of two planned times. Wear
 * has no remedy; a smaller reserve is never one. Null for a flight that is refused.
 */
export function bandsWithAdvice(
  requests: readonly EstimateRequest[],
  belief: Belief,
): (BandAndAdvice | null)[] {
  const found = requests.map((request) => cautionsWithRemedies(request, belief));
  const remedies = found.flat().flatMap(({ remedy }) => (remedy ? [remedy.request] : []));
  const bands = bandsOf([...requests, ...remedies], belief);
  const bandOfRemedy = new Map(remedies.map((request, i) => [request, bands[requests.length + i]]));
  return requests.map((_, i) => {
    const band = bands[i];
    if (!band) return null;
    const advice = (found[i] ?? []).map(({ caution, remedy }) => {
      const better = remedy && bandOfRemedy.get(remedy.request);
      const gainS = better ? better.usableS.planned - band.usableS.planned : 0;
      return remedy && gainS >= minGainS ? { ...remedy.words(caution, gainS), gainS } : withoutGain(caution);
    });
    return { band, advice };
  });
}

function cautionsWithRemedies(request: EstimateRequest, belief: Belief) {
  const now = estimate(request, belief);
  const cautions = now.ok ? now.value.cautions.filter(isOfBattery) : [];
  return cautions.map((caution) => ({ caution, remedy: remedyFor(caution.code, request) }));
}

/** The same cautions while the gains are being computed. */
export function provisionalAdvice(now: Pick<Estimate, 'cautions'>): Advice[] {
  return now.cautions.filter(isOfBattery).map(withoutGain);
}

function withoutGain({ code, template, values }: BatteryCaution): Advice {
  return { code, template, values, gainS: null };
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
    case 'hot-pack':
    case 'low-volts':
      return null;
  }
}

function toppedUp(request: EstimateRequest): Remedy {
  return {
    request: withBattery(request, { startCharge: chargedFull, daysSinceCharge: null }),
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
