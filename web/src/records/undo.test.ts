import { fellPlace, jay, jay1 } from '../../../core/fixtures/records';
import { PretendServer } from '../testing/pretendServer';
import { PretendBrowser } from '../testing/world';
import { making } from './changes';
import { savingOf } from './saving';

let server: PretendServer;
let browser: PretendBrowser;
let tab: ReturnType<PretendBrowser['open']>;
beforeEach(async () => {
  server = new PretendServer();
  globalThis.fetch = server.fetch;
  server.put('places', fellPlace);
  server.put('aircraft', jay);
  server.put('batteries', jay1);
  browser = new PretendBrowser();
  tab = browser.open('a');
  await tab.getState().load();
  server.sent.length = 0;
});

const label = () => tab.getState().batteries[0]?.label;
const rename = (to: string) => tab.getState().edit('batteries', jay1.id, { label: to }, 'label');
const soon = () => browser.pass(400);
const steps = () => tab.getState().undoSteps.map((step) => step.label);

test('what is typed stands at once and is sent a moment later, once, with the version it was read with', async () => {
  rename('J');
  rename('Ja');
  rename('Jay one');
  expect(label()).toBe('Jay one');
  expect(server.sent).toEqual([]);
  expect(savingOf(tab.getState())).toEqual({ state: 'saving' });
  await soon();
  expect(server.sent).toEqual([
    {
      method: 'PUT',
      path: 'batteries/jay-1',
      body: expect.objectContaining({ label: 'Jay one', version: 1 }),
    },
  ]);
  expect(savingOf(tab.getState())).toEqual({ state: 'saved' });
  expect(tab.getState().batteries[0]?.version).toBe(2);
});

test('typing in one field is one step to undo, however slow; undo and redo are saved as well', async () => {
  const { beginTyping, endTyping, undo, redo } = tab.getState();
  beginTyping();
  rename('1');
  await browser.pass(3000);
  rename('16');
  endTyping();
  await soon();
  expect(steps()).toEqual(['label']);
  undo();
  expect(label()).toBe('Jay 1');
  await soon();
  redo();
  expect(label()).toBe('16');
  await soon();
  expect(server.read('batteries', 'jay-1')).toMatchObject({ label: '16', version: 5 });
  tab.getState().undo();
  rename('other');
  expect(tab.getState().redoSteps).toEqual([]);
});

// Cycles were lost where the pack temperature was typed before the screen had followed (26 Nov 2026).
test('two parts of a field, changed from a screen that is a moment behind, are both changed', () => {
  const { edit } = tab.getState();
  edit('batteries', jay1.id, ({ pack }) => ({ pack: { ...pack, cycles: 13 } }), 'cycles');
  edit('batteries', jay1.id, ({ pack }) => ({ pack: { ...pack, startTemperatureC: 18 } }), 'temperature');
  expect(tab.getState().batteries[0]?.pack).toMatchObject({ cycles: 13, startTemperatureC: 18 });
});

test('two moves are two steps, however soon one comes after the other', () => {
  const { edit } = tab.getState();
  edit('batteries', jay1.id, { label: 'first' }, 'order', { apart: true });
  edit('batteries', jay1.id, { label: 'second' }, 'order', { apart: true });
  tab.getState().undo();
  expect(label()).toBe('first');
});

test('a change of several kinds is one step: one undo takes all of it back, and no change is no step', async () => {
  const { editEach, undo, redo } = tab.getState();
  editEach(
    [
      { kind: 'batteries', id: jay1.id, content: { label: 'Jay one' } },
      { kind: 'places', id: fellPlace.id, content: { name: 'Lower gate' } },
    ],
    'a move',
  );
  const both = () => [label(), tab.getState().places[0]?.name];
  expect(both()).toEqual(['Jay one', 'Lower gate']);
  undo();
  expect(both()).toEqual(['Jay 1', 'Hollin Fell dairy']);
  redo();
  expect(both()).toEqual(['Jay one', 'Lower gate']);
  editEach([], 'nothing');
  expect(steps()).toEqual(['a move']);
});

test('what is taken back since a step is taken back as a whole, and a step by hand meanwhile is not taken back twice', async () => {
  rename('Jay one');
  const before = tab.getState().beginTyping();
  rename('J');
  rename('');
  tab.getState().edit('aircraft', jay.id, { name: 'Jackdaw' }, 'name');
  expect(steps()).toEqual(['label', 'label', 'name']);
  expect(tab.getState().undoSince(before)).toBe(true);
  expect([label(), tab.getState().aircraft[0]?.name]).toEqual(['Jay one', 'Jay']);
  expect(tab.getState().undoSince(before)).toBe(false);
  rename('J');
  tab.getState().undo();
  tab.getState().undo();
  expect(label()).toBe('Jay 1');
  expect(tab.getState().undoSince(before)).toBe(false);
});

