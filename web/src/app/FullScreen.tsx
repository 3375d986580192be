import { Anchor } from '@mantine/core';
import { IconArrowLeft } from '@tabler/icons-react';
import { Suspense, useEffect } from 'react';
import { Link, Outlet, useLocation } from 'react-router';
import { Guard } from '../parts/Guard';
import { useRecords } from '../records/records';
import type { Loading } from '../records/state';
import { lazyPart } from '../state/lazyPart';
import styles from './FullScreen.module.css';
import { useLoading } from './useLoading';
import { useStayInStep } from './useStayInStep';
import { WaitingForKit } from './WaitingForKit';

/** The server is asked again after so long: what runs here must be kept once it is back. */
const againMs = 3000;

const Notices = lazyPart(async () => (await import('./Notices')).Notices);

function useUntilRead(loading: Loading): void {
  useEffect(() => {
    if (loading !== 'failed') return;
    const timer = setTimeout(() => void useRecords.getState().load(), againMs);
    return () => clearTimeout(timer);
  }, [loading]);
}

/** Where each leads back to. */
const wayOut: Readonly<Record<string, { readonly to: string; readonly name: string }>> = {
  '/card': { to: '/swap-plan', name: 'Swap plan' },
};
const defaultWayOut = { to: '/test-flights', name: 'Test flights' };

/** The frame of what needs the whole screen: a clock in the air, a card to print. The way out is small and at the top. */
export function FullScreen() {
  const { all } = useLoading();
  const { pathname } = useLocation();
  const out = wayOut[pathname] ?? defaultWayOut;
  useStayInStep();
  useUntilRead(all);
  return (
    <div className={styles.bare}>
      <header className={styles.top}>
        <span className={styles.brand}>Acorn Tally</span>
        <Anchor component={Link} to={out.to} className={styles.back}>
          <IconArrowLeft size={16} aria-hidden /> {out.name}
        </Anchor>
      </header>
      <Guard view what={pathname === '/card' ? 'The card' : 'The clock'}>
        <Suspense fallback={<WaitingForKit />}>
          <Outlet />
        </Suspense>
      </Guard>
      {all === 'ready' && (
        <Suspense fallback={null}>
          <Notices />
        </Suspense>
      )}
    </div>
  );
}
