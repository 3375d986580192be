import { Anchor } from '@mantine/core';
import type { ReactNode } from 'react';

interface Props {
  readonly onClick: () => void;
  readonly disabled?: boolean;
  /** What a screen reader says instead of the words. */
  readonly label?: string;
  /** Of what it opens and closes. */
  readonly expanded?: boolean;
  readonly className?: string;
  readonly children: ReactNode;
}

/** A small action that reads as words, beside what it is about. */
export function LinkButton({ onClick, disabled, label, expanded, className, children }: Props) {
  return (
    <Anchor
      component="button"
      type="button"
      className={className}
      disabled={disabled}
      aria-label={label}
      aria-expanded={expanded}
      onClick={onClick}
    >
      {children}
    </Anchor>
  );
}
