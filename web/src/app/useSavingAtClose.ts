import { useEffect } from 'react';
import { useRecords } from '../state/records';

/** What was typed a moment before the page is left is sent at once. */
export function useSavingAtClose(): void {
  useEffect(() => {
    const save = () => {
      const { saving, saveAtOnce } = useRecords.getState();
      if (saving !== 'saved') void saveAtOnce();
    };
    window.addEventListener('pagehide', save);
    return () => window.removeEventListener('pagehide', save);
  }, []);
}
