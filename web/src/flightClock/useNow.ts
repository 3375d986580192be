import { useEffect, useState } from 'react';

/** The time, told anew while it is wanted: what is shown follows the clock of the world, not a count of ticks. */
export function useNow(wanted: boolean, everyMs = 200): number {
  const [now, setNow] = useState(Date.now);
  useEffect(() => {
    if (!wanted) return;
    setNow(Date.now());
    const timer = setInterval(() => setNow(Date.now()), everyMs);
    return () => clearInterval(timer);
  }, [wanted, everyMs]);
  return now;
}
