import { ranges, type StyleShare, styles } from '@acorn-tally/core';
import { type PointerEvent, useRef } from 'react';
import { QuantityField } from '../fields/QuantityField';
import { bordersOf, shareOf, withBorder, withShare } from './mix';

interface Props {
  readonly mix: readonly StyleShare[];
  readonly onChange: (mix: StyleShare[]) => void;
}

/** The mix of styles as a bar whose borders are dragged, and a share for each; it always stays whole. */
export function MixEditor({ mix, onChange }: Props) {
  return (
    <div className="mix">
      <MixBar mix={mix} onChange={onChange} />
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

/** Each border is a handle for the pointer and a slider for the keyboard, in whole per cent. */
function MixBar({ mix, onChange }: Props) {
  const bar = useRef<HTMLDivElement>(null);
  const drag = (border: number) => (event: PointerEvent<HTMLElement>) => {
    if (event.buttons !== 1 || !bar.current) return;
    const { left, width } = bar.current.getBoundingClientRect();
    onChange(withBorder(mix, border, Math.round(((event.clientX - left) / width) * 100) / 100));
  };
  const percent = (share: number) => Math.round(share * 100);
  return (
    <div className="mix-bar" ref={bar}>
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
          <span
            key={before}
            className="mix-border"
            style={{ left: `${at * 100}%` }}
            onPointerDown={(event) => event.currentTarget.setPointerCapture(event.pointerId)}
            onPointerMove={drag(border)}
          >
            <input
              type="range"
              className="unseen"
              aria-label={`Border between ${before} and ${after}`}
              aria-valuetext={`${before} ${percent(shareOf(mix, before))} %, ${after} ${percent(shareOf(mix, after))} %`}
              min={0}
              max={100}
              step={1}
              value={percent(at)}
              onChange={(event) => onChange(withBorder(mix, border, Number(event.target.value) / 100))}
            />
          </span>
        );
      })}
    </div>
  );
}
