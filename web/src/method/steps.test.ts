import {
  estimate,
  explain,
  gaugeGuesses,
  healthGuesses,
  imperialUnits,
  metricUnits,
  powerCurve,
  priors,
  speedGuesses,
  windGuesses,
  writeInSi,
} from '@acorn-tally/core';
import { answered } from '../../../core/fixtures/answered';
import { boxMiddle } from '../../../core/fixtures/beliefs';
import { fell, jay, jay1, jayRequest } from '../../../core/fixtures/records';
import { writerOf } from '../state/units';
import { flightAsPlanned } from '../testing/jay';
import { guesses } from './guesses';
import { minuteLines, powerLines } from './powerChart';
import { stepsOf } from './steps';

test('every guess of the model is named, with a value, a spread and what would teach it', () => {
  const rows = guesses(writerOf(metricUnits).say);
  // A health, a flight’s own speed, its gauge and both parts of a wind’s error are told as the guesses behind them.
  const behind = [healthGuesses, speedGuesses, gaugeGuesses, windGuesses].flatMap(Object.keys).length;
  expect(rows).toHaveLength(Object.keys(priors).length - 5 + behind);
  expect(new Set(rows.map(({ name }) => name)).size).toBe(rows.length);
  for (const row of rows) {
    expect(Object.values(row).join(' ')).not.toMatch(/NaN|undefined/);
    expect(row.spread).toMatch(/^±/);
    expect(row.better.length).toBeGreaterThan(5);
  }
  expect(rows.find(({ name }) => name.startsWith('wear'))?.value).toBe('8 %');
});

test('the steps tell the numbers of the estimate itself', () => {
  const told = {
    aircraft: jay,
    battery: jay1,
    conditions: fell,
    estimate: answered(estimate(jayRequest, boxMiddle)),
    explained: answered(explain(jayRequest, boxMiddle)),
    planned: flightAsPlanned.planned,
  };
  const steps = stepsOf(told);
  const says = (name: string) =>
    steps.filter((step) => step.name === name).map(({ says: said }) => writeInSi(said))[0];
  expect(says('Air')).toContain(`${told.estimate.air.densityKgm3.toFixed(2)} kg`);
  expect(says('Wind')).toContain('2 m/s read at 10 m over farmland, low crops');
  expect(says('Your flying')).toContain(`hover 100 % takes ${told.estimate.power.meanW.toFixed(1)} W`);
  expect(says('The pack')).toContain('18.1 Wh');
  expect(says('Held back')).toContain('touch down at 25 %');
  expect(says('Kept for doubt')).toMatch(
    /^9 in 10 flights last at least \d+:\d\d min: .* turn back by \d\d % on the gauge/,
  );
  for (const { says: said, rule, source } of steps)
    expect([writeInSi(said), rule, source].join()).not.toMatch(/NaN|undefined|[{}]/);
});

test('the charts mark the least of the power line and the most of the minutes', () => {
  const curve = answered(powerCurve(jayRequest, boxMiddle));
  for (const air of ['box', 'today'] as const) {
    const { line, longest } = powerLines(curve)[air];
    expect(longest.y).toBe(Math.min(...line.map(({ y }) => y)));
    expect(minuteLines(curve)[air].longest.y).toBe(
      Math.max(...minuteLines(curve)[air].line.map(({ y }) => y)),
    );
  }
});

test('in imperial units no guess and no step is left in metric ones (25 Nov 2026: “112 ftΩ” for mΩ)', () => {
  const { say } = writerOf(imperialUnits);
  const told = {
    aircraft: jay,
    battery: jay1,
    conditions: fell,
    estimate: answered(estimate(jayRequest, boxMiddle)),
    explained: answered(explain(jayRequest, boxMiddle)),
    planned: flightAsPlanned.planned,
  };
  const all = [...stepsOf(told).map(({ says }) => say(says)), ...guesses(say).map(({ because }) => because)];
  for (const text of all)
    expect(text).not.toMatch(/\d ?(m|m\/s|km\/h|°C|g|kg|kg\/m³|N\/m²|mm|cm²|hPa|ftΩ)(?![\wΩ/])/);
  expect(all.join()).toMatch(/\b\d\d mΩ/);
});
