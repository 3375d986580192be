import { frozenEstimate, listedTest } from '@acorn-tally/core';
import fc from 'fast-check';
import { boxDrawn } from '../../../core/fixtures/beliefs';
import { fell, jay, jay1, jayRequest } from '../../../core/fixtures/records';
import { withRandom } from '../../../core/fixtures/seeds';
import { PretendServer } from '../testing/pretendServer';
import { PretendBrowser } from '../testing/world';
import { differences, taking } from './conflict';
import { contentOf } from './kinds';
import { conflictsIn, refusalsIn, savingOf } from './saving';

let server: PretendServer;
let browser: PretendBrowser;
beforeEach(() => {
  server = new PretendServer();
  globalThis.fetch = server.fetch;
  server.put('aircraft', jay);
  server.put('batteries', jay1);
  browser = new PretendBrowser();
});
type Tab = ReturnType<PretendBrowser['open']>;
const opened = async (name: string): Promise<Tab> => {
  const tab = browser.open(name);
  await tab.getState().load();
  return tab;
};
const rename = (tab: Tab, label: string) => tab.getState().edit('batteries', jay1.id, { label }, 'label');
const labelIn = (tab: Tab) => tab.getState().batteries.find(({ id }) => id === jay1.id)?.label;
const onServer = () => server.read('batteries', jay1.id) as typeof jay1 | null;

test('with the server gone nothing is lost; it is asked again by itself, each time after twice as long', async () => {
  const tab = await opened('a');
  server.sent.length = 0;
  server.mood = 'gone';
  rename(tab, 'Jay one');
  await browser.pass(400);
  expect(savingOf(tab.getState())).toEqual({ state: 'waiting', count: 1 });
  expect(tab.getState().trouble).toContain('does not answer');
  const tries: number[] = [];
  for (let s = 0; s < 16; s++) {
    const before = server.sent.length;
    await browser.pass(1000);
    if (server.sent.length > before) tries.push(s);
  }
  expect(tries).toEqual([0, 2, 6, 14]);
  expect(labelIn(tab)).toBe('Jay one');
  server.mood = 'well';
  await browser.pass(60_000);
  expect(onServer()?.label).toBe('Jay one');
  expect(savingOf(tab.getState())).toEqual({ state: 'saved' });
  expect(tab.getState().trouble).toBeNull();
});

/** A tab that renamed a battery and added another, and was closed before the server answered. */
async function leftUnsent(): Promise<void> {
  const before = await opened('a');
  server.mood = 'gone';
  rename(before, 'Jay one');
  before.getState().add('batteries', { aircraftId: 'jay', label: 'Jay 2', pack: jay1.pack }, 'adding Jay 2');
  await browser.pass(50);
  browser.close('a');
  server.mood = 'well';
}

test('a reload, and a crash, lose nothing that was shown, nor what can be undone', async () => {
  server.mood = 'gone';
  server.mood = 'well';
  await leftUnsent();
  const after = await opened('a');
  expect(after.getState().batteries.map(({ label }) => label)).toEqual(['Jay one', 'Jay 2']);
  expect(after.getState().undoSteps.map(({ label }) => label)).toEqual(['label', 'adding Jay 2']);
  await browser.pass(1000);
  expect(onServer()?.label).toBe('Jay one');
  after.getState().undo();
  after.getState().undo();
  await browser.pass(1000);
  expect(onServer()?.label).toBe('Jay 1');
  expect(after.getState().batteries).toHaveLength(1);
});

test('what a tab left unsent that is gone, another sends', async () => {
  const first = await opened('a');
  server.mood = 'gone';
  rename(first, 'Jay one');
  await browser.pass(50);
  browser.close('a');
  server.mood = 'well';
  const second = await opened('b');
  expect(labelIn(second)).toBe('Jay one');
  await browser.pass(1000);
  expect(onServer()?.label).toBe('Jay one');
});

test('what was left unsent is taken up however late the browser’s database answers, under what was done meanwhile', async () => {
  await leftUnsent();
  browser.database = 'slow';
  const after = browser.open('a');
  const loading = after.getState().load();
  await browser.pass(2100);
  await loading;
  expect(labelIn(after)).toBe('Jay 1');
  server.mood = 'gone';
  after
    .getState()
    .edit('batteries', jay1.id, ({ pack }) => ({ pack: { ...pack, cycles: 77 } }), 'cycles of Jay 1');
  await browser.pass(5000);
  browser.database = 'well';
  server.mood = 'well';
  await browser.pass(20_000);
  const [one, two] = after.getState().batteries;
  expect([one?.label, one?.pack.cycles, two?.label]).toEqual(['Jay one', 77, 'Jay 2']);
  expect(onServer()).toMatchObject({ label: 'Jay one', pack: { cycles: 77 } });
});

