import { useEffect } from 'react';
import { useRecords } from '../records/records';

/** Looked at again after so long, it may have been changed elsewhere. */
const oldMs = 20_000;

/**
 * What was typed a moment before the page is left is sent at once; when the server can be reached again, what waits is sent, and
 * when the page is looked at again, what others changed is read. Where leaving would lose something, the browser asks first.
 */
export function useStayInStep(): void {
  useEffect(() => {
    const { saveAtOnce, retry, refresh } = useRecords.getState();
    let leftAt = Date.now();
    const looks = () => {
      if (document.visibilityState === 'hidden') leftAt = Date.now();
      else if (Date.now() - leftAt > oldMs) void refresh();
    };
    const leaves = () => void saveAtOnce();
    const asks = (event: BeforeUnloadEvent) => {
      const { waiting, isKept } = useRecords.getState();
      if (!isKept && Object.keys(waiting).length > 0) event.preventDefault();
    };
    const online = () => void retry();
    window.addEventListener('pagehide', leaves);
    window.addEventListener('beforeunload', asks);
    window.addEventListener('online', online);
    document.addEventListener('visibilitychange', looks);
    return () => {
      window.removeEventListener('pagehide', leaves);
      window.removeEventListener('beforeunload', asks);
      window.removeEventListener('online', online);
      document.removeEventListener('visibilitychange', looks);
    };
  }, []);
}
