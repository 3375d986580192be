import { Skeleton } from '@mantine/core';
import styles from './WaitingForKit.module.css';

/** The page before its view is there. */
export function WaitingForKit() {
  return (
    <main className={styles.waiting} aria-busy>
      <p>Reading your kit …</p>
      {[70, 100, 100, 100, 60].map((width, i) => (
        // biome-ignore lint/suspicious/noArrayIndexKey: rows without a meaning of their own
        <Skeleton key={i} height={i === 0 ? 28 : 44} width={`${width}%`} radius="sm" />
      ))}
    </main>
  );
}
