import { answered } from '../../fixtures/answered';
import { boxDrawn, boxMiddle } from '../../fixtures/beliefs';
import { type Change, jayHomeWith, jayWith } from '../../fixtures/jay';
import { chemistries } from '../battery/battery';
import { writeInSi } from '../units/sentence';
import { estimate } from './estimate';
import { explain } from './explain';
import { estimateInFull } from './full';
import { powerCurve } from './powerCurve';

const calm = { speedMps: 0, fromDeg: 0, readingHeightM: 10 };

describe('power against airspeed', () => {
  const curve = (change: Change = {}) => answered(powerCurve(jayWith(change), boxMiddle));

  test('today is flown with this battery as it is, the box with a new one', () => {
    const [fresh, worn] = [curve({ battery: { health: 1 } }), curve({ battery: { health: 0.8 } })];
    expect(worn.today.longest.lastsS / fresh.today.longest.lastsS).toBeLessThan(0.82);
    expect(worn.box).toEqual(fresh.box);
  });

  test('as on the box: at the advertised speed a new battery lasts the advertised time, when nothing is hidden', () => {
    const { box } = curve({ aircraft: { hiddenCharge: 0 } });
    const advertised = box.points.find(({ airspeedMps }) => airspeedMps === 5.5);
    expect(Math.abs((advertised?.lastsS ?? 0) - 1860)).toBeLessThan(2);
  });

  // The box's pack is of the chemistry its label names, whatever its volts would suggest.
  test.each(chemistries)('on the box of a %s pack it lasts the box’s time too', (chemistry) => {
    const { box } = curve({ aircraft: { hiddenCharge: 0 }, battery: { chemistry } });
    const advertised = box.points.find(({ airspeedMps }) => airspeedMps === 5.5);
    expect(Math.abs((advertised?.lastsS ?? 0) - 1860)).toBeLessThan(2);
    expect(answered(estimate(jayWith({ battery: { chemistry } }), boxMiddle)).power.hoverW).toBeGreaterThan(
      0,
    );
  });

  test('it goes farthest faster than it lasts longest, and faster still against a wind (flight mechanics: the tangent)', () => {
    const still = curve({ conditions: { wind: calm } }).today;
    const windy = curve().today;
    expect(still.farthest?.airspeedMps).toBeGreaterThan(still.longest.airspeedMps);
    expect(windy.farthest?.airspeedMps).toBeGreaterThan(still.farthest?.airspeedMps ?? 0);
  });

  test('the tangent: at the farthest speed in still air power grows as power over speed (by calculus)', () => {
    const { points, farthest } = curve({ conditions: { wind: calm } }).today;
    const at = points.findIndex(({ airspeedMps }) => airspeedMps === farthest?.airspeedMps);
    const [before, here, after] = [points[at - 2], points[at], points[at + 2]];
    if (!before || !here || !after) throw new Error('The farthest speed lies at the edge.');
    const slope = (after.powerW - before.powerW) / (after.airspeedMps - before.airspeedMps);
    // Minutes shrink a little more than power grows, so the speed lies just under the tangent's.
    expect(Math.abs(slope / (here.powerW / here.airspeedMps) - 1)).toBeLessThan(0.12);
  });

  test('against more wind than it flies, nothing is farthest; a wind read between houses is taken into account', () => {
    const wind = { speedMps: 20, gustMps: 20, fromDeg: 0, readingHeightM: 60 };
    expect(curve({ conditions: { wind } }).today.farthest).toBeNull();
    expect(curve({ conditions: { roughnessM: 1 } }).windMps).toBeGreaterThan(10);
  });
});

describe('the numbers between the box and the minutes', () => {
  test('are those of the estimate: health, charge, temperatures, and the way home from turn back to touch-down', () => {
    const request = jayWith({ battery: { startCharge: 1, daysSinceCharge: 1, cycles: 150 } });
    const [explained, estimated] = [
      answered(explain(request, boxMiddle)),
      answered(estimate(request, boxMiddle)),
    ];
    // By hand: 150 of 250 cycles take three fifths of 20 %; a day takes 4 % off a full smart pack (common practice).
    for (const told of [explained, estimated]) {
      expect(told.health).toBeCloseTo(0.88, 9);
      expect(told.takeoffCharge).toBeCloseTo(0.96, 9);
    }
    expect(explained.endC).toBe(estimated.curve.at(-1)?.packTemperatureC);
    expect(explained.wayHomeS).toBeCloseTo(estimated.touchdownS.p50 - estimated.usableS.p50, 6);
    expect(explained.labelWh).toBeCloseTo(2.35 * 7.7, 9);
    expect(explained.startOhm).toBeGreaterThan(explained.warmOhm);
  });

  test('the wind grows by the log law from the reading to the height (by hand: ln(60/0.03)/ln(2/0.03) = 1.81)', () => {
    expect(answered(explain(jayWith({}), boxMiddle)).windGrowthRatio).toBeCloseTo(1.81, 2);
    expect(answered(explain(jayWith({ conditions: { wind: calm } }), boxMiddle)).windGrowthRatio).toBe(1);
  });

  test('what cannot be flown is refused here too', () => {
    expect(explain(jayWith({ battery: { startCharge: 0.2 } }), boxMiddle).ok).toBe(false);
  });
});

