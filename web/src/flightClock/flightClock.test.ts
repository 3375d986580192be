import 'fake-indexeddb/auto';
import fc from 'fast-check';
import { holds } from '../../../core/fixtures/seeds';
import { clockShelfIn } from './clockShelf';
import type { FlightClock, TimedFlight } from './clocks';
import { cellVoltageOf, chargeOf, emptyEntry, erased, held, leftOf, turnedTo, typed } from './entry';
import { type ClockEvent, lastCharge, runningOf } from './events';
import { againstBand, calls, type Expected, nextWanted, toGoS } from './expected';
import { clocksStore } from './useClocks';
import { lastInWords, oddInWords } from './words';

const began: ClockEvent = { what: 'began', atMs: 1_000_000 };
const mark = (afterS: number, charge: number): ClockEvent => ({
  what: 'mark',
  atMs: began.atMs + afterS * 1000,
  charge,
  cellVoltageV: null,
});

/** Straight from 100 to 0 % in 1,000 s, eight in ten within a tenth. */
const expected: Expected = {
  curve: [
    { timeS: 0, charge: 1 },
    { timeS: 1000, charge: 0 },
  ],
  band: [1, 0.5, 0].map((charge) => ({ charge, p10S: 900 * (1 - charge), p90S: 1100 * (1 - charge) })),
};

test('events come to marks with seconds since lift-off; gauge at 0 % is a reading of nothing, and undo takes back the last', () => {
  const events: ClockEvent[] = [
    began,
    mark(100, 0.9),
    { what: 'sign', kind: 'empty', charge: null, atMs: began.atMs + 900_000 },
    { what: 'ended', atMs: began.atMs + 930_000, charge: null },
    { what: 'undone', atMs: began.atMs + 931_000 },
  ];
  const running = runningOf(events);
  expect(running.endedS).toBeNull();
  expect(running.marks.map(({ timeS, charge, kind }) => [timeS, charge, kind])).toEqual([
    [100, 0.9, null],
    [900, 0, 'empty'],
  ]);
  expect(lastCharge(running, 1)).toBe(0);
  expect(runningOf([...events, { what: 'undone', atMs: 0 }]).last).toEqual(mark(100, 0.9));
});

const anyEvent = fc.oneof(
  fc.record({ what: fc.constant('mark' as const), charge: fc.double({ min: 0, max: 1, noNaN: true }) }),
  fc.record({ what: fc.constant('sign' as const), kind: fc.constant('low-warning' as const) }),
  fc.record({ what: fc.constant('ended' as const) }),
);

test('whatever was noted, what is noted and undone again leaves what stood before; marks stand in order of time', () => {
  const asEvents = (all: readonly object[]) =>
    all.map((one, i) => ({
      charge: null,
      cellVoltageV: null,
      ...one,
      atMs: began.atMs + i * 1000,
    })) as ClockEvent[];
  holds(
    fc.property(fc.array(anyEvent, { maxLength: 8 }), fc.array(anyEvent, { maxLength: 5 }), (first, more) => {
      const before = [began, ...asEvents(first)];
      const undone = more.map((): ClockEvent => ({ what: 'undone', atMs: 0 }));
      expect(runningOf([...before, ...asEvents(more), ...undone])).toEqual(runningOf(before));
      const times = runningOf([...before, ...asEvents(more)]).marks.map(({ timeS }) => timeS);
      expect(times).toEqual([...times].sort((a, b) => a - b));
    }),
    { seed: 17, numRuns: 200 },
  );
});

test('what is taken back next is what was noted last, also where a moment was held before it; lift-off is not', () => {
  const clock = { id: 'one', plan: { kind: 'flight' } as TimedFlight, events: [] };
  const words = (...events: ClockEvent[]) => lastInWords(clock, runningOf(events))?.replace('\u00a0', ' ');
  // Held at 60 s, kept after the warning at 70.
  const warned: ClockEvent = { what: 'sign', kind: 'low-warning', charge: null, atMs: began.atMs + 70_000 };
  expect(words(began, warned, mark(60, 0.72))).toBe('72 %');
  expect(words(began, mark(60, 0.72), warned)).toBe('It warns');
  expect(words(began)).toBeUndefined();
});

test('a word about a reading: beyond the band, or above the one before it', () => {
  const plan = { kind: 'flight', startCharge: 1, stopCharge: 0.2, expected } as TimedFlight;
  const odd = (...events: ClockEvent[]) =>
    oddInWords({ id: 'one', plan, events }, runningOf([began, ...events], plan));
  expect(odd(mark(250, 0.75))).toBeNull();
  expect(odd(mark(200, 0.75))).toContain('land earlier');
  expect(odd(mark(300, 0.75))).toContain('later than in 9');
  expect(odd(mark(250, 0.75), mark(300, 0.9))).toContain('90 % after 75 %: it does not count');
});

