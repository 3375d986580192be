import { boxMiddle } from '../../fixtures/beliefs';
import { jayOnTheFell } from '../../fixtures/jay';
import { estimate } from './estimate';

const powers = (addedMassKg: number | null) => {
  const aircraft = { ...jayOnTheFell.aircraft, addedMassKg };
  const mix = [{ style: 'hover', share: 1 }] as const;
  const calm = { ...jayOnTheFell.conditions, wind: { speedMps: 0, fromDeg: 0, readingHeightM: 2 } };
  const flown = estimate(
    { ...jayOnTheFell, aircraft, conditions: calm, flight: { ...jayOnTheFell.flight, mix } },
    boxMiddle,
  );
  if (!flown.ok) throw new Error('it hovers');
  return flown.value.power.hoverW;
};

test('guards of a tenth of its mass cost the rotors mass^1.5 in a hover (actuator disc theory): 15.4 % of all but electronics', () => {
  const bareW = powers(null);
  // The electronics assumed for 249 g: 4 W + 6 W · 0.249/0.9.
  const electronicsW = 4 + (6 * 0.249) / 0.9;
  expect((powers(0.0249) - electronicsW) / (bareW - electronicsW)).toBeCloseTo(1.1 ** 1.5, 3);
  expect(powers(0)).toBe(bareW);
});
