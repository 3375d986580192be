import { Button } from '@mantine/core';
import type { MouseEvent, ReactNode } from 'react';
import styles from './ClockFace.module.css';

interface Props {
  readonly onPress: () => void;
  readonly label?: string;
  readonly filled?: boolean;
  readonly disabled?: boolean;
  readonly pressed?: boolean;
  readonly wide?: boolean;
  /** Shown at a desk. */
  readonly hotkey?: string;
  readonly children: ReactNode;
}

/** A key for gloves: at least 64 px high. Pressed by hand it gives the focus back, so that Enter goes on meaning Keep. */
export function ClockKey({ onPress, label, filled, disabled, pressed, wide, hotkey, children }: Props) {
  const press = (event: MouseEvent<HTMLButtonElement>) => {
    if (event.detail > 0) event.currentTarget.blur();
    onPress();
  };
  return (
    <Button
      variant={filled ? 'filled' : 'default'}
      className={`${styles.key} ${wide ? styles.wide : ''}`}
      classNames={{ label: styles.keyLabel }}
      aria-label={label}
      aria-pressed={pressed}
      disabled={disabled}
      onClick={press}
    >
      {children}
      {hotkey && <kbd className={styles.hotkey}>{hotkey}</kbd>}
    </Button>
  );
}
