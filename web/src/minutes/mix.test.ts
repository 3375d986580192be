import { bordersOf, shareOf, withBorder, withShare } from './mix';

const mix = [
  { style: 'hover', share: 0.5 },
  { style: 'slow', share: 0.3, airspeedMps: 3 },
  { style: 'fast', share: 0.2 },
] as const;

test('the others give way in proportion, keep what they carry, and the mix stays whole', () => {
  const next = withShare(mix, 'hover', 0.75);
  expect(next.reduce((sum, { share }) => sum + share, 0)).toBeCloseTo(1, 12);
  expect(shareOf(next, 'slow')).toBeCloseTo(0.15, 12);
  expect(next.find(({ style }) => style === 'slow')?.airspeedMps).toBe(3);
});

test('nothing left to share out: hover takes the rest, or normal when hover was set', () => {
  expect(withShare([{ style: 'fast', share: 1 }], 'fast', 0.6)).toEqual([
    { style: 'hover', share: 0.4 },
    { style: 'fast', share: 0.6 },
  ]);
  expect(withShare([{ style: 'hover', share: 1 }], 'hover', 0.6).map(({ style }) => style)).toEqual([
    'hover',
    'normal',
  ]);
});

test('a border moves between its two styles only, stops where one is nothing, and can bring one in from nothing', () => {
  expect(bordersOf(mix)).toEqual([0.5, 0.8, 0.8, 1]);
  const moved = withBorder(mix, 0, 0.6);
  expect(moved.map(({ share }) => share)).toEqual([0.6, expect.closeTo(0.2, 12), 0.2]);
  expect(moved[1]?.airspeedMps).toBe(3);
  expect(shareOf(withBorder(mix, 0, 0.95), 'hover')).toBeCloseTo(0.8, 12);
  expect(shareOf(withBorder(mix, 0, 0.95), 'slow')).toBe(0);
  expect(shareOf(withBorder(mix, 3, 0.9), 'manual')).toBeCloseTo(0.1, 12);
  expect(shareOf(withBorder(mix, 1, 0.7), 'normal')).toBeCloseTo(0.1, 12);
});
