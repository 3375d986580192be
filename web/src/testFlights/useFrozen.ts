import type { FrozenEstimate } from '@acorn-tally/core';
import { useEffect, useState } from 'react';
import { frozenEstimateOf } from '../api/records';

/** What was read already: an estimate once frozen never changes. */
const read = new Map<string, FrozenEstimate>();

interface Frozen {
  readonly estimate: FrozenEstimate | null;
  readonly trouble: string | null;
}

/** The estimate frozen with a test flight, read when it is first looked at. */
export function useFrozen(testFlightId: string): Frozen {
  const [frozen, setFrozen] = useState<Frozen>({ estimate: read.get(testFlightId) ?? null, trouble: null });
  useEffect(() => {
    let isWanted = true;
    const known = read.get(testFlightId);
    const show = (next: Frozen) => isWanted && setFrozen(next);
    if (known) show({ estimate: known, trouble: null });
    else
      frozenEstimateOf(testFlightId).then(
        (estimate) => {
          read.set(testFlightId, estimate);
          show({ estimate, trouble: null });
        },
        (error: Error) => show({ estimate: null, trouble: error.message }),
      );
    return () => {
      isWanted = false;
    };
  }, [testFlightId]);
  return frozen;
}
