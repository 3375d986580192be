import { Drawer } from '@mantine/core';
import { IconX } from '@tabler/icons-react';
import type { ReactNode } from 'react';
import { Guard } from './Guard';
import { IconButton } from './IconButton';
import styles from './Sheet.module.css';
import type { PanelProps } from './SidePanel';

interface Props extends PanelProps {
  readonly label: string;
  readonly children: ReactNode;
}

/** Comes up over the lower part of a phone's screen; what it changes goes on being seen, and scrolled, above it. */
export function Sheet({ label, opened, onClose, children }: Props) {
  return (
    <Drawer.Root opened={opened} onClose={onClose} position="bottom" size="58dvh" lockScroll={false}>
      <Drawer.Content aria-label={label} classNames={{ content: styles.sheet }}>
        <Drawer.Body className={styles.body}>
          <Guard what={label} resetKeys={[opened]}>
            {children}
          </Guard>
        </Drawer.Body>
        <div className={styles.head}>
          <b>{label}</b>
          <IconButton icon={IconX} label="Close" onClick={onClose} />
        </div>
      </Drawer.Content>
    </Drawer.Root>
  );
}
