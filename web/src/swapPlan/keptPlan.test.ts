import type { FlightOfPlan, PlanAsRead } from '@acorn-tally/core';
import { differencesInWords } from './keptPlan';

const names = {
  battery: (id: string) => `Jay ${id}`,
  shot: (id: string) => ({ a: 'Yard circle', b: 'Lane chase', c: 'Last look' })[id] ?? id,
  clock: { format: (at: string) => at.slice(11, 16) } as never,
};
const flight = (number: number, battery: string, at: string, shots: string[], more = {}): FlightOfPlan =>
  ({
    number,
    batteryId: battery,
    takeoffAt: `2026-11-26T${at}:00Z`,
    startCharge: 0.99,
    turnBackCharge: 0.352,
    shots: shots.map((shotId) => ({ shotId })),
    ...more,
  }) as unknown as FlightOfPlan;
const plan = (flights: FlightOfPlan[], endAt = '08:00'): PlanAsRead =>
  ({
    flights,
    figures: { takeoffs: flights.length, endAt: `2026-11-26T${endAt}:00Z` },
  }) as unknown as PlanAsRead;
const kept = plan([flight(1, '1', '07:30', ['a']), flight(2, '2', '07:45', ['b'])]);

test('a plan that a pilot would fly alike is no different, whatever its seconds', () => {
  const alike = plan([
    flight(1, '1', '07:30', ['a'], { spareS: 40 }),
    flight(2, '2', '07:45', ['b', 'b'], { turnBackCharge: 0.3524 }),
  ]);
  expect(differencesInWords(kept, alike, names)).toEqual([]);
});

test('where nothing can be flown any more, that is all there is to say', () => {
  expect(differencesInWords(kept, plan([]), names)).toEqual(['Nothing could be flown.']);
});

test('what is lost comes first, then what is gained, then flight by flight, and the end', () => {
  const windy = plan(
    [
      flight(1, '3', '07:35', ['c'], { turnBackCharge: 0.41, startCharge: 0.9 }),
      flight(2, '2', '07:45', ['a']),
      flight(3, '4', '08:10', ['c']),
    ],
    '08:25',
  );
  expect(differencesInWords(kept, windy, names)).toEqual([
    'Lane chase would not be flown.',
    'Last look would be flown as well.',
    'Three take-offs instead of 2.',
    'Flight 1: Jay 3 instead of Jay 1; with 90 % instead of 99 %; at 07:35 instead of 07:30; Last look instead of Yard circle; turning back by 41 % instead of 36 %.',
    'Flight 2: Yard circle instead of Lane chase.',
    'Done by 08:25 instead of 08:00.',
  ]);
});
