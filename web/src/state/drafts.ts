import { create } from 'zustand';
import { createJSONStorage, persist } from 'zustand/middleware';

/** What was typed and not yet taken, by where it stands; kept in this tab, so that neither a broken view nor a reload loses it. */
interface Drafts {
  readonly drafts: Readonly<Record<string, unknown>>;
  keep(where: string, draft: unknown): void;
}

const useDrafts = create<Drafts>()(
  persist(
    (set) => ({
      drafts: {},
      keep: (where, draft) => set(({ drafts }) => ({ drafts: { ...drafts, [where]: draft } })),
    }),
    { name: 'acorn-tally-drafts', storage: createJSONStorage(() => sessionStorage) },
  ),
);

/** A draft that outlives the form it is typed in; null puts it back to what it began as. */
export function useDraft<T>(where: string, initial: () => T): [draft: T, keep: (next: T | null) => void] {
  const kept = useDrafts((state) => state.drafts[where]) as T | null | undefined;
  const keep = useDrafts((state) => state.keep);
  return [kept ?? initial(), (next) => keep(where, next)];
}
