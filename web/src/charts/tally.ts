/** Who takes a minute of the box. */
export const minuteUses = ['spend', 'doubt', 'home', 'held', 'gone'] as const;
export type MinuteUse = (typeof minuteUses)[number];

export const useNames: Record<MinuteUse, string> = {
  spend: 'to spend',
  doubt: 'kept for doubt',
  home: 'way home',
  held: 'held back',
  gone: 'gone before you start',
};

/** The bounds between the uses, in seconds from take-off, and how many minutes are drawn in all. */
export interface TallySpans {
  readonly spendS: number;
  readonly doubtS: number;
  readonly homeS: number;
  readonly heldS: number;
  readonly boxS: number;
}

/**
 * One stroke a minute: the use that the middle of the minute falls into. A flight that outlasts the box gets its strokes
 * beyond it.
 */
export function tallyStrokes({ spendS, doubtS, homeS, heldS, boxS }: TallySpans): MinuteUse[] {
  const middleS = spendS + doubtS;
  const usedS = middleS + homeS + heldS;
  const bounds: readonly (readonly [number, MinuteUse])[] = [
    [spendS, 'spend'],
    [middleS, 'doubt'],
    [middleS + homeS, 'home'],
    [usedS, 'held'],
  ];
  const minutes = Math.round(Math.max(boxS, usedS) / 60);
  return Array.from({ length: minutes }, (_, minute) => {
    const atS = minute * 60 + 30;
    return bounds.find(([until]) => atS < until)?.[1] ?? 'gone';
  });
}

/** The strip in words, for those who hear it. */
export function tallyInWords(strokes: readonly MinuteUse[]): string {
  const parts = minuteUses
    .map((use) => ({ use, count: strokes.filter((stroke) => stroke === use).length }))
    .filter(({ count }) => count > 0)
    .map(({ use, count }) => `${count} min ${useNames[use]}`);
  return parts.join(', ');
}
