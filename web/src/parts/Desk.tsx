import { Button } from '@mantine/core';
import { useDisclosure } from '@mantine/hooks';
import { IconAdjustmentsHorizontal } from '@tabler/icons-react';
import { type ReactNode, Suspense } from 'react';
import { lazyPart } from '../state/lazyPart';
import styles from './Desk.module.css';
import { usePhone } from './usePhone';
import { useTouched } from './useTouched';

/** Fetched when it is first pulled up. */
const Sheet = lazyPart(async () => (await import('./Sheet')).Sheet);

interface Props {
  /** What is chosen here, as in "Flight". */
  readonly label: string;
  readonly aside: ReactNode;
  /** What is done so often that it is at hand on a phone too, beside the button that opens what is chosen. */
  readonly action?: ReactNode;
  /** The inputs stand above the answer on a middling screen, where there is no room beside it. */
  readonly wide?: boolean;
  readonly children: ReactNode;
}

/**
 * What you choose on the left, what follows on the right. On a phone what follows has the screen, and what you choose comes up
 * from below over its lower half, so that the answer is seen to follow.
 */
export function Desk({ label, aside, action, wide = false, children }: Props) {
  const isPhone = usePhone();
  const [opened, { open, close }] = useDisclosure(false);
  const touched = useTouched(opened);
  if (!isPhone) {
    return (
      <div className={`${styles.desk} ${wide ? styles.wide : ''}`}>
        <aside className={styles.left} aria-label={label}>
          {aside}
        </aside>
        <main className={styles.main}>{children}</main>
      </div>
    );
  }
  return (
    <div className={styles.phone}>
      <main className={styles.main}>{children}</main>
      <div className={styles.handles}>
        <Button
          fullWidth
          variant={action ? 'default' : 'filled'}
          leftSection={<IconAdjustmentsHorizontal size={18} aria-hidden />}
          onClick={open}
        >
          {label}
        </Button>
        {action}
      </div>
      <Suspense fallback={null}>
        {touched && (
          <Sheet label={label} opened={opened} onClose={close}>
            {aside}
          </Sheet>
        )}
      </Suspense>
    </div>
  );
}

/** A part of what is chosen, under its name. */
export function AsideSection({
  title,
  end,
  children,
}: {
  readonly title: string;
  readonly end?: ReactNode;
  readonly children: ReactNode;
}) {
  return (
    <section className={styles.part}>
      <div className={styles.partHead}>
        <h2>{title}</h2>
        {end}
      </div>
      {children}
    </section>
  );
}
