import { useEffect } from 'react';
import { usualConditions } from '../conditions/usualConditions';
import { useRecords } from '../state/records';

/** Reads everything once at the start; an empty database gets conditions to begin with. */
export function useLoading(): 'loading' | 'ready' | 'failed' {
  const loading = useRecords((state) => state.loading);
  useEffect(() => {
    void start();
  }, []);
  return loading;
}

let started: Promise<void> | null = null;

function start(): Promise<void> {
  started ??= (async () => {
    const { load } = useRecords.getState();
    await load();
    const { loading, conditions, add } = useRecords.getState();
    if (loading === 'ready' && conditions.length === 0) {
      await add('conditions', usualConditions(new Date()), 'conditions to begin with');
      useRecords.setState({ undoSteps: [] });
    }
  })();
  return started;
}
