import type { Channel } from './dependencies';
import type { Tabs } from './localStore';

const storedAs = 'acorn-tally-tab';
const lockOf = (tab: string) => `acorn-tally-tab-${tab}`;

/**
 * The tabs of this browser. Each holds a lock for as long as it lives, so that another knows whether it does; its name
 * outlives a reload. A tab that was made as a copy of another has that one's name, and takes a new one.
 */
export function browserTabs(newName: () => string): Tabs {
  const living = async (): Promise<readonly string[]> => {
    const { held = [] } = (await navigator.locks?.query()) ?? {};
    return held.flatMap(({ name }) => name ?? []);
  };
  const named = async (): Promise<string> => {
    const stored = sessionStorage.getItem(storedAs);
    const name = stored !== null && !(await living()).includes(lockOf(stored)) ? stored : newName();
    sessionStorage.setItem(storedAs, name);
    // Held until the tab is gone.
    void navigator.locks?.request(lockOf(name), () => new Promise(() => undefined));
    return name;
  };
  let own: Promise<string> | null = null;
  return {
    own() {
      own ??= named();
      return own;
    },
    async gone(names) {
      const locks = await living();
      return names.filter((name) => !locks.includes(lockOf(name)));
    },
  };
}

/** What the tabs of this browser tell each other. */
export function browserChannel(): Channel {
  let channel: BroadcastChannel | null = null;
  return {
    tell: (tidings) => channel?.postMessage(tidings),
    listen(hear) {
      if (typeof BroadcastChannel === 'undefined') return;
      channel = new BroadcastChannel('acorn-tally-records');
      channel.addEventListener('message', ({ data }) => hear(data));
    },
  };
}
