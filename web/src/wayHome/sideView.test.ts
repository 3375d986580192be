import { returnAnswer } from '@acorn-tally/core';
import fc from 'fast-check';
import { answered } from '../../../core/fixtures/answered';
import { boxMiddle } from '../../../core/fixtures/beliefs';
import { jayRequest } from '../../../core/fixtures/records';
import { holds } from '../../../core/fixtures/seeds';
import { extentFor, pathOf, scaleFor, ticksTo } from './sideView';

const { aircraft, battery, conditions, policy } = jayRequest;
const requestAt = (distanceM: number, heightM: number, speedMps = 3) => ({
  aircraft,
  battery,
  conditions: { ...conditions, wind: { speedMps, gustMps: null, fromDeg: 240, readingHeightM: 10 } },
  policy,
  position: { distanceM, bearingDeg: 60, heightM, charge: 0.5 },
  returnHeightM: 45,
  obstacles: [{ name: 'chimney', distanceM: 150, widthM: 10, heightM: 31 }],
});

test('metres to pixels and back, all of the flight in the picture (seed 12)', () => {
  holds(
    fc.property(
      fc.double({ min: 0, max: 10_000, noNaN: true }),
      fc.double({ min: 0, max: 500, noNaN: true }),
      (distanceM, heightM) => {
        const extent = extentFor(requestAt(distanceM, heightM));
        const scale = scaleFor(extent, 580, 350);
        expect(extent.farM).toBeGreaterThanOrEqual(distanceM);
        expect(extent.highM).toBeGreaterThanOrEqual(heightM);
        expect(scale.distanceAt(scale.x(distanceM))).toBeCloseTo(distanceM, 6);
        expect(scale.heightAt(scale.y(heightM))).toBeCloseTo(heightM, 6);
        expect(ticksTo(extent.farM).length).toBeLessThanOrEqual(11);
      },
    ),
    { seed: 12 },
  );
});

test('what is dragged out of the picture stays at its edge', () => {
  const scale = scaleFor({ farM: 500, highM: 100 }, 580, 350);
  expect(scale.distanceAt(-50)).toBe(0);
  expect(scale.distanceAt(5000)).toBe(500);
  expect(scale.heightAt(5000)).toBe(0);
  expect(scale.heightAt(-50)).toBe(100);
});

test('the path: up to the return height, across, down to home; without a way home it goes nowhere', () => {
  const path = (distanceM: number, heightM: number, speedMps?: number) => {
    const request = requestAt(distanceM, heightM, speedMps);
    const answer = answered(returnAnswer(request, boxMiddle));
    return pathOf(request, answer).map((point) => [Math.round(point.distanceM), point.heightM]);
  };
  expect(path(300, 20)).toEqual([
    [300, 20],
    [300, 45],
    [0, 45],
    [0, 0],
    [0, 0],
  ]);
  expect(path(300, 20, 9)).toEqual([[300, 20]]);
});

test('the path ends where it lands itself: along its way until then, and straight down (drawn on to home until 25 Nov 2026)', () => {
  const request = requestAt(300, 20);
  const answer = answered(
    returnAnswer({ ...request, position: { ...request.position, charge: 0.12 } }, boxMiddle),
  );
  const short = answer.home.forcedLanding;
  if (!short) throw new Error('With 12 % it should land itself on the way.');
  const path = pathOf({ ...request, position: { ...request.position, charge: 0.12 } }, answer);
  expect(path.at(-1)).toEqual({ distanceM: short.shortM, heightM: 0 });
  expect(path.at(-2)).toEqual({ distanceM: short.shortM, heightM: short.heightM });
  expect(short.shortM).toBeGreaterThan(0);
  for (const [i, { distanceM }] of path.entries())
    expect(distanceM).toBeLessThanOrEqual((path[i - 1] ?? { distanceM: 300 }).distanceM);
});
