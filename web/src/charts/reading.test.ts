import { bandsOf, type FlightEvent, imperialUnits, metricUnits } from '@acorn-tally/core';
import { boxDrawn } from '../../../core/fixtures/beliefs';
import { jayRequest } from '../../../core/fixtures/records';
import { writerOf } from '../state/units';
import { flightAsPlanned } from '../testing/jay';
import { eventOf } from './flightLines';
import { lastTimeS, readingAt, readingInWords } from './reading';

const flight = flightAsPlanned;
const band = bandsOf([jayRequest], boxDrawn(64, 2))[0]?.curve ?? [];
const event = (kind: FlightEvent['kind']) => {
  const found = eventOf(flight.events, kind);
  if (!found) throw new Error(`There is no ${kind}.`);
  return found;
};

test('at each event that lies on the drain the reading is the event’s', () => {
  for (const kind of ['planned-minute', 'turn-back', 'forced-landing', 'empty'] as const) {
    const reading = readingAt(flight, band, event(kind).timeS);
    expect(reading.charge).toBeCloseTo(event(kind).charge, 2);
    expect(reading.cellVoltageV).toBeCloseTo(event(kind).cellVoltageV, 1);
  }
  expect(readingAt(flight, band, 0).charge).toBeCloseTo(flight.estimate.takeoffCharge, 9);
});

test('on the way home it runs straight from turn back to touch-down, and what is not known is not told', () => {
  const [turn, down] = [event('turn-back'), event('touch-down')];
  const half = readingAt(flight, band, (turn.timeS + down.timeS) / 2);
  expect(half).toMatchObject({ phase: 'way home', powerW: null, packTemperatureC: null, chargeBand: null });
  expect(half.charge).toBeCloseTo((turn.charge + down.charge) / 2, 9);
});

test('the band begins at the take-off charge, widens, and ends where the earliest are past its last mark', () => {
  const width = (timeS: number) => {
    const { chargeBand } = readingAt(flight, band, timeS);
    return chargeBand ? chargeBand[1] - chargeBand[0] : null;
  };
  expect(width(0)).toBeCloseTo(0, 9);
  expect(width(300) ?? 0).toBeGreaterThan(0);
  expect(width(800) ?? 0).toBeGreaterThan(width(300) ?? 1);
  expect(width(lastTimeS(flight) + 600)).toBeNull();
  expect(readingAt(flight, [], 300).chargeBand).toBeNull();
});

test('in words, in the units that are chosen', () => {
  const reading = { ...readingAt(flight, [], 60), charge: 0.58, cellVoltageV: 3.784, packTemperatureC: 20 };
  expect(readingInWords({ ...reading, chargeBand: [0.554, 0.612] }, writerOf(metricUnits).write)).toBe(
    '1:00, 58 % (55–61 %), 3.78 V a cell, pack 20 °C',
  );
  expect(readingInWords(reading, writerOf(imperialUnits).write)).toContain('pack 68 °F');
});
