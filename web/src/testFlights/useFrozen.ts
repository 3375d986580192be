import type { FrozenEstimate, ListedTest } from '@acorn-tally/core';
import { useEffect, useState } from 'react';
import { frozenEstimateOf } from '../api/records';
import { keyOf } from '../records/kinds';
import { useRecords } from '../records/records';

/** What was read already, by test and when its estimate was made: that one never changes. */
const read = new Map<string, FrozenEstimate>();

interface Frozen {
  readonly estimate: FrozenEstimate | null;
  readonly trouble: string | null;
}

/** The estimate frozen with a test flight, read when it is first looked at. It is frozen when the flight comes to the server. */
export function useFrozen({ id, version, estimatedAt }: ListedTest): Frozen {
  const key = `${id} ${estimatedAt ?? ''}`;
  const [frozen, setFrozen] = useState<Frozen>({ estimate: read.get(key) ?? null, trouble: null });
  // While what was changed is on its way, the server has the one before.
  const isWaiting = useRecords((state) => keyOf('testFlights', id) in state.waiting);
  const isThere = version > 0 && !isWaiting;
  useEffect(() => {
    let isWanted = true;
    const known = read.get(key);
    const show = (next: Frozen) => isWanted && setFrozen(next);
    if (known) show({ estimate: known, trouble: null });
    else if (!isThere) show({ estimate: null, trouble: null });
    else
      frozenEstimateOf(id).then(
        (estimate) => {
          read.set(key, estimate);
          show({ estimate, trouble: null });
        },
        (error: Error) => show({ estimate: null, trouble: error.message }),
      );
    return () => {
      isWanted = false;
    };
  }, [id, key, isThere]);
  return frozen;
}
