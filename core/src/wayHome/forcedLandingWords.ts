import type { GroundBelow } from '../air/obstacle';
import { type Sentence, sentence } from '../units/sentence';
import type { ForcedLanding } from './flyWay';

export type LandsItself = Sentence<'lands-itself'>;
type Where = Sentence<'over-the-place' | 'short-of-it'>;

/** Less is over the place, for whoever looks up. */
const overIt = 1;

/**
 * Where and on what an aircraft comes down by itself, and for how long it can be held up by hand. `place` is where it was to
 * land: "home", or a landing place's name.
 */
export function landsItselfInWords(
  landing: ForcedLanding,
  place: string,
  below: GroundBelow | null,
): LandsItself {
  const { charge: forcedCharge, heldS } = landing;
  return sentence(
    'lands-itself',
    'At {forcedCharge} its forced landing begins {where}, {ground}. Kept up by hand it would fly {heldS} more{reach}: an emergency, never planned.',
    {
      forcedCharge,
      where: whereOf(landing, place),
      ground: groundInWords(landing.shortM < overIt ? null : below),
      heldS,
      reach:
        landing.heldCharge === null ? `, not enough to reach ${place}` : `, just enough to reach ${place}`,
    },
  );
}

function whereOf({ shortM, heightM }: ForcedLanding, place: string): Where {
  return shortM < overIt
    ? sentence('over-the-place', 'from {heightM} up over {place}', { heightM, place })
    : sentence('short-of-it', '{shortM} short of {place}, from {heightM} up', { shortM, place, heightM });
}

function groundInWords(below: GroundBelow | null): string {
  if (below === 'water') return 'on water';
  return below === 'people' ? 'on people' : 'on what is there';
}
