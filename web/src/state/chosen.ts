import { create } from 'zustand';
import { persist } from 'zustand/middleware';

/** What the pilot last looked at, kept in this browser. Everything else is kept on the server. */
interface Chosen {
  readonly aircraftId: string | null;
  readonly batteryId: string | null;
  readonly testFlightId: string | null;
  readonly shootId: string | null;
  readonly conditionsOpen: boolean;
  choose(change: Partial<Omit<Chosen, 'choose'>>): void;
}

export const useChosen = create<Chosen>()(
  persist(
    (set) => ({
      aircraftId: null,
      batteryId: null,
      testFlightId: null,
      shootId: null,
      conditionsOpen: false,
      choose: (change) => set(change),
    }),
    {
      name: 'acorn-tally-chosen',
      partialize: ({ aircraftId, batteryId, testFlightId, shootId }) => ({
        aircraftId,
        batteryId,
        testFlightId,
        shootId,
      }),
    },
  ),
);
