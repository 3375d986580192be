import { Button } from '@mantine/core';
import { useHotkeys } from '@mantine/hooks';
import { Suspense, useCallback, useEffect, useMemo, useState } from 'react';
import { Outlet, useLocation, useNavigate } from 'react-router';
import { Ribbon } from '../conditions/Ribbon';
import { Guard } from '../parts/Guard';
import { useKeys } from '../parts/keys';
import { useRecords } from '../records/records';
import { fetchPart, lazyPart } from '../state/lazyPart';
import { usePreferences } from '../state/preferences';
import { Footer } from './Footer';
import { Header } from './Header';
import styles from './Shell.module.css';
import { useLoading } from './useLoading';
import { useOfferUndo } from './useOfferUndo';
import { useOpened } from './useOpened';
import { useStayInStep } from './useStayInStep';
import { fetchAllViews } from './viewAt';
import { views } from './views';
import { WaitingForKit } from './WaitingForKit';
import waiting from './WaitingForKit.module.css';

const Notices = lazyPart(async () => (await import('./Notices')).Notices);
const Panels = lazyPart(async () => (await import('./Panels')).Panels);
const Search = lazyPart(async () => (await import('./Search')).Search);
const TakesFits = lazyPart(async () => (await import('./TakesFits')).TakesFits);

/** The frame of every view: folder tabs in working order, the ribbon of conditions, and the foot with saving and undo. */
export function Shell() {
  const navigate = useNavigate();
  const { undo, redo } = useRecords.getState();
  const look = usePreferences((state) => state.look);
  const { pathname } = useLocation();
  const [searches, setSearches] = useState(0);
  const takesFits = useRecords((state) => state.aircraft.some((one) => one.takesFits));
  const { opened, open, close } = useOpened();
  const { first, all } = useLoading();
  // Minutes stand as soon as they can be computed; the other views wait for the rest, which is on its way.
  const loading = ['/', '/minutes'].includes(pathname) ? first : all;
  useStayInStep();
  useOfferUndo();
  const search = useCallback(() => setSearches((count) => count + 1), []);
  const keys = useMemo(
    () => ({
      ...Object.fromEntries(views.map(({ key, path }) => [key, () => void navigate(path)])),
      k: () => void navigate('/kit'),
      u: () => open('units'),
      c: () => open('conditions'),
      t: () => open('record'),
      '?': () => open('keys'),
      '/': search,
      'mod+Z': undo,
      'mod+shift+Z': redo,
      'mod+Y': redo,
    }),
    [navigate, open, undo, redo, search],
  );
  useKeys(keys);
  // Also from within a field, where a letter with Ctrl means nothing else.
  useHotkeys([['mod+K', search]], []);
  useEffect(() => {
    if (all !== 'ready') return;
    whenIdle(fetchAllViews);
    whenIdle(() => void fetchPart(() => import('../records/samples')).then((part) => part?.followSamples()));
  }, [all]);

  return (
    <div className={styles.shell}>
      <Header onOpen={open} onSearch={search} />
      {first === 'ready' && (
        <Guard what="The line of conditions" resetKeys={[pathname]}>
          <Ribbon onChange={() => open('conditions')} />
        </Guard>
      )}
      {/* Charts take their colours when they are made, so another look makes them anew. */}
      <div className={styles.view}>
        {loading === 'ready' ? (
          <Guard view what="This view" resetKeys={[pathname, look]}>
            <Suspense fallback={<WaitingForKit />}>
              <Outlet key={look} />
            </Suspense>
          </Guard>
        ) : loading === 'loading' ? (
          <WaitingForKit />
        ) : (
          <Failed />
        )}
      </div>
      <Footer onOpen={open} />
      {all === 'ready' && (
        <Suspense fallback={null}>
          <Notices />
          {takesFits && <TakesFits />}
          <Panels opened={opened} onClose={close} />
          {searches > 0 && <Search asked={searches} onOpen={open} />}
        </Suspense>
      )}
    </div>
  );
}

function Failed() {
  const { trouble, load } = useRecords();
  return (
    <main className={waiting.failed} role="alert">
      <p>{trouble}</p>
      <Button onClick={() => void load()}>Try again</Button>
    </main>
  );
}

function whenIdle(work: () => void): void {
  if ('requestIdleCallback' in window) window.requestIdleCallback(work, { timeout: 4000 });
  else setTimeout(work, 1500);
}
