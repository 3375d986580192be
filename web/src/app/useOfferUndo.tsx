import { Button } from '@mantine/core';
import { useEffect } from 'react';
import { useRecords } from '../records/records';
import { fetchPart } from '../state/lazyPart';
import { doneInWords } from './doneInWords';
import styles from './Footer.module.css';

const id = 'undo';
const offeredMs = 8000;

/** What took something away, brought something in or changed several at once is told, with the way back beside it. */
export function useOfferUndo(): void {
  // Beside React: a step grows with every move of a hand, and the frame need not be drawn again for it.
  useEffect(() => {
    let lastOrdinal: number | undefined;
    return useRecords.subscribe(({ undoSteps }) => {
      const last = undoSteps.at(-1);
      if (last?.ordinal === lastOrdinal) return;
      lastOrdinal = last?.ordinal;
      // Steps that were kept from before the page was loaded are no news.
      const isNew = last !== undefined && Date.now() - last.at < offeredMs;
      void offer(last?.offered && isNew ? last.label : null);
    });
  }, []);
}

let isOffered = false;

/** What shows it is fetched when there is first something to offer. */
async function offer(label: string | null): Promise<void> {
  if (label === null && !isOffered) return;
  isOffered = label !== null;
  const notices = await fetchPart(() => import('@mantine/notifications'));
  if (!notices) return;
  const { notifications } = notices;
  notifications.hide(id);
  if (label === null || !isOffered) return;
  notifications.show({
    id,
    role: 'status',
    autoClose: offeredMs,
    closeButtonProps: { 'aria-label': 'Dismiss' },
    message: (
      <span className={styles.offer}>
        {doneInWords(label)}.
        <Button variant="default" onClick={useRecords.getState().undo}>
          Undo
        </Button>
      </span>
    ),
  });
}
