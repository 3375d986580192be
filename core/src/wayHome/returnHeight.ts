import { suggestedReturnHeight, tallestWithinM } from '../air/obstacle';
import { usualCeilingM } from '../air/site';
import { returnLegs } from '../reserve/returnHome';
import { flyWay, total } from './flyWay';
import type { Situation } from './situation';

export interface ReturnHeightAdvice {
  readonly tallestM: number;
  readonly suggestedM: number;
  /** False where the ceiling leaves less than the clearance over the tallest thing. */
  readonly isClear: boolean;
  /** What ten metres more than needed cost from here; null where it does not come home. */
  readonly perTenMetres: { readonly seconds: number; readonly charge: number } | null;
}

const moreM = 10;

/** The height to set on the aircraft, and what each needless ten metres cost. `tallestM` is of the place, if it is known. */
export function returnHeightAdvice(situation: Situation, placeTallestM: number | null): ReturnHeightAdvice {
  const { request } = situation;
  const tallestM = Math.max(
    tallestWithinM(request.obstacles ?? [], Number.POSITIVE_INFINITY),
    placeTallestM ?? 0,
  );
  const { heightM, isClear } = suggestedReturnHeight(tallestM, request.ceilingM ?? usualCeilingM);
  return {
    tallestM,
    suggestedM: heightM,
    isClear,
    perTenMetres: costOfMore(situation, Math.max(heightM, request.position.heightM)),
  };
}

function costOfMore(situation: Situation, heightM: number): ReturnHeightAdvice['perTenMetres'] {
  const [less, more] = [homeAt(situation, heightM), homeAt(situation, heightM + moreM)];
  if (less?.charge == null || more?.charge == null) return null;
  return { seconds: more.timeS - less.timeS, charge: less.charge - more.charge };
}

function homeAt(situation: Situation, returnHeightM: number) {
  const { request, now } = situation;
  const legs = returnLegs(situation, request.position, returnHeightM);
  if (!legs.ok) return null;
  return { timeS: total(legs.value), charge: flyWay(situation, legs.value, now).touchdownCharge };
}
