import type { Light } from '@acorn-tally/core';
import styles from './LightBand.module.css';

interface Props {
  readonly spans: readonly { readonly key: number; readonly share: number; readonly light: Light }[];
}

/** The light along a stretch of time: as bright as the paper is, a low sun with strokes on it; in words where there is room. */
export function LightBand({ spans }: Props) {
  return (
    <div className={styles.band}>
      {spans.map(({ key, share, light }) => (
        <i key={key} data-light={light.replace(' ', '-')} style={{ width: `${share * 100}%` }}>
          <span>{light}</span>
        </i>
      ))}
    </div>
  );
}
