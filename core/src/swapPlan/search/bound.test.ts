import { randomOf } from '../../../fixtures/calibrationWorlds';
import { packingBound } from './bound';
import { columnBound } from './columnBound';
import type { Shares } from './shares';

/** Takes at points of a plane, and packs; ways are as long as the points are apart. */
function drawn(seed: number, count: number): Shares {
  const random = randomOf(seed);
  const points = Array.from({ length: count }, () => [random.between(-1, 1), random.between(-1, 1)] as const);
  const far = random.between(0, 0.15);
  const way = ([x, y]: readonly [number, number], [u, v]: readonly [number, number]) =>
    far * Math.hypot(x - u, y - v);
  return {
    takes: points.map((_, index) => ({ index })) as never,
    work: points.map(() => random.between(0.05, 0.5)),
    out: points.map((to) => way([0, 0], to)),
    home: points.map((from) => way(from, [0, 0]) + 0.03),
    between: points.map((from) => points.map((to) => way(from, to))),
    bins: Array.from({ length: count }, () => random.between(0.8, 1)).sort((a, b) => b - a),
  };
}

/** By trying all: takes one by one to the end of any flight so far, or to a new one with the next largest pack; in any order. */
function fewest({ work, out, home, between, bins }: Shares): number {
  const count = work.length;
  const all = (1 << count) - 1;
  const routes = new Map<number, number>();
  const extend = (set: number, last: number, length: number) => {
    const whole = length + (home[last] as number);
    if (whole > (bins[0] as number)) return;
    routes.set(set, Math.min(routes.get(set) ?? 9, whole));
    for (let next = 0; next < count; next++)
      if (!(set & (1 << next)))
        extend(set | (1 << next), next, length + (between[last]?.[next] as number) + (work[next] as number));
  };
  for (let i = 0; i < count; i++) extend(1 << i, i, (out[i] as number) + (work[i] as number));
  let done = new Set([0]);
  for (let flights = 1; flights <= count; flights++) {
    const next = new Set<number>();
    for (const before of done)
      for (const [set, length] of routes)
        if (!(before & set) && length <= (bins[flights - 1] as number)) next.add(before | set);
    if (next.has(all)) return flights;
    done = next;
  }
  throw new Error('One take a flight is too much.');
}

test('bounds are never above the fewest flights there are, found by trying all; by columns they mostly reach it, and never fall below packing', () => {
  let [reached, packed, asked] = [0, 0, 0];
  for (let seed = 1; seed <= 40; seed++) {
    const shares = drawn(seed, 6 + (seed % 2));
    const exact = fewest(shares);
    const [packing, columns] = [packingBound(shares), columnBound(shares, false, exact + 1)];
    expect(packing).toBeLessThanOrEqual(exact);
    expect(columns).toBeLessThanOrEqual(exact);
    asked++;
    if (columns === exact) reached++;
    if (packing === exact) packed++;
  }
  expect(reached).toBeGreaterThan(0.8 * asked);
  expect(packed).toBeLessThan(reached);
});

test('things of 0.6 need a bin each, and what fits beside them goes there (Martello & Toth, their second bound)', () => {
  const points = [0.6, 0.6, 0.6, 0.4, 0.4];
  const none = points.map(() => 0);
  const shares: Shares = {
    takes: points.map((_, index) => ({ index })) as never,
    work: points,
    out: none,
    home: none,
    between: points.map(() => none),
    bins: [1, 1, 1, 1, 1],
  };
  expect(packingBound(shares)).toBe(3);
  expect(packingBound({ ...shares, work: [...points.slice(0, 4), 0.45] })).toBe(4);
  expect(packingBound({ ...shares, bins: [1, 0.9, 0.7, 0.6, 0.5] })).toBe(3);
  expect(packingBound({ ...shares, bins: [1, 0.8, 0.7, 0.6, 0.5] })).toBe(4);
});
