import type { ReactNode } from 'react';
import styles from './Headline.module.css';

interface Props {
  readonly title: ReactNode;
  /** Beside it, smaller: what it rests on. */
  readonly children?: ReactNode;
  /** At the far end of the line. */
  readonly end?: ReactNode;
  /** Not yet of what is on the screen. */
  readonly old?: boolean;
  /** Under another headline. */
  readonly second?: boolean;
}

/** The answer of a view, or of a part of one, as a sentence. */
export function Headline({ title, children, end, old = false, second = false }: Props) {
  return (
    <div className={styles.headline} data-old={old || undefined} aria-busy={old}>
      {second ? <h2 className={styles.second}>{title}</h2> : <h1 className={styles.title}>{title}</h1>}
      {children && <div className={styles.beside}>{children}</div>}
      {end && <div className={styles.end}>{end}</div>}
    </div>
  );
}
