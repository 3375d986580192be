import { ranges, type StyleShare, styles } from '@acorn-tally/core';
import { Slider } from '@mantine/core';
import { memo } from 'react';
import { QuantityField } from '../fields/QuantityField';
import css from './MixEditor.module.css';
import { bordersOf, shareOf, withBorder, withShare } from './mix';

interface Props {
  readonly mix: readonly StyleShare[];
  readonly onChange: (mix: StyleShare[]) => void;
}

/** The mix of styles as a bar whose borders are dragged, and a share for each; it always stays whole. */
export const MixEditor = memo(function MixEditor({ mix, onChange }: Props) {
  return (
    <>
      <MixBar mix={mix} onChange={onChange} />
      <div className={css.shares}>
        {styles.map((style) => (
          <QuantityField
            key={style}
            stacked
            label={style}
            unitUnseen
            quantity={{ ...ranges.styleShare.share, label: `Share of ${style}` }}
            value={Number(shareOf(mix, style).toFixed(4))}
            onChange={(share) => onChange(withShare(mix, style, share))}
          />
        ))}
      </div>
    </>
  );
});

/** Each border is the thumb of a slider along the whole bar: for the pointer, the finger and the keys, in whole per cent. */
function MixBar({ mix, onChange }: Props) {
  const percent = (share: number) => Math.round(share * 100);
  return (
    <div className={css.bar}>
      {styles.map((style) => (
        <i
          key={style}
          style={{ width: `${shareOf(mix, style) * 100}%`, background: `var(--mix-${style})` }}
        />
      ))}
      {bordersOf(mix).map((at, border) => {
        const [before, after] = [styles[border], styles[border + 1]] as const;
        if (!before || !after) return null;
        return (
          <Slider
            key={before}
            classNames={{ root: css.border, track: css.track, bar: css.none, thumb: css.thumb }}
            thumbLabel={`Border between ${before} and ${after}`}
            thumbValueText={`${before} ${percent(shareOf(mix, before))} %, ${after} ${percent(shareOf(mix, after))} %`}
            value={percent(at)}
            onChange={(to) => to !== percent(at) && onChange(withBorder(mix, border, to / 100))}
          />
        );
      })}
    </div>
  );
}
