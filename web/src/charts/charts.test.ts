import { bandsOf } from '@acorn-tally/core';
import { boxDrawn } from '../../../core/fixtures/beliefs';
import { jayRequest } from '../../../core/fixtures/records';
import { shownPlan } from '../answers/planned';
import { spansOf } from '../answers/spans';
import { flightAsPlanned, flightUnplanned } from '../testing/jay';
import { bandOutline, flightLines } from './flightLines';
import { tallyInWords, tallyStrokes } from './tally';

test('one stroke a minute: who takes it is decided at its middle, the rest is gone before the start', () => {
  const strokes = tallyStrokes({ spendS: 150, doubtS: 60, homeS: 60, heldS: 100, boxS: 480 });
  expect(strokes).toEqual(['spend', 'spend', 'doubt', 'home', 'held', 'held', 'gone', 'gone']);
  expect(tallyInWords(strokes)).toBe(
    '2 min to spend, 1 min kept for doubt, 1 min way home, 2 min held back, 2 min gone before you start',
  );
});

test('a flight that outlasts the box keeps its strokes', () => {
  expect(tallyStrokes({ spendS: 600, doubtS: 0, homeS: 0, heldS: 0, boxS: 300 })).toHaveLength(10);
});

test('the chart’s lines join: the middle flight to the charge to turn at, home to more than the reserve, flown on below zero', () => {
  const lines = flightLines(flightAsPlanned, 'charge', 0.25);
  const turn = (flightAsPlanned.planned?.turnBackCharge ?? 0) * 100;
  expect(lines.flown[0]).toEqual({ x: 0, y: expect.closeTo(90, 6) });
  expect(lines.flown[lines.flown.length - 1]).toEqual(lines.wayHome[0]);
  expect(lines.flownOn[0]).toEqual(lines.wayHome[0]);
  expect(lines.wayHome[0]?.y).toBeCloseTo(turn, 6);
  expect(lines.wayHome[1]?.y).toBeGreaterThan(25.5);
  // The lower edge of what the way home may end with is the reserve.
  expect(lines.wayHomeDoubt).toEqual([...lines.wayHome, { x: lines.wayHome[1]?.x, y: 25 }]);
  expect(lines.flownOn[lines.flownOn.length - 1]?.y).toBeLessThan(0);
  expect(lines.marks.map(({ kind }) => kind)).toEqual([
    'planned-minute',
    'turn-back',
    'touch-down',
    'forced-landing',
    'empty',
  ]);
  expect((lines.marks[0]?.x ?? 0) * 60).toBeCloseTo(flightAsPlanned.planned?.usableS ?? 0, 6);
});

test('until it is known where to turn, the flight is drawn whole, and nothing is marked to act on', () => {
  const lines = flightLines(flightUnplanned, 'charge', 0.25);
  expect([lines.wayHome, lines.wayHomeDoubt, lines.flownOn]).toEqual([[], [], []]);
  expect(lines.marks.map(({ kind }) => kind)).toEqual(['forced-landing', 'empty']);
});

test('the strip’s parts are the estimate’s: to spend, kept for doubt up to the middle, and home from there', () => {
  const { estimate, planned } = flightAsPlanned;
  const spans = spansOf(estimate, planned, 1860);
  expect(spans.spendS).toBe(planned?.usableS);
  expect(spans.spendS + spans.doubtS).toBeCloseTo(estimate.usableS.p50, 9);
  expect(spans.spendS + spans.doubtS + spans.homeS).toBeCloseTo(estimate.touchdownS.p50, 9);
  expect(spans.heldS).toBeGreaterThan(0);
  // All of it is in doubt until something is known.
  expect(spansOf(estimate, null, 1860)).toMatchObject({ spendS: 0, doubtS: estimate.usableS.p50 });
});

test('the band’s outline goes down its early edge and up its late one, and holds the middle line', () => {
  const outline = bandOutline(bandsOf([jayRequest], boxDrawn(64))[0]?.curve ?? []);
  const [early, late] = [outline.slice(0, outline.length / 2), outline.slice(outline.length / 2).reverse()];
  expect(early.map(({ y }) => y)).toEqual(late.map(({ y }) => y));
  expect(early.map(({ y }) => y)).toEqual([...early.map(({ y }) => y)].sort((a, b) => b - a));
  const { flown } = flightLines(flightAsPlanned, 'charge', 0.25);
  const middle = flown.find(({ y }) => y < 60);
  const at = early.findIndex(({ y }) => y < 60);
  expect(early[at]?.x).toBeLessThan((middle?.x ?? 0) + 5);
  expect(late[at]?.x).toBeGreaterThan(early[at]?.x ?? 0);
});

test('what is shown to act on is the band’s own; while a newer one is on its way it follows the middle, marked', () => {
  const [band] = bandsOf([jayRequest], boxDrawn(16));
  if (!band) throw new Error('It should be flown.');
  const { estimate } = flightAsPlanned;
  const longer = { ...estimate, usableS: { p50: estimate.usableS.p50 * 1.1 } };
  expect(shownPlan(longer, band, true)).toMatchObject({ usableS: band.usableS.planned, fresh: true });
  const meanwhile = shownPlan(longer, band, false);
  expect(meanwhile?.usableS).toBeCloseTo(band.usableS.planned * 1.1, 6);
  expect(meanwhile?.fresh).toBe(false);
  expect(shownPlan(longer, null, false)).toBeNull();
});