test('a reading has the moment of its first digit, or the one held before; one digit too many begins another', () => {
  const entry = typed(typed(emptyEntry, '7', 100), '2', 900);
  expect([chargeOf(entry), entry.begunMs]).toEqual([0.72, 100]);
  expect(typed(held(emptyEntry, 50), '7', 900).begunMs).toBe(50);
  expect(chargeOf(typed(entry, '5', 1000))).toBe(0.05);
  expect(chargeOf(['1', '0', '0'].reduce((now, digit) => typed(now, digit, 0), emptyEntry))).toBe(1);
  expect(erased(erased(entry))).toEqual(emptyEntry);
});

test('volts without a point: 372 is a cell, 744 two of them, 1512 four; 150 is neither', () => {
  const volts = (text: string, cells: number) => cellVoltageOf({ ...emptyEntry, volts: text }, cells);
  expect(volts('372', 2)).toBe(3.72);
  expect(volts('744', 2)).toBe(3.72);
  expect(volts('1512', 4)).toBe(3.78);
  expect(volts('150', 2)).toBeNull();
  expect(volts('', 2)).toBeNull();
});

test('wanted next: each tenth, then 5 and 0 %; one read a little late counts; past the stop nothing', () => {
  const next = (last: number, stop = 0.2) => nextWanted(last, 0.98, stop);
  expect([next(0.98), next(0.92), next(0.71), next(0.7), next(0.25), next(0.2)]).toEqual([
    0.9,
    0.8,
    0.6,
    0.6,
    0.2,
    null,
  ]);
  expect([next(0.12, 0), next(0.1, 0), next(0.05, 0)]).toEqual([0.05, 0.05, 0]);
  // A charge rises.
  expect(nextWanted(0.2, 0.2, 1)).toBe(0.3);
  expect(nextWanted(1, 0.2, 1)).toBeNull();
});

test('to go: 50 % read at 400 s of 500 expected is a fifth faster, so 20 % comes at 640 s, by hand', () => {
  expect(toGoS(expected, 0, null, 0.2)).toBeCloseTo(800, 9);
  expect(toGoS(expected, 450, { timeS: 400, charge: 0.5 }, 0.2)).toBeCloseTo(190, 9);
  expect(toGoS(expected, 5000, null, 0.2)).toBe(0);
});

test('a reading before the band is sooner, after it later, on its edge inside', () => {
  expect(againstBand(expected, 224, 0.75)).toBe('sooner');
  expect(againstBand(expected, 225, 0.75)).toBeNull();
  expect(againstBand(expected, 276, 0.75)).toBe('later');
  expect(againstBand({ ...expected, band: [] }, 1, 0.5)).toBeNull();
});

test('called are the tenths and the stop at the moments expected', () => {
  const called = calls(expected, 0.98, 0.25);
  expect(called.map(({ charge }) => charge)).toEqual([0.9, 0.8, 0.7, 0.6, 0.5, 0.4, 0.3, 0.25]);
  expect(called.at(-1)).toEqual({ timeS: expect.closeTo(750, 9), charge: 0.25, isStop: true });
});

const plan = { kind: 'flight', label: 'Jay 1' } as TimedFlight;
const ids = () => {
  let count = 0;
  return () => `clock-${++count}`;
};

test('every event is on the shelf as it is made; a page opened anew goes on in the same flight, and two tabs lose none', async () => {
  const shelf = clockShelfIn('clock-test', null);
  const first = clocksStore(shelf, ids());
  await first.getState().read();
  const { id } = first.getState().begin(plan);
  first.getState().note([id], began);
  first.getState().note([id], mark(60, 0.9));
  const later = clocksStore(clockShelfIn('clock-test', null), ids());
  await later.getState().read();
  const [again] = later.getState().clocks as FlightClock[];
  expect(again?.events).toHaveLength(2);
  // The tab that was opened later does not know of a mark made in the first one meanwhile; the shelf does.
  first.getState().note([id], mark(120, 0.8));
  later.getState().note([id], mark(180, 0.7));
  const charges = async () => {
    await later.getState().read();
    const [clock] = later.getState().clocks as FlightClock[];
    return runningOf(clock?.events ?? []).marks.map(({ charge }) => charge);
  };
  expect(await charges()).toEqual([0.9, 0.8, 0.7]);
  later.getState().remove(id);
  await first.getState().read();
  expect(first.getState().clocks).toEqual([]);
});

