import { Drawer } from '@mantine/core';
import type { ReactNode } from 'react';
import { Guard } from './Guard';

interface Props {
  readonly title: string;
  readonly opened: boolean;
  readonly onClose: () => void;
  readonly side?: 'left' | 'right';
  readonly keepMounted?: boolean;
  /** Width in px; on a narrower screen it takes all of it. */
  readonly size?: number;
  readonly children: ReactNode;
}

/** A drawer beside the work, which goes on being visible and following what is changed. */
export function SidePanel({
  title,
  opened,
  onClose,
  side = 'right',
  keepMounted,
  size = 400,
  children,
}: Props) {
  return (
    <Drawer.Root opened={opened} onClose={onClose} position={side} size={size} keepMounted={keepMounted}>
      <Drawer.Overlay backgroundOpacity={0.12} />
      <Drawer.Content>
        <div className="panel-head">
          <Drawer.Title className="panel-title">{title}</Drawer.Title>
          <Drawer.CloseButton aria-label="Close" />
        </div>
        <Drawer.Body>
          <Guard what={title} resetKeys={[opened]}>
            {children}
          </Guard>
        </Drawer.Body>
      </Drawer.Content>
    </Drawer.Root>
  );
}
