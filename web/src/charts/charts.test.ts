import { bandOf, drawCoefficients, drawnFlights, estimate } from '@acorn-tally/core';
import { answered } from '../../../core/fixtures/answered';
import { spansOf } from '../minutes/spans';
import { jayRequest } from '../testing/jay';
import { bandOutline, flightLines } from './flightLines';
import { tallyInWords, tallyStrokes } from './tally';

test('one stroke a minute: who takes it is decided at its middle, the rest is gone before the start', () => {
  const strokes = tallyStrokes({ spendS: 150, homeS: 60, heldS: 100, boxS: 420 });
  expect(strokes).toEqual(['spend', 'spend', 'home', 'held', 'held', 'gone', 'gone']);
  expect(tallyInWords(strokes)).toBe(
    '2 min to spend, 1 min way home, 2 min held back, 2 min gone before you start',
  );
});

test('a flight that outlasts the box keeps its strokes', () => {
  expect(tallyStrokes({ spendS: 600, homeS: 0, heldS: 0, boxS: 300 })).toHaveLength(10);
});

test('the chart’s lines join: flown until turn back, home to the reserve, flown on below zero', () => {
  const outcome = answered(estimate(jayRequest));
  const lines = flightLines(outcome, 'charge');
  expect(lines.flown[0]).toEqual({ x: 0, y: expect.closeTo(90, 6) });
  expect(lines.flown[lines.flown.length - 1]).toEqual(lines.wayHome[0]);
  expect(lines.flownOn[0]).toEqual(lines.wayHome[0]);
  expect(lines.wayHome[1]?.y).toBeCloseTo(25, 3);
  expect(lines.flownOn[lines.flownOn.length - 1]?.y).toBeLessThan(0);
  expect(lines.marks.map(({ kind }) => kind)).toEqual(['turn-back', 'touch-down', 'forced-landing', 'empty']);
});

test('the strip’s parts are the estimate’s: to spend, and home from turn back to touch-down', () => {
  const outcome = answered(estimate(jayRequest));
  const spans = spansOf(outcome, 1860);
  expect(spans.spendS + spans.homeS).toBeCloseTo(outcome.touchdownS.p50, 9);
  expect(spans.heldS).toBeGreaterThan(0);
});

test('the band’s outline goes down its early edge and up its late one, and holds the middle line', () => {
  const outcome = answered(estimate(jayRequest));
  const draws = drawCoefficients(64, 1);
  const [flights = []] = drawnFlights([jayRequest], draws);
  const outline = bandOutline(bandOf(outcome, flights, draws).curve);
  const [early, late] = [outline.slice(0, outline.length / 2), outline.slice(outline.length / 2).reverse()];
  expect(early.map(({ y }) => y)).toEqual(late.map(({ y }) => y));
  expect(early.map(({ y }) => y)).toEqual([...early.map(({ y }) => y)].sort((a, b) => b - a));
  const { flown } = flightLines(outcome, 'charge');
  const middle = flown.find(({ y }) => y < 60);
  const at = early.findIndex(({ y }) => y < 60);
  expect(early[at]?.x).toBeLessThan((middle?.x ?? 0) + 5);
  expect(late[at]?.x).toBeGreaterThan(early[at]?.x ?? 0);
});
