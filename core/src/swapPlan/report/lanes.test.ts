import type { Problem } from '../request/problem';
import { lanesOf } from './lanes';

const startMs = Date.parse('2026-11-26T08:00:00Z');
const problem = (flown: object[] = []) =>
  ({
    startMs,
    request: { startAt: '2026-11-26T08:00:00Z' },
    packs: ['a', 'b'].map((id, index) => ({ index, battery: { id }, startCharge: 0.9 })),
    chargingPlaces: [{ chargerId: 'hub' }],
    coolingS: 600,
    flown,
  }) as unknown as Problem;
const flight = (pack: number, takeoffMin: number, touchdownMin: number, charging: object[] = []) =>
  ({ pack: { index: pack }, takeoffS: 60 * takeoffMin, touchdownS: 60 * touchdownMin, charging }) as never;
const told = (lanes: ReturnType<typeof lanesOf>, id: string) =>
  lanes
    .find(({ batteryId }) => batteryId === id)
    ?.spans.map(
      ({ kind, untilAt, chargeTo }) => `${kind} until ${untilAt.slice(11, 16)} with ${chargeTo.toFixed(2)}`,
    );

test('a pack is ready, flies, cools, waits, charges and flies again, without gap; one that does not fly is ready throughout', () => {
  const charging = [{ place: 0, fromS: 1800, untilS: 3600, chargeTo: 0.95 }];
  const flights = [flight(0, 5, 15), flight(0, 70, 80, charging)];
  const lanes = lanesOf(problem(), { flights, endS: 80 * 60 }, [0.3, 0.4]);
  expect(told(lanes, 'a')).toEqual([
    'ready until 08:05 with 0.90',
    'flying until 08:15 with 0.30',
    'cooling until 08:25 with 0.30',
    'waiting until 08:30 with 0.30',
    'charging until 09:00 with 0.95',
    'ready until 09:10 with 0.95',
    'flying until 09:20 with 0.40',
  ]);
  expect(told(lanes, 'b')).toEqual(['ready until 09:20 with 0.90']);
});

test('a flight that was flown stands in its lane as it was; with more than there was here, it was charged nobody says where', () => {
  const flown = [
    { pack: 0, takeoffS: 300, touchdownS: 900, startCharge: 0.9, touchdownCharge: 0.3 },
    { pack: 0, takeoffS: 3600, touchdownS: 4200, startCharge: 1, touchdownCharge: 0.35 },
  ];
  const lanes = lanesOf(problem(flown), { flights: [flight(1, 80, 90)], endS: 90 * 60 }, [0.4]);
  expect(told(lanes, 'a')).toEqual([
    'ready until 08:05 with 0.90',
    'flying until 08:15 with 0.30',
    'cooling until 08:25 with 0.30',
    'charging until 09:00 with 1.00',
    'flying until 09:10 with 0.35',
    'cooling until 09:20 with 0.35',
    'waiting until 09:30 with 0.35',
  ]);
});
