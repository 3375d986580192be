import type { PlanDraft } from './draft';
import { isBetter, type Rank, rankOf } from './rank';
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

test.each<[string, Rank, Rank]>([
  ['a take more', two(), ranked([{ takes: [take(0)], takeoffS: 0 }])],
  [
    'takes of a shot one after the other',
    ranked([{ takes: turned([0, 0, 1]), takeoffS: 0 }]),
    ranked([{ takes: turned([0, 1, 0]), takeoffS: 0 }]),
  ],
  ['a take-off less', ranked([{ takes: [take(0), take(1)], takeoffS: 0 }]), two()],
  [
    'a minute sooner down',
    ranked([{ takes: [take(0)], takeoffS: 0 }], 5900),
    ranked([{ takes: [take(0)], takeoffS: 0 }]),
  ],
  ['a pack less plugged in, before earlier takes', two(), two({ plugged: 1 }, { takeoffS: 0 })],
  [
    'takes half an hour earlier, before more to spare',
    two({}, { takeoffS: 1200 }),
    two({ spareS: 900 }, { takeoffS: 3000 }),
  ],
  ['a quarter of a minute more to spare', two({ spareS: 75 }), two({ spareS: 61 })],
  ['more left of its light, as of its pack', two({}), two({ takes: [take(0, 0, [late])] })],
  ['a move less', two(), two({}, { takes: [take(1, 1)] })],
  ['fewer cycles', two(), two({ pack: 1 })],
])('%s makes a plan better', (_, better, worse) => {
  expect(isBetter(better, worse)).toBe(true);
  expect(isBetter(worse, better)).toBe(false);
});

test('what is beyond three minutes to spare, or within a quarter of an hour in all, makes none better', () => {
  expect(two({ spareS: 181 })).toEqual(two({ spareS: 2000 }));
  expect(two({}, { takeoffS: 2800 })).toEqual(two({}, { takeoffS: 2900 }));
});
