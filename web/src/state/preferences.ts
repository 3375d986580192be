import { type ChosenUnits, defaultWhatIfs, metricUnits, type WhatIf } from '@acorn-tally/core';
import { create } from 'zustand';
import { persist } from 'zustand/middleware';

export const looks = ['paper', 'dusk', 'sunlight'] as const;
export type Look = (typeof looks)[number];

/** Not at all, by a tone, or by a voice. */
export const voices = ['off', 'tone', 'voice'] as const;
export type Voice = (typeof voices)[number];

/** What the pilot last looked at, kept in this browser. Everything else is kept on the server. */
interface Chosen {
  readonly aircraftId: string | null;
  readonly batteryId: string | null;
  readonly dayId: string | null;
  readonly testFlightId: string | null;
  readonly shootId: string | null;
  /** The shot that is open to be changed. */
  readonly shotId: string | null;
  readonly look: Look;
  readonly units: ChosenUnits;
  /** How a running clock calls what is expected. */
  readonly voice: Voice;
  readonly whatIfs: readonly WhatIf[];
  /** What the gauge shows out there, for the way home; 0–1. */
  readonly chargeThere: number;
  choose(change: Partial<Omit<Chosen, 'choose'>>): void;
}

export const usePreferences = create<Chosen>()(
  persist(
    (set) => ({
      aircraftId: null,
      batteryId: null,
      dayId: null,
      testFlightId: null,
      shootId: null,
      shotId: null,
      look: 'paper',
      units: metricUnits,
      voice: 'off',
      whatIfs: defaultWhatIfs,
      chargeThere: 0.5,
      choose: (change) => set(change),
    }),
    {
      name: 'acorn-tally-chosen',
      partialize: ({ choose: _c, ...kept }) => kept,
      // What was kept before a unit could be chosen lacks that choice.
      merge: (kept, now) => {
        const before = (kept ?? {}) as Partial<Chosen>;
        return { ...now, ...before, units: { ...now.units, ...before.units } };
      },
    },
  ),
);
