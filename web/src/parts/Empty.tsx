import type { ReactNode } from 'react';
import styles from './Empty.module.css';

/** Where there is nothing yet: what would be here, and how it comes to be. */
export function Empty({ title, children }: { readonly title: string; readonly children: ReactNode }) {
  return (
    <div className={styles.empty}>
      <h1>{title}</h1>
      {children}
    </div>
  );
}