test('where neither the server nor the browser’s database takes anything, the page knows, and writes once there is room', async () => {
  const tab = await opened('a');
  server.mood = 'gone';
  browser.database = 'full';
  rename(tab, 'Jay one');
  await browser.pass(400);
  expect(tab.getState().isKept).toBe(false);
  browser.database = 'well';
  await browser.pass(6000);
  expect(tab.getState().isKept).toBe(true);
  browser.close('a');
  server.mood = 'well';
  expect(labelIn(await opened('b'))).toBe('Jay one');
});

test('two tabs see each other’s changes', async () => {
  const [a, b] = [await opened('a'), await opened('b')];
  rename(a, 'Jay one');
  await browser.pass(400);
  expect(labelIn(b)).toBe('Jay one');
  rename(b, 'Jay two');
  await browser.pass(400);
  expect([labelIn(a), onServer()?.label]).toEqual(['Jay two', 'Jay two']);
  a.getState().removeAll('batteries', [jay1.id], 'removing');
  await browser.pass(400);
  expect(b.getState().batteries).toEqual([]);
});

test('an answer that was lost is no one else’s change, whatever was done meanwhile', async () => {
  const tab = await opened('a');
  server.mood = 'losing answers';
  rename(tab, 'Jay one');
  await browser.pass(400);
  expect(onServer()?.label).toBe('Jay one');
  rename(tab, 'Jay two');
  tab.getState().add('batteries', { aircraftId: 'jay', label: 'Jay 2', pack: jay1.pack }, 'adding Jay 2');
  await browser.pass(2000);
  server.mood = 'well';
  await browser.pass(60_000);
  expect(onServer()?.label).toBe('Jay two');
  expect(conflictsIn(tab.getState().waiting)).toEqual([]);
  const made = tab.getState().batteries.filter(({ label }) => label === 'Jay 2');
  expect(made).toHaveLength(1);
  expect(server.sent.filter(({ method }) => method === 'POST').length).toBeGreaterThan(1);
});

// Two tabs once turned 77 cycles into 12, and a damaged pack into a sound one (26 Nov 2026).
test('a stale write is asked: both versions are there until the pilot has chosen, field by field, and other records go on', async () => {
  const tab = await opened('a');
  const theirs = {
    ...jay1,
    version: 2,
    pack: { ...jay1.pack, cycles: 77 },
    keeping: { state: 'damaged' as const },
  };
  server.put('batteries', theirs);
  const { edit } = tab.getState();
  edit('batteries', jay1.id, { pack: { ...jay1.pack, cycles: 12, health: 0.9 } }, 'cycles');
  await browser.pass(400);
  edit('batteries', jay1.id, { label: 'Jay one' }, 'label');
  edit('aircraft', jay.id, { name: 'Jackdaw' }, 'name');
  await browser.pass(60_000);
  expect(server.read('aircraft', jay.id)).toMatchObject({ name: 'Jackdaw' });
  expect(onServer()).toEqual(theirs);
  expect(tab.getState().batteries[0]).toMatchObject({ label: 'Jay one', pack: { cycles: 12 } });
  const [conflict] = conflictsIn(tab.getState().waiting);
  expect(conflict?.halt.theirs).toEqual(theirs);

  const mine = conflict?.mine as object;
  const differing = differences(mine, contentOf<'batteries'>(theirs), contentOf<'batteries'>(jay1));
  expect(differing.map(({ path, by }) => `${path.join('.')} ${by}`)).toEqual([
    'label me',
    'pack.cycles both',
    'pack.health me',
    'keeping them',
  ]);
  const chosen = taking(
    mine,
    differing.filter(({ path }) => path[0] === 'keeping' || path[1] === 'cycles'),
  );
  tab.getState().settle('batteries', jay1.id, chosen);
  await browser.pass(400);
  expect(onServer()).toMatchObject({
    label: 'Jay one',
    pack: { cycles: 77, health: 0.9 },
    keeping: { state: 'damaged' },
    version: 3,
  });
  expect(conflictsIn(tab.getState().waiting)).toEqual([]);
  tab.getState().undo();
  expect(tab.getState().batteries[0]?.pack.cycles).toBe(12);
});

