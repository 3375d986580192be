import { Drawer } from '@mantine/core';
import type { ReactNode } from 'react';
import { Guard } from './Guard';
import styles from './SidePanel.module.css';

/** Whether a panel is open, and how it is closed. */
export interface PanelProps {
  readonly opened: boolean;
  readonly onClose: () => void;
}

interface Props extends PanelProps {
  readonly title: string;
  readonly side?: 'left' | 'right';
  readonly keepMounted?: boolean;
  /** Width in px; on a narrower screen it takes all of it. */
  readonly size?: number;
  readonly children: ReactNode;
}

/**
 * A drawer beside the work, which goes on being visible and following what is changed. It opens on its first field: the way out
 * comes after what it is for.
 */
export function SidePanel({
  title,
  opened,
  onClose,
  side = 'right',
  keepMounted,
  size = 400,
  children,
}: Props) {
  // It takes a moment to slide away; what is typed meanwhile is meant for the view.
  const leave = () => {
    if (document.activeElement instanceof HTMLElement) document.activeElement.blur();
    onClose();
  };
  return (
    <Drawer.Root opened={opened} onClose={leave} position={side} size={size} keepMounted={keepMounted}>
      <Drawer.Overlay backgroundOpacity={0.12} />
      <Drawer.Content classNames={{ content: styles.panel }}>
        <Drawer.Body className={styles.body}>
          <Guard what={title} resetKeys={[opened]}>
            {children}
          </Guard>
        </Drawer.Body>
        <div className={styles.head}>
          <Drawer.Title className={styles.title}>{title}</Drawer.Title>
          <Drawer.CloseButton size="var(--control)" aria-label="Close" />
        </div>
      </Drawer.Content>
    </Drawer.Root>
  );
}

/** A part of a panel, under its name. */
export function PanelPart({ title, children }: { readonly title: string; readonly children: ReactNode }) {
  return (
    <section className={styles.part}>
      <h3>{title}</h3>
      {children}
    </section>
  );
}
