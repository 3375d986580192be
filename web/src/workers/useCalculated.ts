import { useEffect, useState } from 'react';
import { Dropped } from './pool';

/** What workers answered last, and whether it belongs to what is on the screen now. */
export interface Calculated<T> {
  readonly value: T | null;
  readonly fresh: boolean;
  readonly trouble: string | null;
}

/** Asks again whenever the question changes; the last answer stays, marked as no longer fresh, until the next is in. */
export function useCalculated<T>(ask: (wanted: AbortSignal) => Promise<T | null>): Calculated<T> {
  const [answer, setAnswer] = useState<{ ask: typeof ask; value: T | null; trouble: string | null } | null>(
    null,
  );
  useEffect(() => {
    const wanted = new AbortController();
    ask(wanted.signal).then(
      (value) => setAnswer({ ask, value, trouble: null }),
      (error: Error) => {
        if (!(error instanceof Dropped)) setAnswer({ ask, value: null, trouble: error.message });
      },
    );
    return () => wanted.abort();
  }, [ask]);
  return { value: answer?.value ?? null, fresh: answer?.ask === ask, trouble: answer?.trouble ?? null };
}
