import type { PlanDraft } from './draft';
import { costOf, isBetter, placesMore, type Rank, rankOf, shotsBegun } from './rank';
import type { Schedule } from './schedule';

const take = (index: number, placeIndex = 0, windows: object[] | null = null, shotIndex = index) => ({
  index,
  shotIndex,
  must: true,
  placeIndex,
  windows,
});
type Take = ReturnType<typeof take>;

interface Flown {
  readonly pack?: number;
  readonly takes: readonly Take[];
  readonly takeoffS: number;
  readonly plugged?: number;
  readonly spareS?: number;
}

/** Flights of a take of 100 s each, ranked; the last one lands at a given second whatever it flies. */
function ranked(flights: readonly Flown[], endS = 6000): Rank {
  const problem = {
    takes: [take(0), take(1)],
    flownTakes: new Set<number>(),
    packs: [3, 50].map((cycles) => ({ battery: { cycles } })),
  };
  const draft = flights.map(({ pack = 0, takes }) => ({ pack, takes })) as unknown as PlanDraft;
  const timed = flights.map(({ takes, takeoffS, plugged = 0, spareS = 900 }) => ({
    takes,
    takeoffS,
    times: { takes: takes.map((_, i) => ({ beginS: 100 * i, endS: 100 * (i + 1) })) },
    charging: Array.from({ length: plugged }),
    spareS: () => spareS,
  }));
  return rankOf(problem as never, draft, { flights: timed, endS } as unknown as Schedule);
}
const two = (first: Partial<Flown> = {}, second: Partial<Flown> = {}) =>
  ranked([
    { takes: [take(0)], takeoffS: 0, ...first },
    { takes: [take(1)], takeoffS: 3000, ...second },
  ]);
/** Takes of the shots so numbered, in turn. */
const turned = (shots: readonly number[]) => shots.map((shot, index) => take(index, 0, null, shot));
const late = { fromS: 0, untilS: 190 };

test.each<[string, () => [better: Rank, worse: Rank]]>([
  ['a take more', () => [two(), ranked([{ takes: [take(0)], takeoffS: 0 }])]],
  [
    'takes of a shot one after the other',
    () => [
      ranked([{ takes: turned([0, 0, 1]), takeoffS: 0 }]),
      ranked([{ takes: turned([0, 1, 0]), takeoffS: 0 }]),
    ],
  ],
  ['a take-off less', () => [ranked([{ takes: [take(0), take(1)], takeoffS: 0 }]), two()]],
  [
    'a minute sooner down',
    () => [ranked([{ takes: [take(0)], takeoffS: 0 }], 5900), ranked([{ takes: [take(0)], takeoffS: 0 }])],
  ],
  ['a pack less plugged in, before earlier takes', () => [two(), two({ plugged: 1 }, { takeoffS: 0 })]],
  [
    'takes half an hour earlier, before more to spare',
    () => [two({ spareS: 61 }, { takeoffS: 1200 }), two({ spareS: 900 }, { takeoffS: 3000 })],
  ],
  ['a quarter of a minute more to spare', () => [two({ spareS: 75 }), two({ spareS: 61 })]],
  ['more left of its light, as of its pack', () => [two({}), two({ takes: [take(0, 0, [late])] })]],
  ['a move less', () => [two(), two({}, { takes: [take(1, 1)] })]],
  ['fewer cycles', () => [two(), two({ pack: 1 })]],
])('%s makes a plan better', (_, plans) => {
  const [better, worse] = plans();
  expect(isBetter(better, worse)).toBe(true);
  expect(isBetter(worse, better)).toBe(false);
});

test('what is beyond three minutes to spare, or within a quarter of an hour in all, makes none better', () => {
  expect(two({ spareS: 181 })).toEqual(two({ spareS: 2000 }));
  expect(two({}, { takeoffS: 2800 })).toEqual(two({}, { takeoffS: 2900 }));
});

test('a rank by hand: two flights of a take each, ending at 100 and 3,100 s, all down after 6,000 s', () => {
  expect(two()).toEqual([0, 0, 2, 0, 100, 0, 3, -12, 0, 6]);
  // Its light ends 90 s after the take, six steps of 15 s; a window it is not in says nothing.
  expect(two({ takes: [take(0, 0, [{ fromS: 200, untilS: 300 }, late])] })[7]).toBe(-6);
  expect(two({ takes: [take(0, 0, [{ fromS: 100, untilS: 100 }])] })[7]).toBe(-0);
  expect(two({ takes: [take(0, 0, [{ fromS: 0, untilS: 50 }])] })[7]).toBe(-12);
  // Ends count, not take-offs: 100 and 3,600 s are four quarters of an hour and something.
  expect(two({}, { takeoffS: 3500 })[6]).toBe(4);
  // Three moves between two places, and a shot begun twice more than needed.
  const there = [0, 1, 0, 1].map((place, i) => ({ takes: [take(i, place, null, i % 2)], takeoffS: 0 }));
  expect(ranked(there).slice(2, 9)).toEqual([4, 2, 100, 0, 0, -12, 3]);
});

test('what was flown before is not left out; musts and nices that are count apart', () => {
  const problem = {
    takes: [
      take(0),
      take(1),
      { ...take(2), must: false },
      { ...take(3), must: false },
      take(4),
      { ...take(5), must: false },
    ],
    flownTakes: new Set([1, 3]),
    packs: [{ battery: {} }],
  };
  const draft = [{ pack: 0, takes: [take(0)] }] as unknown as PlanDraft;
  const none = { flights: [], endS: 61 } as unknown as Schedule;
  expect(rankOf(problem as never, draft, none)).toEqual([1, 2, 1, 0, 2, 0, 0, -12, 0, 0]);
});

test('places more: by what is placed and take-offs only; a plan is better than none, and not than itself', () => {
  const rank = [0, 1, 2, 0, 100];
  expect(placesMore(rank, [0, 1, 2, 5, 200])).toBe(false);
  expect(placesMore(rank, [0, 1, 3, 0, 50])).toBe(true);
  expect(placesMore(rank, [0, 0, 9, 0, 50])).toBe(false);
  expect([isBetter(rank, null), isBetter(rank, rank)]).toEqual([true, false]);
});

test('a shot is begun once for takes that follow each other', () => {
  expect(shotsBegun(turned([0, 0, 1, 0]) as never)).toBe(3);
  expect(shotsBegun([])).toBe(0);
});

test('a cost by hand: a must left out of two takes weighs as three nices, a nice as four take-offs', () => {
  const cost = (rank: Rank) => costOf({ takes: [take(0), take(1)] as never }, rank);
  expect(cost([1, 1, 2, 1, 10, 1, 3])).toBeCloseTo((3 + 1) * 400 + 2 * 100 + 8 + 10 * 0.2 + 1 + 3 * 0.1, 9);
  expect(cost([])).toBe(0);
});
