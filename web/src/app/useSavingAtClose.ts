import { useEffect } from 'react';
import { useRecords } from '../state/records';

/** What was typed a moment before the page is left is sent at once. */
export function useSavingAtClose(): void {
  useEffect(() => {
    const save = () => {
      const { saving, retry } = useRecords.getState();
      if (saving !== 'saved') void retry();
    };
    window.addEventListener('pagehide', save);
    return () => window.removeEventListener('pagehide', save);
  }, []);
}