test('the other version of a test flight comes with its whole estimate, which is no part of what is chosen or sent', async () => {
  const at = { createdAt: '2026-11-20T12:00:00Z', updatedAt: '2026-11-20T12:00:00Z', version: 1 };
  const test = {
    pattern: 'low-hover',
    heightM: 2,
    startCharge: 0.9,
    endCharge: 0.25,
    durationS: 900,
  } as const;
  const content = {
    aircraftId: jay.id,
    batteryId: jay1.id,
    flownAt: at.createdAt,
    test,
    weather: fell.weather,
  };
  const flown = { ...at, ...content, id: 'flown', note: 'before' };
  const estimate = frozenEstimate(jayRequest, boxDrawn(16));
  const tab = await opened('a');
  tab.setState({ testFlights: [listedTest({ ...flown, estimate }, Date.now())] });
  server.put('testFlights', { ...flown, estimate, version: 2, note: 'theirs' } as never);
  tab.getState().edit('testFlights', 'flown', { note: 'mine' }, 'note');
  await browser.pass(400);
  const [conflict] = conflictsIn(tab.getState().waiting);
  const theirs = contentOf<'testFlights'>(conflict?.halt.theirs as never);
  expect(differences(conflict?.mine, theirs, null).map(({ path }) => path.join('.'))).toEqual(['note']);
  tab.getState().settle('testFlights', 'flown', taking(conflict?.mine as object, []));
  await browser.pass(400);
  expect(Object.keys(server.sent.at(-1)?.body ?? {})).not.toContain('estimate');
});

test('a conflict outlives a reload', async () => {
  const tab = await opened('a');
  server.put('batteries', { ...jay1, version: 2, label: 'theirs' });
  rename(tab, 'mine');
  await browser.pass(400);
  browser.close('a');
  const after = await opened('a');
  await browser.pass(1000);
  expect(labelIn(after)).toBe('mine');
  expect(conflictsIn(after.getState().waiting)).toHaveLength(1);
  expect(onServer()?.label).toBe('theirs');
});

test.each([
  ['kept', 1],
  ['let go', 0],
])('what was removed elsewhere is asked, and %s as the pilot says; the queue goes on', async (_, count) => {
  const [a, b] = [await opened('a'), await new PretendBrowser().open('b')];
  await b.getState().load();
  b.getState().removeAll('batteries', [jay1.id], 'removing');
  await b.getState().saveAtOnce();
  rename(a, 'Jay one');
  a.getState().edit('aircraft', jay.id, { name: 'Jackdaw' }, 'name');
  await browser.pass(400);
  expect(server.read('aircraft', jay.id)).toMatchObject({ name: 'Jackdaw' });
  const [conflict] = conflictsIn(a.getState().waiting);
  expect(conflict?.halt.theirs).toBeNull();
  a.getState().settle('batteries', jay1.id, count === 1 ? (conflict?.mine as object) : null);
  await browser.pass(400);
  expect(onServer()?.label ?? null).toBe(count === 1 ? 'Jay one' : null);
  expect(a.getState().batteries).toHaveLength(count);
});

test('what the server does not take is told, waits, and holds up nothing else; changed, it is sent again', async () => {
  const tab = await opened('a');
  server.mood = { status: 400, body: { detail: 'Label of the battery is empty.' } };
  rename(tab, '');
  await browser.pass(60_000);
  expect(server.sent.filter(({ method }) => method === 'PUT')).toHaveLength(1);
  expect(refusalsIn(tab.getState().waiting)[0]?.halt.message).toBe('Label of the battery is empty.');
  server.mood = 'well';
  rename(tab, 'Jay one');
  await browser.pass(400);
  expect(onServer()?.label).toBe('Jay one');
  expect(refusalsIn(tab.getState().waiting)).toEqual([]);
});

test('what somebody else came to need is not removed: it comes back, and it is said why', async () => {
  const tab = await opened('a');
  server.mood = { status: 409, body: { detail: 'Used by: shoot Herd.', users: ['shoot Herd'] } };
  tab.getState().removeAll('batteries', [jay1.id], 'removing');
  expect(tab.getState().batteries).toEqual([]);
  await browser.pass(400);
  expect(labelIn(tab)).toBe('Jay 1');
  expect(tab.getState()).toMatchObject({ trouble: 'It was not removed. Used by: shoot Herd.', waiting: {} });
});

