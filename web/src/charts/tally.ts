/** Who takes a minute of the box. */
export type MinuteUse = 'spend' | 'home' | 'held' | 'gone';

export const useNames: Record<MinuteUse, string> = {
  spend: 'to spend',
  home: 'way home',
  held: 'held back',
  gone: 'gone before you start',
};

/** The bounds between the uses, in seconds from take-off, and how many minutes are drawn in all. */
export interface TallySpans {
  readonly spendS: number;
  readonly homeS: number;
  readonly heldS: number;
  readonly boxS: number;
}

/**
 * One stroke a minute: the use that the middle of the minute falls into. A flight that outlasts the box gets its strokes
 * beyond it.
 */
export function tallyStrokes({ spendS, homeS, heldS, boxS }: TallySpans): MinuteUse[] {
  const bounds: readonly (readonly [number, MinuteUse])[] = [
    [spendS, 'spend'],
    [spendS + homeS, 'home'],
    [spendS + homeS + heldS, 'held'],
  ];
  const minutes = Math.round(Math.max(boxS, spendS + homeS + heldS) / 60);
  return Array.from({ length: minutes }, (_, minute) => {
    const middleS = minute * 60 + 30;
    return bounds.find(([until]) => middleS < until)?.[1] ?? 'gone';
  });
}

/** The strip in words, for those who hear it. */
export function tallyInWords(strokes: readonly MinuteUse[]): string {
  const parts = (['spend', 'home', 'held', 'gone'] as const)
    .map((use) => ({ use, count: strokes.filter((stroke) => stroke === use).length }))
    .filter(({ count }) => count > 0)
    .map(({ use, count }) => `${count} min ${useNames[use]}`);
  return parts.join(', ');
}
