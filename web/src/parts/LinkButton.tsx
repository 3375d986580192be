import { Anchor } from '@mantine/core';
import type { ReactNode } from 'react';

interface Props {
  readonly onClick: () => void;
  readonly disabled?: boolean;
  /** What a screen reader says instead of the words. */
  readonly label?: string;
  readonly className?: string;
  readonly children: ReactNode;
}

/** A small action that reads as words, beside what it is about. */
export function LinkButton({ onClick, disabled, label, className, children }: Props) {
  return (
    <Anchor
      component="button"
      type="button"
      className={className}
      disabled={disabled}
      aria-label={label}
      onClick={onClick}
    >
      {children}
    </Anchor>
  );
}
