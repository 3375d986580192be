import { v7 } from 'uuid';
import { localStoreIn } from './localStore';
import { recordsStore } from './store';
import { browserChannel, browserTabs } from './tabs';

/** The records of this browser: what is typed stands at once, is kept here, and is sent to the server. */
export const useRecords = recordsStore({
  local: localStoreIn('acorn-tally', browserTabs(v7)),
  channel: browserChannel(),
  newId: v7,
  now: Date.now,
  later: (ms, work) => {
    const timer = setTimeout(work, ms);
    return () => clearTimeout(timer);
  },
});