test('a mark that could not be written is told, stays in the page, and is written with the next one', async () => {
  const working = clockShelfIn('full-clock-test', null);
  let isFull = true;
  const whileThereIsRoom = async (work: () => Promise<void>) =>
    isFull ? Promise.reject(new Error('quota')) : work();
  const shelf = {
    ...working,
    put: (clock: FlightClock) => whileThereIsRoom(() => working.put(clock)),
    append: (id: string, event: ClockEvent) => whileThereIsRoom(() => working.append(id, event)),
  };
  const store = clocksStore(shelf, ids());
  await store.getState().read();
  const { id } = store.getState().begin(plan);
  store.getState().note([id], began);
  await new Promise((resolve) => setTimeout(resolve));
  expect(store.getState().trouble).toBe('quota');
  await store.getState().read();
  expect(store.getState().clocks?.[0]?.events).toEqual([began]);
  isFull = false;
  store.getState().note([id], mark(60, 0.9));
  await new Promise((resolve) => setTimeout(resolve, 20));
  expect(store.getState().trouble).toBeNull();
  expect((await working.all())[0]?.events).toEqual([began, mark(60, 0.9)]);
});

test('a clock begun while the kept ones are being read does not vanish', async () => {
  const store = clocksStore(clockShelfIn('slow-clock-test', null), ids());
  const reading = store.getState().read();
  store.getState().begin(plan);
  await reading;
  expect(store.getState().clocks).toHaveLength(1);
});

test('a mark that is written while the kept ones are being read stands, though they were read without it', async () => {
  const working = clockShelfIn('late-clock-test', null);
  const store = clocksStore(working, ids());
  await store.getState().read();
  const { id } = store.getState().begin(plan);
  await new Promise((resolve) => setTimeout(resolve, 20));
  let release: (() => void) | null = null;
  const late = clocksStore(
    {
      ...working,
      async all() {
        const clocks = await working.all();
        if (!release) await new Promise<void>((resolve) => (release = resolve));
        return clocks;
      },
    },
    ids(),
  );
  const reading = late.getState().read();
  await new Promise((resolve) => setTimeout(resolve, 20));
  late.getState().note([id], began);
  await new Promise((resolve) => setTimeout(resolve, 20));
  (release as (() => void) | null)?.();
  await reading;
  expect(late.getState().clocks?.[0]?.events).toEqual([began]);
});

test('minutes it shows as left are typed beside the gauge, and kept with the moment of the first digit', () => {
  const entry = ['2', '4'].reduce((now, digit) => typed(now, digit, 500), turnedTo(emptyEntry, 'left'));
  expect([leftOf(entry), chargeOf(entry), entry.begunMs]).toEqual([24 * 60, null, 500]);
  // A digit too many begins another number.
  expect(leftOf(typed(entry, '9', 900))).toBe(9 * 60);
  expect(leftOf(erased(erased(entry)))).toBeNull();
  const noted: ClockEvent[] = [
    began,
    { what: 'mark', atMs: 1_060_000, charge: null, cellVoltageV: null, leftS: 1440 },
  ];
  const running = runningOf(noted);
  expect(running.marks).toMatchObject([{ timeS: 60, leftS: 1440 }]);
  expect(lastInWords({ plan: { kind: 'flight' } } as FlightClock, running)).toBe('24 min left');
  // A clock begun before they were noted goes on.
  expect(runningOf([began, mark(60, 0.8)]).marks[0]?.leftS).toBeNull();
});

test('a reading that goes the wrong way does not count before it is confirmed, nor in what is expected', () => {
  const flown = { kind: 'flight', startCharge: 0.98 } as const;
  const slip = [began, mark(120, 0.79), mark(180, 0.95)];
  const running = runningOf(slip, flown);
  expect(running.marks.map(({ charge }) => charge)).toEqual([0.79]);
  expect(running.held?.charge).toBe(0.95);
  expect(lastCharge(running, 0.98)).toBe(0.79);
  const confirmed = runningOf([...slip, { what: 'confirmed', atMs: 0 }], flown);
  expect(confirmed.marks.map(({ charge }) => charge)).toEqual([0.79, 0.95]);
  expect(confirmed.held).toBeNull();
  expect(runningOf([...slip, { what: 'undone', atMs: 0 }], flown).held).toBeNull();
  // The next reading is held against the last that counts.
  const next = runningOf([...slip, mark(240, 0.7)], flown);
  expect([next.marks.map(({ charge }) => charge), next.held]).toEqual([[0.79, 0.7], null]);
  const charged = { kind: 'charge', startCharge: 0.2 } as const;
  expect(runningOf([began, mark(60, 0.3), mark(120, 0.25)], charged).held?.charge).toBe(0.25);
});