test('a change that is refused while its record is removed does not hold up the removal', async () => {
  const tab = await opened('a');
  server.mood = { status: 400, body: { detail: 'No.' } };
  rename(tab, '');
  void tab.getState().saveAtOnce();
  tab.getState().removeAll('batteries', [jay1.id], 'removing');
  await browser.pass(10);
  server.mood = 'well';
  await browser.pass(1000);
  expect(onServer()).toBeNull();
  expect(tab.getState()).toMatchObject({ batteries: [], waiting: {} });
});

test('a page that is left sends all that waits at once, and what another changed meanwhile is read when it is looked at again', async () => {
  const tab = await opened('a');
  server.sent.length = 0;
  rename(tab, 'Jay one');
  tab.getState().edit('aircraft', jay.id, { name: 'Jackdaw' }, 'name');
  void tab.getState().saveAtOnce();
  expect(server.sent.map(({ path }) => path)).toEqual(['batteries/jay-1', 'aircraft/jay']);
  await browser.pass(400);
  server.put('aircraft', { ...jay, name: 'Magpie', version: 5 });
  await tab.getState().refresh();
  expect(tab.getState().aircraft[0]?.name).toBe('Magpie');
});

/** What may happen, in any order. Values are new each time, so that each can be told from all others. */
const command = fc.oneof(
  { weight: 2, arbitrary: fc.record({ do: fc.constant('look' as const), tab: fc.nat(1) }) },
  { weight: 5, arbitrary: fc.record({ do: fc.constant('edit' as const), tab: fc.nat(1), which: fc.nat(5) }) },
  {
    weight: 2,
    arbitrary: fc.record({ do: fc.constantFrom('undo' as const, 'redo' as const), tab: fc.nat(1) }),
  },
  {
    weight: 1,
    arbitrary: fc.record({
      do: fc.constantFrom('add' as const, 'remove' as const),
      tab: fc.nat(1),
      which: fc.nat(5),
    }),
  },
  { weight: 2, arbitrary: fc.record({ do: fc.constant('elsewhere' as const), which: fc.nat(5) }) },
  {
    weight: 2,
    arbitrary: fc.record({ do: fc.constantFrom('reload' as const, 'crash' as const), tab: fc.nat(1) }),
  },
  {
    weight: 2,
    arbitrary: fc.record({
      do: fc.constant('mood' as const),
      mood: fc.constantFrom('well' as const, 'gone' as const, 'losing answers' as const),
    }),
  },
  {
    weight: 4,
    arbitrary: fc.record({ do: fc.constant('wait' as const), ms: fc.constantFrom(20, 400, 5000) }),
  },
);
type Command = typeof command extends fc.Arbitrary<infer One> ? One : never;
type Acted = Exclude<Command, { do: 'wait' } | { do: 'mood' } | { do: 'look' } | { do: 'elsewhere' }>;

test.each(withRandom(19))(
  'edit, undo, redo, two tabs, another machine, no network, lost answers, reload, crash, in any order: nothing shown is lost, nothing is overwritten unasked (seed %d)',
  async (seed) => {
    await fc.assert(
      fc.asyncProperty(fc.array(command, { minLength: 5, maxLength: 40 }), async (commands) => {
        await new Story().tell(commands);
      }),
      { seed, numRuns: 100 },
    );
  },
  300_000,
);

/** Follows what was shown, and holds the end against it. */
class Story {
  private readonly server = new PretendServer();
  private readonly browser = new PretendBrowser();
  private readonly tabs: Tab[] = [];
  private readonly names = ['a', 'b'];
  private count = 0;
  /** All labels that any tab ever showed. */
  private readonly seen = new Set<string>();
  /** By tab and record, the label that was last given there. */
  private readonly given = new Map<string, string>();

  async tell(commands: readonly Command[]): Promise<void> {
    globalThis.fetch = this.server.fetch;
    this.server.put('aircraft', jay);
    for (let n = 1; n <= 3; n++) this.server.put('batteries', { ...jay1, id: `jay-${n}`, label: `Jay ${n}` });
    for (const name of this.names) this.tabs.push(await this.loaded(name));
    for (const one of commands) await this.happens(one);
    await this.ends();
  }

  private async loaded(name: string): Promise<Tab> {
    const tab = this.browser.open(name);
    const see = () => {
      for (const { label } of tab.getState().batteries) this.seen.add(label);
    };
    tab.subscribe(see);
    await tab.getState().load();
    see();
    return tab;
  }

