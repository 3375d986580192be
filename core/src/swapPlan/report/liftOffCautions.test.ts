import { answered } from '../../../fixtures/answered';
import { boxMiddle } from '../../../fixtures/beliefs';
import { few, request, shot } from '../../../fixtures/fellShoot';
import { jayOnTheFell } from '../../../fixtures/jay';
import { liftOffCautions } from './liftOffCautions';
import { planSwaps } from './planSwaps';

test('before lift-off a plan warns of what its estimates warn of: a return height below what stands there', () => {
  const aircraft = request.aircraft.map((one) => ({ ...one, returnHeightM: 30 }));
  const asked = { ...request, aircraft, shots: [shot('a', 3), shot('b', 3)] };
  const made = answered(planSwaps(asked, few));
  const told = (tallestM: number | null) =>
    liftOffCautions(asked, made, { tallestM, obstacles: null }, { jay: boxMiddle }).map(
      ({ caution }) => caution.code,
    );
  expect(told(40)).toContain('low-return-height');
  expect(told(10)).not.toContain('low-return-height');
  const [only] = liftOffCautions(asked, made, { tallestM: 40 }, { jay: boxMiddle });
  expect(only?.flightNumbers).toEqual(made.flights.map(({ number }) => number));
});

test('a flight of several shots is warned at its farthest and its highest', () => {
  const conditions = {
    ...jayOnTheFell.conditions,
    wind: { speedMps: 2.7, gustMps: 3, fromDeg: 240, readingHeightM: 2 },
  };
  const shots = [shot('near and high', 2, { heightM: 100 }), shot('far', 2, { distanceM: 240 })];
  const asked = { ...request, conditions, shots };
  const made = answered(planSwaps(asked, few));
  expect(made.flights).toHaveLength(1);
  const cautions = liftOffCautions(asked, made, { ceilingM: 80 }, { jay: boxMiddle });
  expect(cautions.map(({ caution }) => [caution.code, caution.values])).toEqual(
    expect.arrayContaining([
      ['slow-way-home', expect.objectContaining({ farthestM: 240 })],
      ['above-ceiling', { ceilingM: 80 }],
    ]),
  );
});
