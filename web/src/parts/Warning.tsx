import { IconAlertTriangle } from '@tabler/icons-react';
import type { ReactNode } from 'react';
import styles from './Warning.module.css';

interface Props {
  /** Told at once to those who cannot see it. */
  readonly alert?: boolean;
  readonly small?: boolean;
  readonly className?: string;
  readonly children: ReactNode;
}

/** What may hurt, or does not work: in words, with the sign for it. */
export function Warning({ alert, small, className, children }: Props) {
  return (
    <div
      role={alert ? 'alert' : undefined}
      className={[styles.warning, small && styles.small, className].filter(Boolean).join(' ')}
    >
      <IconAlertTriangle size={small ? 14 : 16} aria-hidden />
      <span>{children}</span>
    </div>
  );
}
