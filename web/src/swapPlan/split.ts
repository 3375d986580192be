import { fittingName, type Sentence, type Shot } from '@acorn-tally/core';

/** A part keeps this much of what the best battery could fly, since the next one is a little weaker. */
const shareUsed = 0.9;
const maxParts = 8;

/** Into how many a shot would have to be split to fit on batteries like the best; null where length is not what hinders it. */
export function partsNeeded({ code, values }: Sentence): number | null {
  if (code !== 'no-pack-lasts') return null;
  const [durationS, possibleS] = [Number(values.durationS), Number(values.possibleS)];
  const parts = Math.ceil(durationS / (possibleS * shareUsed));
  return parts >= 2 && parts <= maxParts ? parts : null;
}

/** Equal parts of a shot one after the other in its place, to the second as long as it was. */
export function splitShot(
  shots: readonly Shot[],
  shotId: string,
  parts: number,
  newId: () => string,
): Shot[] {
  return shots.flatMap((shot) => {
    if (shot.id !== shotId) return [shot];
    const startOf = (part: number) => Math.round((shot.durationS * part) / parts);
    return Array.from({ length: parts }, (_, part) => {
      const tail = `, ${part + 1} of ${parts}`;
      return {
        ...shot,
        id: newId(),
        name: fittingName(shot.name, tail),
        durationS: startOf(part + 1) - startOf(part),
      };
    });
  });
}