test('a new aircraft and its battery are sent in their order, under ids of our own; undo before and after they came', async () => {
  const { fresh, doAll, undo, redo } = tab.getState();
  const { name, spec, flight, policy } = jay;
  const aircraft = fresh('aircraft', { name, spec, flight, policy });
  const battery = fresh('batteries', { aircraftId: aircraft.id, label: 'New 1', pack: jay1.pack });
  doAll([making('batteries', battery), making('aircraft', aircraft)], 'adding');
  expect(tab.getState().batteries).toHaveLength(2);
  undo();
  await soon();
  expect(server.sent).toEqual([]);
  redo();
  await soon();
  expect(server.sent.map(({ method, path }) => `${method} ${path}`)).toEqual([
    'POST aircraft',
    'POST batteries',
  ]);
  undo();
  await soon();
  expect(server.sent.slice(2).map(({ method, path }) => `${method} ${path}`)).toEqual([
    `DELETE batteries/${battery.id}`,
    `DELETE aircraft/${aircraft.id}`,
  ]);
  redo();
  await soon();
  expect(server.read('batteries', battery.id)).toMatchObject({ label: 'New 1' });
  expect(server.read('aircraft', aircraft.id)).toMatchObject({ name: 'Jay' });
});

test('what others need is not removed, and it is said by whom; what nothing needs goes, and comes back as it was', async () => {
  const { removeAll, undo } = tab.getState();
  expect(removeAll('aircraft', [jay.id], 'removing Jay')).toEqual({ ok: false, users: ['battery Jay 1'] });
  expect(steps()).toEqual([]);
  expect(removeAll('batteries', [jay1.id], 'removing Jay 1')).toEqual({ ok: true });
  expect(tab.getState().batteries).toEqual([]);
  await soon();
  expect(server.read('batteries', jay1.id)).toBeNull();
  undo();
  await soon();
  expect(server.read('batteries', jay1.id)).toMatchObject({ label: 'Jay 1' });
  expect(tab.getState().batteries).toHaveLength(1);
});

test('the way back is offered for what comes, goes or changes in many places, not for what is typed', () => {
  const offered = () => tab.getState().undoSteps.at(-1)?.offered ?? false;
  const { edit, editAll, removeAll, add } = tab.getState();
  rename('Jay one');
  expect(offered()).toBe(false);
  edit('batteries', jay1.id, { label: 'Jay' }, 'splitting', { offered: true });
  expect(offered()).toBe(true);
  rename('Jay two');
  expect(offered()).toBe(false);
  editAll('batteries', [{ id: jay1.id, content: { label: 'all' } }], 'charging');
  expect(offered()).toBe(true);
  add('chargers', { name: 'Hub', charger: { atOnce: 1, emptyToFullS: 3240, power: 'mains' } }, 'adding Hub');
  expect(offered()).toBe(true);
  rename('x');
  removeAll('batteries', [jay1.id], 'removing');
  expect(offered()).toBe(true);
});

test('what Minutes need is read first and stands before the rest has come; a rest that fails is told, and Minutes stay', async () => {
  const other = new PretendBrowser().open('b');
  let letGo: () => void = () => undefined;
  const held = new Promise<void>((resolve) => {
    letGo = resolve;
  });
  const asked: string[] = [];
  globalThis.fetch = (async (url: string, init: never) => {
    const path = url.replace('/api/v1/', '');
    asked.push(path);
    if (path === 'shoots') {
      await held;
      return new Response(JSON.stringify({ title: 'The shoots cannot be read.' }), { status: 500 });
    }
    return server.fetch(url, init);
  }) as typeof fetch;
  const loaded = other.getState().load();
  while (asked.length < 8) await new Promise((resolve) => setTimeout(resolve, 1));
  expect(asked.slice(0, 4)).toEqual(['places', 'days', 'aircraft', 'batteries']);
  expect(other.getState()).toMatchObject({ loading: 'ready', loadingRest: 'loading' });
  expect(other.getState().batteries[0]?.label).toBe('Jay 1');
  letGo();
  await loaded;
  expect(other.getState()).toMatchObject({
    loading: 'ready',
    loadingRest: 'failed',
    trouble: 'The shoots cannot be read.',
  });
});
