import {
  type AircraftRecord,
  type BatteryRecord,
  type DayAtPlace,
  estimate,
  estimateRequestFor,
  type Sentence,
  type UnfitReason,
} from '@acorn-tally/core';

import { inHundred } from '../fields/percent';
import { beliefAbout } from '../state/belief';
import { unfitNow } from '../state/unfitNow';
import { ownCallInWords } from './ownCallWords';
import type { WayHome } from './useWayHome';

const unfitWords: Record<UnfitReason, string> = {
  frozen: 'it is frozen; warm it slowly',
  empty: 'its gauge stands at nothing; charge it',
};

/** What is told before lift-off of a flight with a battery: why it is not to be flown, and all that Minutes and Way home warn of. */
export function atLiftOff(
  aircraft: AircraftRecord,
  battery: BatteryRecord,
  conditions: DayAtPlace,
  { answer, band, turnBackCharge }: Pick<WayHome, 'answer' | 'band' | 'turnBackCharge'>,
  say: (sentence: Sentence) => string,
): { readonly refusal: string | null; readonly warnings: readonly string[] } {
  const unfit = unfitNow(battery, conditions);
  const flight = estimate(estimateRequestFor(aircraft, battery, conditions), beliefAbout(aircraft).middle);
  const cautions = flight.ok ? flight.value.cautions.map(say) : [];
  const home = answer.ok
    ? [answer.value.tooLow, ...answer.value.mind].flatMap((one) => (one ? [say(one)] : []))
    : [];
  const own = answer.ok ? answer.value.own : null;
  const ownCall = own && band.value ? ownCallInWords(own, band.value) : null;
  const late = ownCall?.isLate ? [ownCall.says] : [];
  const refusal = (() => {
    if (unfit) return `${battery.label}: ${unfitWords[unfit]}`;
    if (!flight.ok) return say(flight.refusal);
    if (!answer.ok) return say(answer.refusal);
    if (!band.fresh || !band.value || turnBackCharge !== null) return null;
    return answer.value.home.notHome
      ? say(answer.value.home.notHome)
      : `too many of these flights do not come home with the reserve (${inHundred(band.value.chanceNotHome)} not at all)`;
  })();
  return { refusal, warnings: [...new Set([...cautions, ...home, ...late])] };
}
