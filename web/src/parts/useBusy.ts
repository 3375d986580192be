import { useState } from 'react';
import { useRecords } from '../records/records';

/** Runs one thing at a time; what goes wrong shows in the foot. */
export function useBusy() {
  const [busy, setBusy] = useState(false);
  const run = async (work: () => Promise<void>) => {
    setBusy(true);
    try {
      await work();
    } catch (error) {
      useRecords.getState().complain((error as Error).message);
    } finally {
      setBusy(false);
    }
  };
  return { busy, run };
}
