import { ranges, type StyleShare, styles } from '@acorn-tally/core';
import { QuantityField } from '../fields/QuantityField';
import { shareOf, withShare } from './mix';

interface Props {
  readonly mix: readonly StyleShare[];
  readonly onChange: (mix: StyleShare[]) => void;
}

/** The mix of styles as a bar, and a share for each; the others give way so that it stays whole. */
export function MixEditor({ mix, onChange }: Props) {
  return (
    <div className="mix">
      <div className="mix-bar" aria-hidden>
        {styles.map((style) => (
          <i key={style} style={{ flexGrow: shareOf(mix, style), background: `var(--mix-${style})` }} />
        ))}
      </div>
      <div className="mix-fields">
        {styles.map((style) => (
          <QuantityField
            key={style}
            stacked
            label={style}
            quantity={{ ...ranges.styleShare.share, label: `Share of ${style}` }}
            value={Number(shareOf(mix, style).toFixed(4))}
            onChange={(share) => onChange(withShare(mix, style, share))}
          />
        ))}
      </div>
    </div>
  );
}
