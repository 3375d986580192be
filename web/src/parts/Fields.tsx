import { Fieldset } from '@mantine/core';
import type { ReactNode } from 'react';

interface Props {
  /** What a screen reader calls it. */
  readonly label: string;
  readonly className?: string;
  readonly children: ReactNode;
}

/** Controls that belong together. */
export function Fields({ label, className, children }: Props) {
  return (
    <Fieldset variant="unstyled" aria-label={label} className={className}>
      {children}
    </Fieldset>
  );
}
