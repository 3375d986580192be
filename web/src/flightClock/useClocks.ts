import { v7 } from 'uuid';
import { create } from 'zustand';
import { type ClockShelf, clockShelfIn } from './clockShelf';
import type { FlightClock, Plan } from './clocks';
import type { ClockEvent } from './events';

interface Clocks {
  /** Null until this browser's shelf was read. */
  readonly clocks: readonly FlightClock[] | null;
  /** What the shelf said when it could not be written: then marks live in this page only. */
  readonly trouble: string | null;
  read(): Promise<void>;
  begin(plan: Plan): FlightClock;
  note(ids: readonly string[], event: ClockEvent): void;
  remove(id: string): void;
}

/** The clocks that run or wait to be kept. What is noted stands at once, and is written before anything follows from it. */
export function clocksStore(shelf: ClockShelf, newId: () => string) {
  return create<Clocks>()((set, get) => {
    const kept = (work: Promise<void>) =>
      work.then(
        () => get().trouble !== null && set({ trouble: null }),
        (error: Error) => set({ trouble: error.message }),
      );
    const change = (map: (clock: FlightClock) => FlightClock) =>
      set({ clocks: (get().clocks ?? []).map(map) });
    return {
      clocks: null,
      trouble: null,
      async read() {
        try {
          const clocks = await shelf.all();
          set({ clocks: [...clocks].sort((a, b) => (a.id < b.id ? -1 : 1)) });
        } catch (error) {
          set({ clocks: get().clocks ?? [], trouble: (error as Error).message });
        }
      },
      begin(plan) {
        const clock = { id: newId(), plan, events: [] };
        set({ clocks: [...(get().clocks ?? []), clock] });
        void kept(shelf.put(clock));
        return clock;
      },
      note(ids, event) {
        change((clock) => (ids.includes(clock.id) ? { ...clock, events: [...clock.events, event] } : clock));
        for (const id of ids) void kept(shelf.append(id, event));
      },
      remove(id) {
        set({ clocks: (get().clocks ?? []).filter((clock) => clock.id !== id) });
        void kept(shelf.remove(id));
      },
    };
  });
}

const name = 'acorn-tally-clocks';
const isBrowser = typeof window !== 'undefined' && 'BroadcastChannel' in window;
const shelf = clockShelfIn(name, isBrowser ? new BroadcastChannel(name) : null);
export const useClocks = clocksStore(shelf, v7);

/** Reads this browser's clocks, and again when another tab changed them. */
export function followClocks(): () => void {
  const { read } = useClocks.getState();
  void read();
  return shelf.follow(() => void read());
}
