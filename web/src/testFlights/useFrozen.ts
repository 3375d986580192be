import type { FrozenEstimate, ListedTest } from '@acorn-tally/core';
import { useEffect, useState } from 'react';
import { frozenEstimateOf } from '../api/records';

/** What was read already: an estimate once frozen never changes. */
const read = new Map<string, FrozenEstimate>();

interface Frozen {
  readonly estimate: FrozenEstimate | null;
  readonly trouble: string | null;
}

/** The estimate frozen with a test flight, read when it is first looked at. It is frozen when the flight comes to the server. */
export function useFrozen({ id, version }: Pick<ListedTest, 'id' | 'version'>): Frozen {
  const [frozen, setFrozen] = useState<Frozen>({ estimate: read.get(id) ?? null, trouble: null });
  const isThere = version > 0;
  useEffect(() => {
    let isWanted = true;
    const known = read.get(id);
    const show = (next: Frozen) => isWanted && setFrozen(next);
    if (known) show({ estimate: known, trouble: null });
    else if (!isThere) show({ estimate: null, trouble: null });
    else
      frozenEstimateOf(id).then(
        (estimate) => {
          read.set(id, estimate);
          show({ estimate, trouble: null });
        },
        (error: Error) => show({ estimate: null, trouble: error.message }),
      );
    return () => {
      isWanted = false;
    };
  }, [id, isThere]);
  return frozen;
}
