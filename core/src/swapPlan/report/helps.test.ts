import { answered } from '../../../fixtures/answered';
import { few, pack, plan, request, shot } from '../../../fixtures/fellShoot';
import { whatHelps } from './helps';
import { planSwaps } from './planSwaps';

test('what would help is tried: a battery more places the second shot, warm packs the one that is a little too long', () => {
  const cold = { ...pack, id: 'a', label: 'Jay 1', startTemperatureC: 4, waitingTemperatureC: 4 };
  const asked = { ...request, batteries: [cold], shots: [shot('one', 12), shot('two', 12)] };
  const { asIs, changes, starts } = whatHelps(asked, few, answered(planSwaps(asked, few)));
  expect(asIs).toMatchObject({ takesPlaced: 1, takeoffs: 1 });
  expect(changes.map(({ change, outlook }) => [change.code, outlook.takesPlaced])).toEqual([
    ['one-more-battery', 2],
    ['warm-packs', 1],
  ]);
  expect(starts).toEqual([]);
  const longest = plan([shot('one', 60)], { batteries: [cold] }).unplaced[0]?.reason.values.possibleS;
  const long = { ...asked, shots: [shot('one', (Number(longest) + 20) / 60)], endAt: '2026-11-26T08:30:00Z' };
  const warm = whatHelps(long, few, answered(planSwaps(long, few)));
  expect(warm.asIs.takesPlaced).toBe(0);
  expect(warm.changes.find(({ change }) => change.code === 'warm-packs')?.outlook.takesPlaced).toBe(1);
  // Ninety minutes later the crew's hours are over.
  expect(warm.starts.at(-1)?.outlook).toMatchObject({ takesPlaced: 0, takeoffs: 0 });
  expect(warm.starts).toHaveLength(6);
});
