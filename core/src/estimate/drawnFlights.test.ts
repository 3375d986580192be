import { boxDrawn, boxMiddle } from '../../fixtures/beliefs';
import { jayOnTheFell } from '../../fixtures/jay';
import { drawnFlights } from './drawnFlights';
import { estimate } from './estimate';

const powers = (
  addedMassKg: number | null,
  ratedCapacityMah = 2350,
  attachedKg: number | null = null,
  massKg: number | null = null,
) => {
  const aircraft = { ...jayOnTheFell.aircraft, advertisedCapacityMah: 2350, addedMassKg };
  const battery = { ...jayOnTheFell.battery, ratedCapacityMah, massKg };
  const mix = [{ style: 'hover', share: 1 }] as const;
  const calm = { ...jayOnTheFell.conditions, wind: { speedMps: 0, fromDeg: 0, readingHeightM: 2 } };
  const flown = estimate(
    {
      ...jayOnTheFell,
      aircraft,
      battery,
      conditions: calm,
      flight: { ...jayOnTheFell.flight, mix, addedMassKg: attachedKg },
    },
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
  // Hung on for one flight or always, it weighs the same.
  expect(powers(null, 2350, 0.0249)).toBe(powers(0.0249));
  expect(powers(0.01, 2350, 0.0149)).toBeCloseTo(powers(0.0249), 9);
});

test('a pack of twice the box’s energy is 86 g more to carry at 210 Wh/kg: mass^1.5 in a hover, so it does not last twice as long', () => {
  const { ratedCapacityMah, nominalVoltageV } = jayOnTheFell.battery;
  const moreKg = ((ratedCapacityMah / 1000) * nominalVoltageV) / 210;
  const electronicsW = 4 + (6 * 0.249) / 0.9;
  const [boxW, largeW] = [powers(null), powers(null, 2 * ratedCapacityMah)];
  expect((largeW - electronicsW) / (boxW - electronicsW)).toBeCloseTo((1 + moreKg / 0.249) ** 1.5, 3);
  expect(powers(0.02, 2 * ratedCapacityMah)).toBeGreaterThan(largeW);
  // Weighed, it counts as it was weighed; the box's own pack is in the take-off mass already.
  const boxKg = ((ratedCapacityMah / 1000) * nominalVoltageV) / 210;
  expect(powers(null, 2 * ratedCapacityMah, null, boxKg + 0.0249)).toBeCloseTo(powers(0.0249), 9);
  expect(powers(null, ratedCapacityMah, null, 0.2) / boxW).toBeCloseTo(1, 1);
});

test('batteries of one aircraft that weigh differently share no flight: each draw of a band is flown with its own pack', () => {
  const { ratedCapacityMah } = jayOnTheFell.battery;
  const request = (mah: number) => ({
    ...jayOnTheFell,
    aircraft: { ...jayOnTheFell.aircraft, advertisedCapacityMah: ratedCapacityMah },
    battery: { ...jayOnTheFell.battery, ratedCapacityMah: mah },
  });
  const requests = [request(ratedCapacityMah), request(2 * ratedCapacityMah)];
  const belief = boxDrawn(4);
  const together = drawnFlights(requests, belief);
  expect(together).toEqual(requests.map((one) => drawnFlights([one], belief)[0]));
});
