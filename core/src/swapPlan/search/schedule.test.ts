import { answered } from '../../../fixtures/answered';
import {
  few,
  flownAs,
  pack,
  plan,
  remedies,
  request,
  secondsOf,
  shot,
  why,
} from '../../../fixtures/fellShoot';
import { randomRequest } from '../../../fixtures/planRequests';
import { planSwaps } from '../report/planSwaps';
import type { Take } from '../request/problem';
import { problemOf } from '../request/problem';
import type { PlanRequest } from '../request/request';
import type { Shot } from '../request/shot';
import { Planner } from './planner';
import { type Blocked, chargingRules, isScheduled, type Schedule, Scheduler } from './schedule';

describe('when', () => {
  test('a shot waits on the ground for its light or its time, and what has none left says so', () => {
    const made = plan([shot('one', 3, { earliestAt: '2026-11-26T09:00:00Z' })]);
    const startS = secondsOf(made.flights[0]?.shots[0]?.startAt);
    expect([startS >= 3600, startS < 3660]).toEqual([true, true]);
    expect(made.flights[0]?.wait).toEqual({
      fromAt: request.startAt.replace('+00:00', '.000+00:00'),
      reason: 'window',
      shotId: 'one',
    });
    const coordinates = { latitudeDeg: 54.52, longitudeDeg: -2.81 };
    // The sun is low from 08:01 to 09:06 (see air/light.test).
    const low = plan([shot('long', 14), shot('low', 3, { light: 'low-sun' })], { coordinates });
    expect(secondsOf(low.flights.at(-1)?.shots.at(-1)?.endAt)).toBeLessThan(66.5 * 60);
    const late = plan(
      [shot('low', 3, { light: 'low-sun' }), shot('lower', 10, { light: 'low-sun', need: 'nice' })],
      {
        coordinates,
        startAt: '2026-11-26T08:54:00Z',
        endAt: '2026-11-26T12:00:00Z',
      },
    );
    // In the afternoon the sun would be low again.
    expect(why(late)).toEqual(['The crew’s hours are over before it can be flown.']);
  });

  test('crew hours end the shoot, and more time is the remedy that is told', () => {
    const made = plan([shot('one', 12), shot('two', 12)], { endAt: '2026-11-26T08:20:00Z' });
    expect(flownAs(made)).toHaveLength(1);
    expect(why(made)).toEqual(['The crew’s hours are over before it can be flown.']);
    expect(remedies(made)[0]).toMatch(/^(Begin|Go on for) half an hour/);
  });

  test('moving to another launch place takes packing up and the walk', () => {
    const launchPlaces = [
      { id: 'yard', name: 'Yard', eastM: 0, northM: 0 },
      { id: 'gate', name: 'Gate', eastM: 300, northM: 400 },
    ];
    const made = plan([shot('one', 3), shot('two', 3, { launchPlaceId: 'gate' })], { launchPlaces });
    const gapS = secondsOf(made.flights[1]?.takeoffAt) - secondsOf(made.flights[0]?.touchdownAt);
    const neededS = 270 + 180 + 500 / 1.2;
    expect([gapS >= neededS, gapS < neededS + 60]).toEqual([true, true]);
  });

  test('wind that falls later is waited for where the packs do not last before', () => {
    const row = (hour: number, speedMps: number) => ({
      at: `2026-11-26T${String(hour).padStart(2, '0')}:00:00Z`,
      ...(request.conditions as NonNullable<PlanRequest['conditions']>),
      wind: { speedMps, gustMps: null, fromDeg: 60, readingHeightM: 10 },
    });
    const far = shot('far', 8, { distanceM: 300, heightM: 60 });
    const hours = [row(8, 8), row(9, 8), row(10, 1), row(11, 1)];
    const made = plan([far], { conditions: null, hours });
    expect(secondsOf(made.flights[0]?.takeoffAt)).toBeGreaterThan(3600);
    expect(plan([far], { conditions: null, hours: [row(8, 1), row(9, 1)] }).flights[0]?.takeoffAt).toMatch(
      /T08:00:00/,
    );
  });
});

