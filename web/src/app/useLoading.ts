import { useEffect } from 'react';
import { usualConditions } from '../conditions/usualConditions';
import { type Loading, useRecords } from '../state/records';

interface Loaded {
  /** What Minutes and the ribbon need. */
  readonly first: Loading;
  readonly all: Loading;
}

/** Reads everything once at the start; an empty database gets conditions to begin with. */
export function useLoading(): Loaded {
  const first = useRecords((state) => state.loading);
  const rest = useRecords((state) => state.loadingRest);
  useEffect(() => {
    void start();
  }, []);
  return { first, all: first === 'ready' ? rest : first };
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
