import { type Airframe, airframePriors } from '../aircraft/airframe';
import type { Assumed, ValuesOf } from '../units/assumed';

export const boxPairPriors = {
  boxPairRatio: {
    value: 1,
    spread: 0.09,
    kind: 'relative',
    scope: 'aircraft',
    because:
      'assumed: each of two advertised times is rounded, and taken at its best, so what they say together of drag is known to about 9 %',
    betterBy: 'fast-test',
  },
} as const satisfies Record<string, Assumed>;
export type BoxPairCoefficients = ValuesOf<typeof boxPairPriors>;

/** Of an airframe's unknowns those that move cruise against hover. A drag that is on the spec sheet is not among them. */
export interface BoxPair {
  /** Rotor power of the cruise over that of the hover as the two times have it, drawn within what they can say. */
  readonly wanted: number;
  /** The same of an airframe. */
  readonly ratioOf: (airframe: Airframe) => number;
  readonly isDragKnown: boolean;
}

/**
 * The likeliest airframe where two advertised times say how cruise and hover power stand to each other: a little nearer to what
 * they say, a little off what is usual, least (ln ratio / 0.09)² + Σz² over drag and profile share, by Gauss–Newton. The two
 * times alone would decide the drag exactly, and half a minute of rounding would double the power of fast flight. Where `guessed`
 * is drawn from the prior, and `wanted` too, what comes out is drawn from the posterior (randomise, then optimise: Bardsley et
 * al., SIAM J. Sci. Comput. 36 (2014) A1895, from memory).
 */
export function likeliestAirframe(guessed: Airframe, pair: BoxPair): Airframe {
  let [drag, profile] = [0, 0];
  for (let step = 0; step < maxSteps; step++) {
    const miss = missAt(guessed, pair, drag, profile);
    const byDrag = pair.isDragKnown ? 0 : (missAt(guessed, pair, drag + nudge, profile) - miss) / nudge;
    const byProfile = (missAt(guessed, pair, drag, profile + nudge) - miss) / nudge;
    const atGuess = miss - byDrag * drag - byProfile * profile;
    const gain = -atGuess / (pairSpread ** 2 + byDrag ** 2 + byProfile ** 2);
    const [before, beforeProfile] = [drag, profile];
    drag = gain * byDrag;
    profile = gain * byProfile;
    if (Math.abs(drag - before) + Math.abs(profile - beforeProfile) < settled) break;
  }
  return moved(guessed, drag, profile);
}

/** How many standard deviations the two times lie from what a usual airframe would have. */
export function surpriseOf(usual: Airframe, pair: BoxPair): number {
  const likeliest = likeliestAirframe(usual, pair);
  const drag = Math.log(likeliest.dragAreaM2 / usual.dragAreaM2) / dragSpread;
  const profile = (likeliest.profileShareOfHover - usual.profileShareOfHover) / profileSpread;
  const miss = Math.log(pair.ratioOf(likeliest) / pair.wanted) / pairSpread;
  return Math.hypot(drag, profile, miss);
}

const { spread: pairSpread } = boxPairPriors.boxPairRatio;
const { spread: dragSpread } = airframePriors.dragAreaRatio;
const { spread: profileSpread, min: minProfile, max: maxProfile } = airframePriors.profileShareOfHover;
const maxSteps = 12;
const settled = 1e-5;
/** Of a deviation, for differences. */
const nudge = 0.01;

function missAt(guessed: Airframe, pair: BoxPair, drag: number, profile: number): number {
  return Math.log(pair.ratioOf(moved(guessed, drag, profile)) / pair.wanted);
}

/** An airframe some deviations of drag and profile share away. */
function moved(airframe: Airframe, drag: number, profile: number): Airframe {
  const share = airframe.profileShareOfHover + profileSpread * profile;
  return {
    ...airframe,
    dragAreaM2: airframe.dragAreaM2 * Math.exp(dragSpread * drag),
    profileShareOfHover: Math.min(maxProfile, Math.max(minProfile, share)),
  };
}