describe('charging meanwhile', () => {
  const chargers = [{ id: 'hub', name: 'Hub', packsAtOnce: 1, emptyToFullS: 3240 }];
  const batteries = request.batteries.slice(0, 1);

  test('a flown pack rests, charges and flies again: no sooner than it has enough', () => {
    const made = plan([shot('one', 12), shot('two', 12)], { batteries, chargers });
    expect(flownAs(made)).toEqual(['a: one', 'a: two']);
    const kinds = made.lanes[0]?.spans.map(({ kind }) => kind);
    expect(kinds).toEqual(['flying', 'cooling', 'waiting', 'charging', 'ready', 'flying']);
    const charging = made.lanes[0]?.spans.find(({ kind }) => kind === 'charging');
    expect(secondsOf(charging?.fromAt)).toBe(
      60 * Math.ceil((secondsOf(made.flights[0]?.touchdownAt) + 900) / 60) + 60,
    );
    expect(charging?.chargeTo).toBeLessThan(1);
    expect(plan([shot('one', 12), shot('two', 12)], { batteries }).flights).toHaveLength(1);
  });

  test('what no battery lasts for is told as that, not as charged too late', () => {
    const made = plan([shot('long', 40)], { batteries, chargers });
    expect(made.unplaced.map(({ reason }) => reason.code)).toEqual(['no-pack-lasts']);
  });

  test('a charger gives nothing once its power is gone', () => {
    const [hub] = chargers;
    const untilAt = '2026-11-26T08:40:00Z';
    const made = plan([shot('one', 12), shot('two', 14)], {
      batteries,
      chargers: [{ ...(hub as (typeof chargers)[number]), untilAt }],
    });
    expect(flownAs(made)).toEqual(['a: one']);
    expect(why(made)[0]).toContain('none is charged for it again in time');
  });

  test('what was flown already stays, and the rest is planned after it', () => {
    const shots = [shot('one', 12), shot('two', 12)];
    const before = plan(shots);
    const flown = before.flights.slice(0, 1);
    const rest = answered(planSwaps({ ...request, shots, flown }, few));
    expect(rest.flights[0]).toEqual(flown[0]);
    expect(flownAs(rest)).toEqual(['a: one', 'c: two']);
    expect(rest.flights[1]?.number).toBe(2);
  });
});

test('with one late shot the others are flown at once, not just before it: early is better where the end is fixed (1 of 4 shots)', () => {
  const batteries = ['a', 'b', 'c'].map((id) => ({ ...pack, id, label: id }));
  const shots = [
    shot('one', 8),
    shot('two', 8),
    shot('three', 8),
    shot('late', 4, { earliestAt: '2026-11-26T10:00:00Z' }),
  ];
  const made = plan(shots, { batteries, order: 'free' });
  const early = made.flights.flatMap((flight) => flight.shots).filter(({ shotId }) => shotId !== 'late');
  const endsAt = early.map(({ endAt }) => secondsOf(endAt) / 60);
  expect(endsAt).toHaveLength(3);
  expect(endsAt.filter((min) => min < 35).length).toBeGreaterThanOrEqual(2);
});

/** Flights timed by themselves. */
function scheduled(asked: PlanRequest, draft: readonly (readonly [number, ...number[]])[], learned = 0) {
  const { verdicts, problem } = new Planner(problemOf(asked, few));
  const flights = draft.map(([index, ...takes]) => ({
    pack: index,
    takes: takes.map((take) => problem.takes[take] as Take),
  }));
  const scheduler = new Scheduler(problem, verdicts);
  const first = scheduler.schedule(flights, 'until-taken');
  for (let i = 0; i < learned && isScheduled(first); i++)
    for (const flight of first.flights) verdicts.learnNotSure(flight);
  return { scheduler, flights, schedule: scheduler.schedule(flights, 'until-taken') };
}
const hub = { id: 'hub', name: 'Hub', packsAtOnce: 1, emptyToFullS: 3240 };