describe('cautions', () => {
  const codes = (change: Change) =>
    answered(estimate(jayWith(change), boxMiddle)).cautions.map(({ code }) => code);
  const near = { flight: { farthestM: 20 }, conditions: { wind: calm } };

  // Modes of a camera drone where the sheet is silent: slow 8, normal 12, fast 16 m/s; wind read where it flies, so it does not grow.
  test('what drifts in the wind, passes its maker’s limit, or rests on hands is said', () => {
    const wind = (speedMps: number, gustMps: number) => ({
      wind: { speedMps, gustMps, fromDeg: 240, readingHeightM: 60 },
    });
    const slow = { mix: [{ style: 'slow' as const, share: 1 }] };
    const hover = { mix: [{ style: 'hover' as const, share: 1 }] };
    const byHand = { comesHome: 'by-hand-fast' as const };
    expect(codes({ conditions: wind(4, 7.5), flight: slow })).not.toContain('style-may-drift');
    expect(codes({ conditions: wind(4, 8.5), flight: slow })).toContain('style-may-drift');
    expect(codes({ conditions: wind(11, 12), flight: hover, policy: byHand })).not.toContain(
      'hover-needs-fast',
    );
    expect(codes({ conditions: wind(12.5, 13), flight: hover, policy: byHand })).toContain(
      'hover-needs-fast',
    );
    const limit = { maxWindMps: 8 };
    expect(codes({ aircraft: limit, conditions: wind(4, 7.5) })).not.toContain('over-wind-limit');
    expect(codes({ aircraft: limit, conditions: wind(4, 8.5) })).toContain('over-wind-limit');
    expect(codes({ conditions: wind(4, 5) })).not.toContain('home-by-hand');
    expect(codes({ conditions: wind(4, 5), policy: byHand })).toContain('home-by-hand');
    const lost = codes({ conditions: wind(10, 11), flight: hover, policy: byHand });
    expect(lost).toContain('lost-link-drifts');
    expect(lost).not.toContain('home-by-hand');
  });

  test('a mild day close by has none', () => {
    expect(codes(near)).toEqual([]);
  });

  test.each<[string, Change]>([
    ['cold-pack', { ...near, battery: { startTemperatureC: 8 } }],
    ['frozen-pack', { ...near, battery: { startTemperatureC: -4 } }],
    ['not-full', { ...near, battery: { startCharge: 0.7 } }],
    ['worn', { ...near, battery: { health: 0.8 } }],
    ['frost', { ...near, conditions: { wind: calm, airTemperatureC: -3 } }],
    ['above-ceiling', { ...near, flight: { farthestM: 20, heightM: 150 } }],
    ['ground-effect', { ...near, flight: { farthestM: 0, heightM: 0.1 } }],
    ['test-only', { ...near, policy: { kind: 'empty' } }],
    ['hover-time-odd', { ...near, aircraft: { advertisedHoverTimeS: 2400 } }],
    ['low-volts', { ...near, battery: { landCellVoltageV: 3.6 } }],
    [
      'over-height-limit',
      { ...near, aircraft: { maxElevationM: 500 }, conditions: { wind: calm, elevationM: 600 } },
    ],
    ['thin-air', { ...near, conditions: { wind: calm, elevationM: 4200 } }],
    ['slow-way-home', {}],
    [
      'gust-over-return-speed',
      { conditions: { wind: { speedMps: 3, gustMps: 8, fromDeg: 60, readingHeightM: 2 } } },
    ],
  ])('%s where it is due', (code, change) => {
    expect(codes(change)).toContain(code);
  });

  test('thin air is told from 4,000 m of density altitude, and only up to what its maker allows where that is known', () => {
    const at = (elevationM: number, maxElevationM: number | null = null) =>
      codes({
        ...near,
        aircraft: { maxElevationM },
        conditions: { wind: calm, elevationM, airTemperatureC: 0 },
      });
    expect(at(3500)).not.toContain('thin-air');
    expect(at(4300, 5000)).toEqual(expect.not.arrayContaining(['thin-air', 'over-height-limit']));
    expect(at(4300, 4000)).toContain('over-height-limit');
  });

  test('a gust that looks like the top of a mode is not told to pass it', () => {
    const gusty = (gustMps: number) =>
      codes({
        conditions: { wind: { speedMps: 4, gustMps, fromDeg: 240, readingHeightM: 60 } },
        flight: { mix: [{ style: 'slow', share: 1 }] },
      });
    expect(gusty(8.04)).not.toContain('style-may-drift');
    expect(gusty(8.1)).toContain('style-may-drift');
  });

  test('that its own call comes too late is told where it is known when to turn', () => {
    const planned = answered(estimateInFull(jayHomeWith({}), boxDrawn(16)));
    expect(planned.cautions.map(({ code }) => code)).toEqual([...codes({}), 'own-return-late']);
  });

  // Manuals of smart packs ask for 15 to 20 °C before lift-off in the cold, at least 15 (common practice).
  test('a pack under 15 °C is to be warmed first, also at 14, and one at 15 is not', () => {
    const at = (startTemperatureC: number) => codes({ ...near, battery: { startTemperatureC } });
    expect(at(14)).toContain('cold-pack');
    expect(at(15)).not.toContain('cold-pack');
    expect(at(-0.5)).not.toContain('cold-pack');
  });

  test('a pack that stood names the days and what is left', () => {
    const outcome = answered(
      estimate(jayWith({ ...near, battery: { startCharge: 1, daysSinceCharge: 4 } }), boxMiddle),
    );
    expect(outcome.cautions.map(writeInSi)).toContain('Stood 4 days, about 69 % left');
  });
});
