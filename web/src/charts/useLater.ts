import { startTransition, useEffect, useState } from 'react';

/** A value a moment later, in a render of its own: so that drawing a chart holds up nothing that changes with it. */
export function useLater<T>(value: T): T {
  const [later, setLater] = useState(value);
  useEffect(() => startTransition(() => setLater(value)), [value]);
  return later;
}
