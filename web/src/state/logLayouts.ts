import type { LogLayout } from '@acorn-tally/core';
import { create } from 'zustand';
import { persist } from 'zustand/middleware';

/** Layouts of logs that the pilot corrected, by the headings of their files: corrected once, known for the next. */
interface LogLayouts {
  readonly layouts: Readonly<Record<string, LogLayout>>;
  remember(headings: string, layout: LogLayout): void;
}

export const useLogLayouts = create<LogLayouts>()(
  persist(
    (set) => ({
      layouts: {},
      remember: (headings, layout) => set(({ layouts }) => ({ layouts: { ...layouts, [headings]: layout } })),
    }),
    { name: 'acorn-tally-log-layouts', partialize: ({ layouts }) => ({ layouts }) },
  ),
);
