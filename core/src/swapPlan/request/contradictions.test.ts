import fc from 'fast-check';
import { request, shot } from '../../../fixtures/fellShoot';
import { holds } from '../../../fixtures/seeds';
import { contradictions } from './contradictions';
import type { PlanRequest } from './request';
import type { Shot } from './shot';

test('requests that contradict themselves are named field by field', () => {
  const paths = (shots: readonly Shot[], more: Partial<PlanRequest> = {}) =>
    contradictions({ ...request, ...more, shots }).map(({ path }) => path);
  expect(paths([shot('a', 3, { after: ['b'] }), shot('b', 3, { after: ['a'] })], { order: 'free' })).toEqual([
    'shots.0.after.0',
    'shots.1.after.0',
  ]);
  expect(paths([shot('a', 3, { after: ['b'] }), shot('b', 3)])).toEqual(['shots.0.after.0']);
  const window = { earliestAt: '2026-11-26T09:00:00Z', latestAt: '2026-11-26T09:02:00Z' };
  expect(paths([shot('a', 3, window)])).toEqual(['shots.0.latestAt']);
  expect(paths([shot('a', 3, { light: 'day' })])).toEqual(['shots.0.light']);
  const night = { startAt: '2026-11-26T20:00:00Z', endAt: '2026-11-26T23:00:00Z' };
  const coordinates = { latitudeDeg: 54.5, longitudeDeg: -2.8 };
  expect(paths([shot('a', 3, { light: 'day' })], { ...night, coordinates })).toEqual(['shots.0.light']);
  expect(paths([shot('a', 3)], { batteries: [] })).toEqual(['batteries']);
  expect(paths([shot('a', 3)], { chargers: [] })).toEqual([]);
  expect(paths([shot('a', 3)], { endAt: '2026-11-26T07:00:00Z' })).toContain('endAt');
  expect(paths([shot('a', 3)], { endAt: '2026-11-28T08:00:01Z' })).toEqual(['endAt']);
  expect(paths([shot('a', 3, { launchPlaceId: 'moon' }), shot('a', 3)])).toEqual([
    'shots.1.id',
    'shots.0.launchPlaceId',
  ]);
  expect(
    paths([
      shot('a', 3, { earliestAt: '2026-11-26T10:00:00Z' }),
      shot('b', 3, { after: ['a'], latestAt: '2026-11-26T10:04:00Z' }),
    ]),
  ).toEqual(['shots.1.after.0']);
});

test('whatever the request, contradictions are told and never thrown (seed 5)', () => {
  const ids = fc.constantFrom('a', 'b', 'c');
  const shots = fc.array(fc.record({ id: ids, after: fc.array(ids, { maxLength: 2 }) }), { maxLength: 4 });
  holds(
    fc.property(shots, fc.constantFrom('kept' as const, 'free' as const), (list, order) => {
      const asked = { ...request, order, shots: list.map(({ id, after }) => shot(id, 1, { after })) };
      for (const { path, message } of contradictions(asked)) {
        expect(path).toMatch(/^(shots|batteries|aircraft)/);
        expect(message.length).toBeGreaterThan(5);
      }
    }),
    { seed: 5, numRuns: 60 },
  );
});
