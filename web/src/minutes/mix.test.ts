import { shareOf, withShare } from './mix';

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
