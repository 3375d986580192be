import fc from 'fast-check';
import { answered } from '../../fixtures/answered';
import { boxDrawn, boxMiddle } from '../../fixtures/beliefs';
import { jayWith } from '../../fixtures/jay';
import { holds } from '../../fixtures/seeds';
import { defaultDraws } from '../belief/belief';
import { bandsOf } from './band';
import { drawnFlights } from './drawnFlights';
import { estimate } from './estimate';
import { flightRemedies } from './flightRemedies';
import { drawsFor } from './full';
import { plannedTurnBack } from './plannedTurnBack';

// A Jay far out downwind, where some draws do not come home.
const windy = (farthestM: number, windMps: number, reserveCharge = 0.25) =>
  jayWith({
    conditions: { wind: { speedMps: windMps, gustMps: null, fromDeg: 240, readingHeightM: 2 } },
    flight: { farthestM, bearingDeg: 60 },
    policy: { kind: 'touch-down-charge', reserveCharge },
  });

test('what is planned is what some draw has: one flight of ten that is impossible is not half a reason', () => {
  expect(plannedTurnBack(0.3, [0.28, 0.29, 0.3, 0.31, 0.32, 0.33, 0.34, 0.35, 0.36, null], 0.9)).toBe(0.36);
  expect(plannedTurnBack(0.3, [0.28, 0.29, null, null], 0.9)).toBeNull();
});

test('planned minutes and charges are those of a drawn flight, and more reserve never gives more (seed 33)', () => {
  const belief = boxDrawn(64);
  holds(
    fc.property(
      fc.integer({ min: 50, max: 500 }),
      fc.double({ min: 1, max: 4, noNaN: true }),
      (m, windMps) => {
        const requests = [0.2, 0.25, 0.3].map((reserve) => windy(m, windMps, reserve));
        const bands = bandsOf(requests, belief);
        const drawn = drawnFlights(requests, belief);
        for (const [i, band] of bands.entries()) {
          if (!band || band.turnBackCharge.planned === null) continue;
          const charges = [band.turnBackCharge.p50, ...(drawn[i] ?? []).map((one) => one.turnBackCharge)];
          expect(charges).toContain(band.turnBackCharge.planned);
          const times = [band.usableS.p50, ...(drawn[i] ?? []).map((one) => one.usableS)];
          expect(times).toContain(band.usableS.planned);
        }
        const planned = bands.map((band) => band?.usableS.planned ?? 0);
        expect(planned).toEqual([...planned].sort((a, b) => b - a));
      },
    ),
    { seed: 33, numRuns: 12 },
  );
});

test('advice is what was tried and helped: upwind before downwind, best first, nothing where a flight is fine', () => {
  const belief = boxDrawn(64);
  const found = flightRemedies(windy(400, 4), belief);
  expect(bandsOf([windy(400, 4)], belief)[0]?.usableS.planned).toBe(0);
  expect(found.length).toBeGreaterThan(0);
  const gains = found.map(({ plannedS }) => plannedS);
  expect(gains).toEqual([...gains].sort((a, b) => b - a));
  for (const { code, plannedS } of found) {
    expect(code).not.toContain('downwind');
    expect(plannedS).toBeGreaterThanOrEqual(60);
  }
});

test('a pack at 40 % is charged first, then upwind is out against the wind; a full one is not charged', () => {
  const low = windy(400, 2);
  const asked = { ...low, battery: { ...low.battery, startCharge: 0.4 } };
  const found = flightRemedies(asked, boxDrawn(64));
  expect(found[0]?.code).toBe('charge-it');
  expect(found.map(({ code }) => code)).toContain('upwind');
  expect(found.find(({ code }) => code === 'upwind')?.values).toEqual({ trackDeg: 240 });
  expect(flightRemedies(low, boxDrawn(64)).map(({ code }) => code)).not.toContain('charge-it');
});

// Common practice: this class is flown in far more wind than its automatic return stands against, and comes home with the stick forward.
test('where it does not come home by itself, by hand is named with its minutes; and what could be looked up or measured', () => {
  const belief = boxDrawn(128);
  const asked = windy(250, 3);
  expect(bandsOf([asked], belief)[0]?.usableS.planned).toBe(0);
  const found = flightRemedies(asked, belief);
  const byHand = found.find(({ code }) => code === 'by-hand');
  const flown = bandsOf([{ ...asked, policy: { ...asked.policy, comesHome: 'by-hand' } }], belief)[0];
  expect(byHand).toMatchObject({ comesHome: 'by-hand', plannedS: flown?.usableS.planned });
  expect(byHand?.plannedS).toBeGreaterThan(600);
  const wind = found.find(({ code, values }) => code === 'know' && String(values.what).includes('wind'));
  expect(wind?.plannedS).toBeGreaterThan(480);
  const gale = windy(150, 4.5);
  const [both] = flightRemedies({ ...gale, flight: { ...gale.flight, bearingDeg: 240 } }, belief);
  expect(both?.plannedS).toBeGreaterThan(300);
});

test('a wind that slow and normal mode cannot stand against is flown in fast, and home by hand in fast: both told as one', () => {
  const mix = [
    { style: 'hover', share: 0.5 },
    { style: 'slow', share: 0.3 },
    { style: 'normal', share: 0.2 },
  ] as const;
  const gale = windy(80, 5);
  const asked = { ...gale, flight: { ...gale.flight, mix, heightM: 30 } };
  const [both] = flightRemedies(asked, boxDrawn(128));
  expect(both).toMatchObject({ code: 'mode-and-by-hand', comesHome: 'by-hand-fast' });
  expect(both?.mix?.map(({ style }) => style)).toEqual(['hover', 'fast', 'fast']);
  // It is flown so with the minutes that are told.
  const flown = { ...asked, flight: { ...asked.flight, mix: both?.mix ?? [] } };
  const policy = { ...asked.policy, comesHome: 'by-hand-fast' as const };
  const [band] = bandsOf([{ ...flown, policy }], boxDrawn(128));
  expect(both?.plannedS).toBe(band?.usableS.planned);
});

test('a confidence of 0.95 and more is told from four times the draws: 0.99 from twenty of them, not from five', () => {
  const of = (confidence: number) => drawsFor({ kind: 'touch-down-charge', confidence });
  expect(of(0.949)).toEqual(defaultDraws);
  expect(of(0.95).draws).toBe(2048);
  expect(of(0.99)).toEqual({ draws: 2048, seed: defaultDraws.seed });
});

test('a pack that lands hot is told of; one that lands mild is not', () => {
  const codes = (airTemperatureC: number, startTemperatureC: number) => {
    const asked = jayWith({
      conditions: { airTemperatureC },
      battery: { startTemperatureC },
      flight: { farthestM: 0 },
    });
    return answered(estimate(asked, boxMiddle)).cautions.map(({ code }) => code);
  };
  expect(codes(52, 58)).toContain('hot-pack');
  expect(codes(20, 25)).not.toContain('hot-pack');
});
