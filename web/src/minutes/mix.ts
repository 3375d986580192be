import { type Style, type StyleShare, styles } from '@acorn-tally/core';

export function shareOf(mix: readonly StyleShare[], style: Style): number {
  return mix.filter((part) => part.style === style).reduce((sum, part) => sum + part.share, 0);
}

/**
 * Sets one style's share and lets the others give or take in proportion, so that the mix is always whole. Where the
 * others were nothing, hover (or normal, if hover is what was set) takes the rest.
 */
export function withShare(mix: readonly StyleShare[], style: Style, share: number): StyleShare[] {
  const others = styles.filter((other) => other !== style);
  const before = others.reduce((sum, other) => sum + shareOf(mix, other), 0);
  const rest = 1 - share;
  const takesRest: Style = style === 'hover' ? 'normal' : 'hover';
  const part = (other: Style): StyleShare => {
    const old = mix.find((one) => one.style === other);
    const fraction = before > 0 ? shareOf(mix, other) / before : other === takesRest ? 1 : 0;
    return { ...old, style: other, share: rest * fraction };
  };
  const own: StyleShare = { ...mix.find((one) => one.style === style), style, share };
  return styles.map((one) => (one === style ? own : part(one))).filter((one) => one.share > 0);
}

/** Where one style ends and the next begins on the mix’s bar, 0–1; one fewer than there are styles. */
export function bordersOf(mix: readonly StyleShare[]): number[] {
  let at = 0;
  return styles.slice(0, -1).map((style) => {
    at += shareOf(mix, style);
    return at;
  });
}

/** Moves a border; only the two styles beside it give and take, and it stops where one of them is nothing. */
export function withBorder(mix: readonly StyleShare[], border: number, to: number): StyleShare[] {
  const borders = [0, ...bordersOf(mix), 1];
  const [low, high] = [borders[border] as number, borders[border + 2] as number];
  const at = Math.min(high, Math.max(low, to));
  const shares = new Map<Style, number>([
    [styles[border] as Style, at - low],
    [styles[border + 1] as Style, high - at],
  ]);
  return styles
    .map((style): StyleShare => {
      const old = mix.find((part) => part.style === style);
      return { ...old, style, share: shares.get(style) ?? shareOf(mix, style) };
    })
    .filter(({ share }) => share > 0);
}
