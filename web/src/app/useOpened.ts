import { useCallback } from 'react';
import { useSearchParams } from 'react-router';

/** What opens over any view, and closes back to it. */
export const panels = ['conditions', 'record', 'versions', 'units', 'keys'] as const;
export type Panel = (typeof panels)[number];

/** Which panel is open; it stands in the address, so that going back closes it and a link may open it. */
export function useOpened() {
  const [search, setSearch] = useSearchParams();
  const opened = panels.find((panel) => search.has(panel)) ?? null;
  const open = useCallback((panel: Panel) => setSearch({ [panel]: '' }), [setSearch]);
  const close = useCallback(() => setSearch({}, { replace: true }), [setSearch]);
  return { opened, open, close };
}
