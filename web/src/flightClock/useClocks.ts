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

type Write =
  | { readonly how: 'begin'; readonly id: string; readonly clock: FlightClock }
  | { readonly how: 'note'; readonly id: string; readonly event: ClockEvent }
  | { readonly how: 'remove'; readonly id: string };

/** The clocks after one more write. */
function after(clocks: readonly FlightClock[], write: Write): readonly FlightClock[] {
  if (write.how === 'begin') return [...clocks.filter(({ id }) => id !== write.id), write.clock];
  if (write.how === 'remove') return clocks.filter(({ id }) => id !== write.id);
  return clocks.map((clock) =>
    clock.id === write.id ? { ...clock, events: [...clock.events, write.event] } : clock,
  );
}

/**
 * The clocks that run or wait to be kept. What is noted stands at once, and is written before anything follows from it; what could
 * not be written is tried again with the next write.
 */
export function clocksStore(shelf: ClockShelf, newId: () => string) {
  let unwritten: readonly Write[] = [];
  let failed: readonly Write[] = [];
  let writtenCount = 0;
  const written = (write: Write) => {
    if (write.how === 'begin') return shelf.put(write.clock);
    return write.how === 'note' ? shelf.append(write.id, write.event) : shelf.remove(write.id);
  };
  return create<Clocks>()((set, get) => {
    const attempt = async (write: Write) => {
      try {
        await written(write);
        writtenCount += 1;
        unwritten = unwritten.filter((one) => one !== write);
        if (failed.length === 0 && get().trouble !== null) set({ trouble: null });
      } catch (error) {
        // Another tab ended this clock: nothing is left to note.
        if (write.how === 'note' && !get().clocks?.some(({ id }) => id === write.id)) return;
        failed = [...failed, write];
        set({ trouble: (error as Error).message });
      }
    };
    const apply = (...writes: readonly Write[]) => {
      const again = failed;
      failed = [];
      unwritten = [...unwritten, ...writes];
      set({ clocks: writes.reduce(after, get().clocks ?? []) });
      for (const write of [...again, ...writes]) void attempt(write);
    };
    /** What the shelf has, read again where something was written meanwhile. */
    const shelved = async (): Promise<readonly FlightClock[]> => {
      const before = writtenCount;
      const clocks = await shelf.all();
      return writtenCount === before ? clocks : shelved();
    };
    return {
      clocks: null,
      trouble: null,
      async read() {
        try {
          const kept = await shelved();
          const clocks = unwritten.reduce(after, kept);
          set({ clocks: [...clocks].sort((a, b) => (a.id < b.id ? -1 : 1)) });
        } catch (error) {
          set({ clocks: get().clocks ?? [], trouble: (error as Error).message });
        }
      },
      begin(plan) {
        const clock = { id: newId(), plan, events: [] };
        apply({ how: 'begin', id: clock.id, clock });
        return clock;
      },
      note: (ids, event) => apply(...ids.map((id): Write => ({ how: 'note', id, event }))),
      remove: (id) => apply({ how: 'remove', id }),
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
