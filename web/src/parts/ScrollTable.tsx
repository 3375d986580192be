import { Table } from '@mantine/core';
import type { ReactNode } from 'react';

interface Props {
  readonly label: string;
  /** No narrower than this, in px; on a smaller screen it scrolls. */
  readonly minWidth?: number;
  readonly className?: string;
  readonly children: ReactNode;
}

/** What may be wider than the screen scrolls by itself, by keyboard too, and never widens the page. */
export function ScrollTable({ label, minWidth = 0, className, children }: Props) {
  return (
    <Table.ScrollContainer
      type="native"
      minWidth={minWidth}
      className={className}
      role="region"
      tabIndex={0}
      aria-label={label}
    >
      {children}
    </Table.ScrollContainer>
  );
}