  private async happens(one: Command): Promise<void> {
    if (one.do === 'wait') return this.browser.pass(one.ms);
    if (one.do === 'mood') {
      this.server.mood = one.mood;
      return;
    }
    if (one.do === 'elsewhere') return this.elsewhere(one.which);
    if (one.do === 'look') {
      void (this.tabs[one.tab] as Tab).getState().refresh();
      return;
    }
    if (one.do === 'reload' || one.do === 'crash') return this.reload(one.tab, one.do);
    const tab = this.tabs[one.tab] as Tab;
    const before = new Map(tab.getState().batteries.map(({ id, label }) => [id, label]));
    this.act(tab, one as Acted);
    const after = new Map(tab.getState().batteries.map(({ id, label }) => [id, label]));
    for (const id of new Set([...before.keys(), ...after.keys()])) {
      const label = after.get(id);
      if (label === undefined) this.given.delete(`${one.tab} ${id}`);
      else if (label !== before.get(id)) this.given.set(`${one.tab} ${id}`, label);
    }
  }

  private act(tab: Tab, one: Acted): void {
    const state = tab.getState();
    if (one.do === 'undo' || one.do === 'redo') state[one.do]();
    if (!('which' in one)) return;
    const label = `label ${this.count++}`;
    if (one.do === 'add') {
      state.add('batteries', { aircraftId: 'jay', label, pack: jay1.pack }, 'adding');
      return;
    }
    const battery = state.batteries[one.which % Math.max(1, state.batteries.length)];
    if (!battery) return;
    if (one.do === 'remove') state.removeAll('batteries', [battery.id], 'removing');
    else state.edit('batteries', battery.id, { label }, 'label', { apart: true });
  }

  /** Another machine changes a record that it reads just before. */
  private elsewhere(which: number): void {
    const id = `jay-${(which % 3) + 1}`;
    const record = this.server.read('batteries', id) as typeof jay1 | null;
    if (!record) return;
    const label = `elsewhere ${this.count++}`;
    this.server.put('batteries', { ...record, label, version: record.version + 1 });
  }

  private async reload(index: number, how: 'reload' | 'crash'): Promise<void> {
    const name = this.names[index] as string;
    const before = this.tabs[index] as Tab;
    // A keystroke is on the shelf some milliseconds after it was shown.
    await this.browser.pass(5);
    if (how === 'reload') void before.getState().saveAtOnce();
    const shown = before.getState().batteries.map(({ id, label }) => `${id} ${label}`);
    const own = Object.values(before.getState().waiting);
    this.browser.close(name);
    const mood = this.server.mood;
    this.server.mood = 'well';
    const after = await this.loaded(name);
    this.tabs[index] = after;
    // All that this tab showed and had not yet sent is shown again.
    for (const { id, mine } of own) {
      const there = after.getState().batteries.find((battery) => battery.id === id);
      if (mine === null) expect(there).toBeUndefined();
      else expect(shown).toContain(`${id} ${there?.label}`);
    }
    this.server.mood = mood;
  }

  /** The network is back: what is shown is what is kept, or both versions stand to be chosen from. */
  private async ends(): Promise<void> {
    this.server.mood = 'well';
    for (let i = 0; i < 6; i++) {
      await this.browser.pass(61_000);
      for (const tab of this.tabs) await tab.getState().retry();
    }
    for (const tab of this.tabs) {
      await tab.getState().refresh();
      const { batteries, waiting } = tab.getState();
      for (const one of Object.values(waiting)) expect(one.halt?.why).toBe('changed');
      for (const battery of batteries) {
        const halted = waiting[`batteries ${battery.id}`];
        const kept = this.server.read('batteries', battery.id) as typeof jay1 | null;
        if (halted?.halt?.why === 'changed') expect(halted.mine).toMatchObject({ label: battery.label });
        else expect(kept?.label).toBe(battery.label);
      }
    }
    const taken = this.server.taken.map(({ after }) => (after as typeof jay1).label);
    for (const [at, label] of this.given) {
      const [tab = '', id = ''] = at.split(/ (.*)/s);
      const { waiting, batteries } = (this.tabs[Number(tab)] as Tab).getState();
      const halted = waiting[`batteries ${id}`]?.mine as { label?: string } | undefined;
      const isGone = !batteries.some((battery) => battery.id === id);
      expect({ label, kept: taken.includes(label) || halted?.label === label || isGone }).toMatchObject({
        kept: true,
      });
    }
    for (const { before } of this.server.taken) {
      const { label = '' } = (before ?? {}) as { label?: string };
      if (label.startsWith('elsewhere')) expect([...this.seen]).toContain(label);
    }
  }
}
