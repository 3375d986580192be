import type { CSSProperties } from 'react';
import styles from './chart.module.css';

export interface KeyLine {
  readonly words: string;
  /** The token of its colour. */
  readonly colour: string;
  readonly as?: 'line' | 'dashed' | 'point' | 'diamond';
}

/** What the lines and marks of a chart are, in words. */
export function ChartKey({ lines }: { readonly lines: readonly KeyLine[] }) {
  return (
    <ul className={styles.key}>
      {lines.map(({ words, colour, as = 'line' }) => (
        <li key={words} data-as={as} style={{ '--key-colour': `var(--${colour})` } as CSSProperties}>
          {words}
        </li>
      ))}
    </ul>
  );
}
