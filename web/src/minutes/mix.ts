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
