import { answered } from '../../../fixtures/answered';
import { few, request, shot } from '../../../fixtures/fellShoot';
import { planSwaps } from '../report/planSwaps';
import { soundPart } from './soundPart';

test('shots that contradict are left out with those that come after them, and the rest is planned', () => {
  const none = { earliestAt: '2026-11-26T09:00:00Z', latestAt: '2026-11-26T09:02:00Z' };
  const shots = [
    shot('wrong', 3, none),
    shot('follows', 3, { after: ['wrong'] }),
    shot('fine', 3),
    shot('one', 3, { after: ['two'] }),
    shot('two', 3, { after: ['one'] }),
  ];
  const { request: rest, leftOut } = soundPart({ ...request, order: 'free', shots });
  expect(rest?.shots.map(({ id }) => id)).toEqual(['fine']);
  expect(leftOut.map(({ shotId }) => shotId).sort()).toEqual(['follows', 'one', 'two', 'wrong']);
  expect(leftOut.find(({ shotId }) => shotId === 'follows')?.message).toBe('It comes after wrong.');
  expect(soundPart({ ...request, batteries: [], shots: [shot('a', 3)] })).toMatchObject({
    request: null,
    messages: ['A plan needs a battery.'],
  });
  // What was flown is no wish that could be left out.
  const { flights: flown } = answered(planSwaps({ ...request, shots: [shot('wrong', 3)] }, few));
  const afterwards = soundPart({ ...request, shots: [shot('wrong', 3, none)], flown });
  expect([afterwards.request, afterwards.leftOut]).toEqual([null, []]);
});