test('a charge is a tenth of the gauge at least: less is not plugged in for, also where it would be needed', () => {
  const waits = [shot('one', 5, { earliestAt: '2026-11-26T09:00:00Z' })];
  const pluggedAt = (startCharge: number, shots: readonly Shot[]) => {
    const batteries = [{ ...pack, id: 'a', label: 'a', startCharge }];
    const { schedule } = scheduled({ ...request, batteries, chargers: [hub], shots }, [[0, 0]]);
    return isScheduled(schedule) ? schedule.flights[0]?.charging.length : schedule.reason;
  };
  expect([0.99, 0.93, 0.85].map((charge) => pluggedAt(charge, waits))).toEqual([0, 0, 1]);
  // What only a full pack lasts for.
  const longest = plan([shot('one', 60)], { batteries: [{ ...pack, id: 'a', label: 'a', startCharge: 1 }] });
  const possibleMin = Number(longest.unplaced[0]?.reason.values.possibleS) / 60;
  const long = [shot('one', possibleMin - 0.3)];
  expect([0.95, 0.85].map((charge) => pluggedAt(charge, long))).toEqual(['charge', 1]);
});

test('a flight that was not sure is timed anew or not at all, though flights that begin alike were timed before', () => {
  const asked = { ...request, shots: [shot('one', 5), shot('two', 5)] };
  const { schedule } = scheduled(asked, [
    [0, 0],
    [2, 1],
  ]);
  expect(isScheduled(schedule)).toBe(true);
  const again = scheduled(
    asked,
    [
      [0, 0],
      [2, 1],
    ],
    1,
  );
  expect(again.schedule).toEqual({ reason: 'pack', at: 0 });
});

function flightsOf(found: Schedule | Blocked) {
  return isScheduled(found) ? found.flights.map((one) => ({ ...one, spareS: one.spareS() })) : found;
}

test('a draft has the times it has, whatever was timed before it (seeds 1 to 6)', () => {
  for (let seed = 1; seed <= 6; seed++) {
    const asked = randomRequest(seed, 6);
    const beliefs = { jay: few.jay, nutcracker: few.jay };
    const planner = new Planner(problemOf(asked, beliefs));
    const { draft } = planner.best();
    const turned = draft.toReversed();
    for (const rule of chargingRules) {
      const shared = new Scheduler(planner.problem, planner.verdicts);
      for (const one of [turned, draft.slice(0, 1), draft.slice(1), turned]) shared.schedule(one, rule);
      const alone = new Scheduler(planner.problem, planner.verdicts);
      expect(flightsOf(shared.schedule(draft, rule))).toEqual(flightsOf(alone.schedule(draft, rule)));
    }
  }
});

test('a flight says what it waits for on the ground: its time, its charge, a kinder weather, or one that is known', () => {
  const waitOf = (asked: Partial<PlanRequest>) => {
    const { schedule } = scheduled({ ...request, ...asked } as PlanRequest, [[0, 0]]);
    const wait = isScheduled(schedule) ? schedule.flights[0]?.wait : null;
    return wait && [wait.fromS, wait.reason, wait.take?.shot.id ?? null];
  };
  const five = [shot('one', 5)];
  expect(waitOf({ shots: five })).toBeNull();
  expect(waitOf({ shots: [shot('late', 5, { earliestAt: '2026-11-26T09:00:00Z' })] })).toEqual([
    0,
    'window',
    'late',
  ]);
  const low = [{ ...pack, id: 'a', label: 'a', startCharge: 0.2 }];
  expect(waitOf({ shots: five, batteries: low, chargers: [hub] })).toEqual([0, 'charge', null]);
  const row = (hour: string, speedMps: number) => ({
    ...(request.conditions as NonNullable<PlanRequest['conditions']>),
    at: `2026-11-26T${hour}:00:00Z`,
    wind: { speedMps, gustMps: null, fromDeg: 60, readingHeightM: 10 },
  });
  const far = [shot('far', 8, { distanceM: 300, heightM: 60 })];
  const hours = [row('08', 8), row('09', 8), row('10', 1), row('11', 1)];
  expect(waitOf({ shots: far, conditions: null, hours })).toEqual([0, 'weather', null]);
  expect(waitOf({ shots: five, conditions: null, hours: [row('13', 1), row('14', 1)] })).toEqual([
    0,
    'weather-unknown',
    null,
  ]);
});

