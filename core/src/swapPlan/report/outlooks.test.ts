import { answered } from '../../../fixtures/answered';
import { boxDrawn } from '../../../fixtures/beliefs';
import { pack, plan, shot } from '../../../fixtures/fellShoot';
import { randomRequest } from '../../../fixtures/planRequests';
import { whatHelps } from './helps';
import { planSwaps } from './planSwaps';

test('what is pinned to a late flight costs what it costs: the shoot without pins is planned and told', () => {
  const batteries = ['a', 'b'].map((id) => ({ ...pack, id, label: id }));
  const made = plan([shot('one', 4), shot('two', 4, { pin: { flightNumber: 2 } })], { batteries });
  expect(made.figures.takeoffs).toBe(2);
  expect(made.withoutPins).toMatchObject({ takesPlaced: 2, takeoffs: 1 });
  expect(Date.parse(made.withoutPins?.endAt ?? '')).toBeLessThan(Date.parse(made.figures.endAt));
  expect(plan([shot('one', 4)], { batteries }).withoutPins).toBeNull();
});

test('a shoot that only waits for its light may begin later: as much is done, in the same minute; one that uses the time may not', () => {
  const late = shot('late', 4, { earliestAt: '2026-11-26T09:00:00Z' });
  const { laterStart, flights } = plan([late]);
  expect(laterStart).toEqual({ startAt: '2026-11-26T09:00:00.000+00:00', lessWaitingS: 3600 });
  const begun = plan([late], { startAt: laterStart?.startAt ?? '' });
  expect(begun.flights[0]?.takeoffAt).toBe(flights[0]?.takeoffAt);
  // One that charges from the start on would begin to charge later.
  const hub = { id: 'hub', name: 'Hub', packsAtOnce: 1, emptyToFullS: 3240 };
  const low = [{ ...pack, id: 'a', label: 'a', startCharge: 0.2 }];
  expect(plan([shot('long', 12)], { batteries: low, chargers: [hub] }).laterStart).toBeNull();
});

test('a battery or a charger more never makes less of a plan, and with all it is the plan (seeds 3060 to 3064)', () => {
  let tried = 0;
  for (let seed = 3060; seed < 3065; seed++) {
    // With work enough: a quick plan that spent its own says so, and tells no more of what it did not come to.
    const asked = { ...randomRequest(seed), effort: 'usual' as const };
    const beliefs = Object.fromEntries(asked.aircraft.map(({ id }) => [id, boxDrawn(16)]));
    const made = answered(planSwaps(asked, beliefs));
    const { asIs, changes } = whatHelps(asked, beliefs, made);
    const whole = asked.shots.length - new Set(made.unplaced.map(({ shotId }) => shotId)).size;
    expect(made.complete).toBe(true);
    // With all of them brought it is the plan itself.
    expect(made.packs.at(-1)).toMatchObject({ shotsPlaced: whole, takeoffs: asIs.takeoffs });
    for (const { change, outlook } of changes) {
      if (change.code !== 'one-more-battery' && change.code !== 'one-more-charger') continue;
      tried++;
      expect(outlook.takesPlaced).toBeGreaterThanOrEqual(asIs.takesPlaced);
      if (outlook.takesPlaced === asIs.takesPlaced)
        expect(outlook.takeoffs).toBeLessThanOrEqual(asIs.takeoffs);
    }
  }
  expect(tried).toBeGreaterThan(5);
});
