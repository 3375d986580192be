import type { ReactNode } from 'react';
import styles from './Section.module.css';

interface Props {
  readonly title: ReactNode;
  /** How it is shown, or what can be done with it, at the end of its title. */
  readonly end?: ReactNode;
  /** What a screen reader calls it; else it has no name of its own. */
  readonly label?: string;
  readonly id?: string;
  readonly className?: string;
  readonly children: ReactNode;
}

/** A part of a view under its title. */
export function Section({ title, end, label, id, className, children }: Props) {
  return (
    <section id={id} aria-label={label} className={className}>
      <div className={styles.head}>
        <h2 className={styles.title}>{title}</h2>
        {end}
      </div>
      {children}
    </section>
  );
}
