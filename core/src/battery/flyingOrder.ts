import type { Battery } from './battery';

/** Less is not worth a take-off of its own while others are fuller (assumed). */
const readyCharge = 0.9;

type Candidate = Pick<Battery, 'cycles' | 'daysSinceCharge'> & {
  /** The gauge it would take off with. */
  readonly takeoffCharge: number;
};

/**
 * Positions in the order to fly them so that wear evens out: the charged before the others, then fewest cycles, then the
 * one that has stood longest (common practice). Example: cycles 44, 12, 38, all charged → 1, 2, 0.
 */
export function flyingOrder(packs: readonly Candidate[]): number[] {
  const key = (pack: Candidate) => [
    pack.takeoffCharge >= readyCharge ? 0 : 1,
    pack.cycles ?? 0,
    -(pack.daysSinceCharge ?? 0),
  ];
  return packs
    .map((pack, i) => ({ i, key: key(pack) }))
    .sort((a, b) => a.key.map((value, k) => value - (b.key[k] as number)).find((d) => d !== 0) ?? a.i - b.i)
    .map(({ i }) => i);
}
