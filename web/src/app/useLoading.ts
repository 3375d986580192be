import { useEffect } from 'react';
import { defaultDay, defaultPlace } from '../conditions/defaultConditions';
import { making } from '../records/changes';
import { useRecords } from '../records/records';
import type { Loading } from '../records/state';
import { daysWithPlace } from '../state/daysWithPlace';

interface Loaded {
  /** What Minutes and the ribbon need. */
  readonly first: Loading;
  readonly all: Loading;
}

/** Reads everything once at the start; an empty database gets a place and a day to begin with. */
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
    beginIfEmpty();
  })();
  return started;
}

/** Nobody did that, so it is nothing to undo. */
function beginIfEmpty(): void {
  const { loading, fresh, doAll, undoSteps, ...data } = useRecords.getState();
  if (loading !== 'ready' || daysWithPlace(data).length > 0) return;
  const place = fresh('places', defaultPlace);
  const day = fresh('days', { ...defaultDay(new Date()), placeId: place.id });
  doAll([making('places', place), making('days', day)], 'a place and a day to begin with');
  useRecords.setState({ undoSteps });
}
