import { UnstyledButton } from '@mantine/core';
import type { ReactNode } from 'react';
import styles from './Choosable.module.css';

interface Props {
  readonly chosen: boolean;
  readonly onChoose: () => void;
  readonly className?: string;
  readonly children: ReactNode;
}

/** One of a list, of which one is chosen: the same mark everywhere. */
export function Choosable({ chosen, onChoose, className = '', children }: Props) {
  return (
    <UnstyledButton
      data-choosable
      className={`${styles.choosable} ${className}`}
      aria-pressed={chosen}
      onClick={onChoose}
    >
      {children}
    </UnstyledButton>
  );
}