describe('weather by the hour', () => {
  const rows = (of: (hour: number) => { airC?: number; windMps?: number; fromDeg?: number }) =>
    Array.from({ length: 8 }, (_, hour) => {
      const { airC = 5, windMps = 2, fromDeg = 240 } = of(hour);
      const { conditions } = request;
      return {
        ...(conditions as NonNullable<typeof conditions>),
        at: `2026-11-26T${String(5 + hour).padStart(2, '0')}:00:00Z`,
        airTemperatureC: airC,
        wind: { speedMps: windMps, gustMps: null, fromDeg, readingHeightM: 2 },
      };
    });

  test('a battery that is not told how warm it is has the air of the start, not of the first row', () => {
    const hours = rows((hour) => ({ airC: hour < 3 ? -10 : 8 }));
    const batteries = request.batteries.map((one) => ({ ...one, startTemperatureC: null }));
    for (const given of [hours, [...hours].reverse()]) {
      const made = plan([shot('one', 3)], { conditions: null, hours: given, batteries });
      expect(made.flights[0]?.startTemperatureC).toBe(8);
    }
  });

  const far = (more: Partial<Shot> = {}) => shot('far', 3, { distanceM: 1500, bearingDeg: 60, ...more });

  test('wind that keeps it on the ground is waited out, to the hour in which it drops', () => {
    const hours = rows((hour) => ({ windMps: hour < 6 ? 7 : 1 }));
    const made = plan([far()], { conditions: null, hours });
    expect(made.flights[0]?.takeoffAt.slice(11, 16)).toBe('11:00');
    expect(plan([far()], { conditions: null, hours: rows(() => ({ windMps: 7 })) }).flights).toEqual([]);
  });

  test('how long it could last where no hour is enough is told of the calmest of its hours, not of the first', () => {
    const hours = rows((hour) => ({ windMps: [4, 4, 4, 4, 4, 1, 1, 1][hour] as number }));
    const long = (more: Partial<Shot> = {}) =>
      Number(
        plan([shot('long', 40, more)], { conditions: null, hours }).unplaced[0]?.reason.values.possibleS ?? 0,
      );
    const calm = plan([shot('long', 40)], { conditions: null, hours: rows(() => ({ windMps: 1 })) });
    expect(long()).toBeCloseTo(Number(calm.unplaced[0]?.reason.values.possibleS), 6);
    expect(long({ latestAt: '2026-11-26T08:45:00Z' })).toBeLessThan(long() - 60);
  });

  test('a shot that waits for its hour is judged in the wind of that hour, which only turns and does not drop', () => {
    const hours = rows((hour) => ({ windMps: 3, fromDeg: hour < 4 ? 240 : 330 }));
    const late = far({ earliestAt: '2026-11-26T10:00:00Z' });
    expect(plan([late], { conditions: null, hours }).flights).toHaveLength(1);
  });

  test('cold in which no battery lasts is waited out, to the hour in which it is warmer', () => {
    const asked = (of: (hour: number) => number) => ({
      conditions: null,
      hours: rows((hour) => ({ airC: of(hour) })),
    });
    const lastsAt = (airC: number) =>
      Number(
        plan(
          [shot('long', 60)],
          asked(() => airC),
        ).unplaced[0]?.reason.values.possibleS,
      ) / 60;
    const long = shot('long', lastsAt(10) - 0.3);
    expect(lastsAt(-20)).toBeLessThan(lastsAt(10) - 0.5);
    const made = plan(
      [long],
      asked((hour) => (hour < 6 ? -20 : 10)),
    );
    expect(made.flights[0]?.takeoffAt.slice(11, 16)).toBe('11:00');
  });

  test('what could fly before the wind is too strong, while another does, says so; begun earlier it finds a place', () => {
    const hours = rows((hour) => ({ windMps: hour < 5 ? 1 : 16 }));
    const batteries = ['a', 'b'].map((id) => ({ ...pack, id, label: id }));
    const startAt = '2026-11-26T09:00:00Z';
    const made = plan([shot('one', 12), shot('two', 12)], { conditions: null, hours, batteries, startAt });
    expect(why(made)).toEqual(['Others are in the air while the weather is fair enough for it.']);
    expect(remedies(made)).toEqual(['Begin half an hour earlier']);
  });
});
