import { suggestedReturnHeight } from '../air/obstacle';
import { defaultCeilingM, tallestThingM } from '../air/site';
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

/**
 * The height to set on the aircraft, over all that is known to stand about the place, whatever way home leads; and what each needless
 * ten metres cost. `placeTallestM` is of the place: 0 where nothing stands there. Null where nobody has said what does.
 */
export function returnHeightAdvice(
  situation: Situation,
  placeTallestM: number | null,
): ReturnHeightAdvice | null {
  const { request } = situation;
  const tallestM = tallestThingM({ tallestM: placeTallestM, obstacles: request.obstacles ?? [] });
  if (tallestM === null) return null;
  const { heightM, isClear } = suggestedReturnHeight(tallestM, request.ceilingM ?? defaultCeilingM);
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
  const legs = returnLegs(situation, request.position, { ...situation.rule, returnHeightM });
  if (!legs.ok) return null;
  return { timeS: total(legs.value), charge: flyWay(situation, legs.value, now).touchdownCharge };
}
