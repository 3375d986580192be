import { type Fit, fitOf, imperialUnits, type ListedTest, metricUnits } from '@acorn-tally/core';
import { asSupposed, SyntheticAircraft, synthetic } from '../../../core/fixtures/calibrationWorlds';
import { jayOnTheFell } from '../../../core/fixtures/jay';
import { writerOf } from '../state/units';
import { filmsUnlikeTests } from './filmsUnlikeTests';
import { changesInWords, stillUnknown, taughtLines } from './taughtWords';

const one = new SyntheticAircraft(3, asSupposed);
function fitted(...flights: ReturnType<typeof one.fly>[]): Fit {
  const fit = fitOf(synthetic(flights));
  if (!fit.ok) throw new Error(fit.refusal.template);
  return fit.value;
}
const sheet = jayOnTheFell.aircraft;
const labelOf = (id: string) => id;
const { say } = writerOf(metricUnits);

/** A fit that says something definite. */
function saying(name: Fit['parameters'][number]['name'], value: number, spread: number): Fit {
  const fit = fitted(one.fly(['hover'], 0, 1));
  const parameters = fit.parameters.map((each) =>
    each.name === name ? { ...each, value, spread, learned: 0.6 } : { ...each, learned: 0 },
  );
  return { ...fit, parameters, batteries: [] };
}
const line = (fit: Fit) => taughtLines(fit, 'Jay', sheet, labelOf, say)[0];

test('how thirsty it is is said as power: a time of 0.94 of the box is 6 % more, ±2 of the time ±2 of the power (by hand)', () => {
  expect(line(saying('boxTimeRatio', 1 / 1.06, 0.02 / 1.06))).toMatchObject({
    name: 'Jay draws more than its box says',
    now: '+6 % ±2',
    before: '0 % ±7',
  });
  expect(line(saying('boxTimeRatio', 1.05, 0.02))?.name).toBe('Jay draws less than its box says');
  expect(line(saying('boxTimeRatio', 1.002, 0.02))).toMatchObject({
    name: 'Jay draws what its box says',
    now: '0 % ±2',
  });
});

test('drag and what is kept below 0 % have their own words, and none where the sheet says them', () => {
  expect(line(saying('dragAreaRatio', 1.11, 0.09 / 1.11))).toMatchObject({
    now: '+11 % ±9',
    before: '0 % ±25',
  });
  const hidden = saying('hiddenCharge', 0.09, 0.02);
  expect(line(hidden)).toMatchObject({ name: 'Kept below 0 %', now: '9 % ±2', before: '5 % ±3' });
  expect(taughtLines(hidden, 'Jay', { ...sheet, hiddenCharge: 0.08 }, labelOf, say)).toEqual([]);
});

test('what cold takes is said for ten degrees of the pilot’s own, or eighteen', () => {
  const fit = saying('capacityLossPerK', 0.006, 0.001);
  expect(line(fit)).toMatchObject({ name: 'Charge lost in 10 °C of cold', now: '6 % ±1', before: '5 % ±2' });
  const imperial = taughtLines(fit, 'Jay', sheet, labelOf, writerOf(imperialUnits).say);
  expect(imperial[0]?.name).toBe('Charge lost in 18 °F of cold');
});

test('what is not known is named with the flight that would teach it', () => {
  const unknown = stillUnknown(fitted(one.fly(['hover'], 0, 1)), sheet);
  expect(unknown.map(({ way }) => way)).toContain('Fly one fast test, there and back');
  expect(unknown.map(({ name }) => name)).toContain('what is kept below 0 %');
});

test('packs that stand out come one by one, the weakest first; else one line says that none does', () => {
  const fit = fitted(one.fly(['hover'], 0, 1), one.fly(['hover'], 1, 2), one.fly(['hover'], 2, 3));
  const against = (...values: number[]) => ({
    ...fit,
    parameters: [],
    batteries: fit.batteries.slice(0, values.length).map((pack, i) => ({
      ...pack,
      learned: 0.4,
      againstOthers: { value: values[i] as number, spread: 0.03, priorValue: 0, priorSpread: 0.04 },
    })),
  });
  const names = (given: Fit) =>
    taughtLines(given, 'Jay', sheet, labelOf, say).map(({ name, now }) => [name, now]);
  expect(names(against(0.05, -0.09, 0.01))).toEqual([
    ['pack-2 gives less than the other packs', '−9 % ±3'],
    ['pack-1 gives more than the other packs', '+5 % ±3'],
  ]);
  expect(names(against(0.01, -0.01))).toEqual([
    ['Both packs that were flown give about the same', 'to ±3 %'],
  ]);
});

test('what is new since is one sentence', () => {
  const none = { added: 0, changed: 0, gone: 0, otherBasis: false };
  expect(changesInWords({ ...none, added: 2 })).toBe('Two flights are new since');
  expect(changesInWords({ added: 1, changed: 1, gone: 2, otherBasis: false })).toBe(
    'One flight is new, one flight was changed and two flights no longer count since',
  );
});

test('who films moving and has timed hovers only is told to fly one moving test', () => {
  const flight = (hover: number) => ({
    ...jayOnTheFell.flight,
    mix: [
      { style: 'hover' as const, share: hover },
      { style: 'normal' as const, share: 1 - hover },
    ],
  });
  const timed = (pattern: string, excludedReason: string | null = null) =>
    ({
      aircraftId: 'jay',
      excludedReason,
      test: { pattern },
      outcome: { questions: [] },
    }) as unknown as ListedTest;
  const asked = (hover: number, ...tests: ListedTest[]) =>
    filmsUnlikeTests({ id: 'jay', flight: flight(hover) }, tests);
  expect(asked(0.4, timed('low-hover'))).toBe(true);
  expect(asked(0.9, timed('low-hover'))).toBe(false);
  expect(asked(0.4, timed('low-hover'), timed('there-and-back'))).toBe(false);
  expect(asked(0.4, timed('low-hover'), timed('there-and-back', 'wrong'))).toBe(true);
  expect(asked(0.4)).toBe(false);
});
