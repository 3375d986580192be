import { answered } from '../../../fixtures/answered';
import { few, plan, remedies, request, shot, why } from '../../../fixtures/fellShoot';
import type { PlanRequest } from '../request/request';
import type { SwapPlan } from './answer';
import { planSwaps, plansOf } from './planSwaps';

describe('what does not fit', () => {
  test('too long for every battery: how long the best one has', () => {
    const made = plan([shot('long', 30), shot('short', 5)]);
    expect(why(made)[0]).toMatch(
      /Takes 30:00 there; the best battery, Jay 1, has 1\d:\d\d before it must turn back/,
    );
    expect(remedies(made)[0]).toMatch(/Shorten it to \d/);
  });

  test('is told as soon as the plan stands, before it is asked whether that would still do', () => {
    const asked = { ...request, shots: [shot('long', 30), shot('short', 5)] };
    const told = [...answered(plansOf(asked, few))].filter(({ plan }) => plan.unplaced.length > 0);
    expect(told.map(({ stage, plan }) => [stage, plan.robustness.length > 0])).toEqual([
      ['best', false],
      ['whole', true],
    ]);
    expect(remedies(told[0]?.plan as SwapPlan)).toEqual(remedies(told[1]?.plan as SwapPlan));
  });

  test('two shots that the same would help are both told so, a nice one too; one that nothing helps by itself is not', () => {
    const shots = [shot('one', 12), shot('two', 12), shot('long', 30), shot('three', 12, { need: 'nice' })];
    const made = plan(shots, { batteries: request.batteries.slice(0, 1), order: 'free' });
    expect(made.unplaced.map(({ shotId, remedy }) => [shotId, remedy?.code])).toEqual([
      // Shortened it would need one more battery too.
      ['long', undefined],
      ['three', 'one-more-battery'],
      ['two', 'one-more-battery'],
    ]);
  });

  test('batteries flown already, and one more is the remedy; never a smaller reserve', () => {
    const made = plan([shot('one', 12), shot('two', 12)], { batteries: request.batteries.slice(0, 1) });
    expect(why(made)[0]).toContain('it would fit on Jay 1, flown already');
    expect(remedies(made)).toEqual(['Bring one more battery like Jay 1, charged']);
  });

  test('that it freshens before a battery is charged again is the weather, not the charger', () => {
    const hour = (at: string, speedMps: number) => ({
      ...(request.conditions as NonNullable<PlanRequest['conditions']>),
      at: `2026-11-26T${at}:00Z`,
      wind: { speedMps, gustMps: null, fromDeg: 60, readingHeightM: 30 },
    });
    const { conditions: _, ...rest } = request;
    const whyLeft = (laterMps: number, emptyToFullS: number) => {
      const made = planSwaps(
        {
          ...rest,
          hours: [hour('08:00', 2), hour('08:30', 2), hour('08:45', laterMps), hour('12:00', laterMps)],
          endAt: '2026-11-26T09:15:00Z',
          chargers: [{ id: 'hub', name: 'Hub', packsAtOnce: 1, emptyToFullS }],
          batteries: request.batteries.slice(0, 1),
          shots: [shot('one', 12), shot('two', 12)],
        },
        few,
      );
      return why(answered(made));
    };
    expect(whyLeft(2, 3600)).toEqual([]);
    expect(whyLeft(16, 3600)).toEqual(['Others are in the air while the weather is fair enough for it.']);
    expect(whyLeft(2, 20_000)).toEqual(['It would fit on Jay 1, but none is charged for it again in time.']);
  });

  test('where another order and longer hours would each do, it is the order that is told', () => {
    const late = shot('late', 5, { earliestAt: '2026-11-26T08:45:00Z' });
    const asked = { order: 'kept', endAt: '2026-11-26T09:00:00Z' } as const;
    const left = plan([late, shot('long', 12)], asked);
    expect(why(left)).toEqual(['It does not fit in this order; in another it does.']);
  });

  test('a point the wind does not let it reach and leave is a reason, not a number', () => {
    const wind = { speedMps: 9, gustMps: 10, fromDeg: 60, readingHeightM: 30 };
    const conditions = { ...(request.conditions as NonNullable<PlanRequest['conditions']>), wind };
    const made = plan([shot('upwind', 2, { style: 'fast' })], { conditions });
    expect(why(made)[0]).toContain(
      'In this wind no battery gets there and returns with the reserve in 90 % of flights',
    );
  });

  test('a pack fails, the wind rises, takes are longer: what is left is told line by line', () => {
    const made = plan([shot('one', 8), shot('two', 6), shot('three', 10)]);
    expect(made.robustness.map(({ change, batteryId }) => batteryId ?? change)).toEqual([
      'wind',
      'takes',
      'a',
      'c',
    ]);
    const lost = made.robustness.find(({ batteryId }) => batteryId === 'c');
    expect(lost?.droppedShotIds.length).toBeGreaterThan(0);
    expect(made.packs.map(({ packs, shotsPlaced }) => [packs, shotsPlaced])).toEqual([
      [1, 2],
      [2, 3],
      [3, 3],
    ]);
  });
});
