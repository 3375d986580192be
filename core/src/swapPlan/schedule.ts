import type { Conditions } from '../air/conditions';
import { gaugeOf } from '../battery/gauge';
import { ChargingBook, type ChargingSpan } from './chargingBook';
import type { PackState } from './fleet';
import { beforeTakeoff, flyTake } from './fly';
import { type Pack, type Problem, quarterS, type Take, waitedC, weatherAt } from './problem';
import type { Times, Verdicts } from './verdicts';
import { startWithin } from './windows';
import { workOf } from './work';

/** A flight as it is sought: with which pack, which takes, in this order. */
export interface DraftFlight {
  readonly pack: number;
  readonly takes: readonly Take[];
}
/** Flights one after the other. */
export type Draft = readonly DraftFlight[];

/** The same flights with the takes of each shot in turn: they are alike, and the first of them is flown first. */
export function inTurn({ takes, flownTakes }: Problem, draft: Draft): Draft {
  const next = new Map<number, Take[]>();
  for (const take of takes)
    if (!flownTakes.has(take.index)) next.set(take.shotIndex, [...(next.get(take.shotIndex) ?? []), take]);
  return draft.map((flight) => ({
    pack: flight.pack,
    takes: flight.takes.map(({ shotIndex }) => next.get(shotIndex)?.shift() as Take),
  }));
}

/** How long a pack stays on its charger when it is to fly again: until it is taken, has enough, or is full. */
export const chargingRules = ['until-taken', 'until-enough', 'until-full'] as const;
export type ChargingRule = (typeof chargingRules)[number];

export interface TimedFlight {
  readonly pack: Pack;
  readonly takes: readonly Take[];
  readonly weather: number;
  readonly takeoffS: number;
  readonly touchdownS: number;
  readonly times: Times;
  readonly state: PackState;
  /** What its pack did on chargers before, since it last flew. */
  readonly charging: readonly ChargingSpan[];
}

export interface Schedule {
  readonly flights: readonly TimedFlight[];
  readonly endS: number;
}

/** Why a draft has no times. */
export type Hindrance = 'pack' | 'window' | 'after' | 'until' | 'weather' | 'pinned' | 'charge';

interface PackNow {
  readonly sinceS: number;
  readonly charge: number;
  readonly temperatureC: number;
  readonly asKept: boolean;
  /** What it then has is a guess, so it is charged before it flies again. */
  readonly isFlown: boolean;
  /** When it may be charged. */
  readonly restedS: number;
}

/** Less is not worth plugging a pack in for that would do as it is. */
const worthCharging = 0.1;

/** Where the crew stands when a flight is to be begun. */
interface Now {
  readonly readyS: number;
  readonly placeIndex: number | null;
}

/**
 * Gives a draft its times, flight by flight and each as early as may be: the crew there, its pack charged enough, all windows
 * met, in a weather in which the pack lasts. Says what hinders where there are none.
 */
export function scheduled(
  verdicts: Verdicts,
  draft: Draft,
  rule: ChargingRule,
): Schedule | { readonly hindrance: Hindrance; readonly at: number } {
  const { problem } = verdicts;
  problem.work.add(workOf.timedFlight * (draft.length + 1));
  const book = new ChargingBook(problem);
  const packs = new Map<number, PackNow>();
  const done = new Set(problem.flownTakes);
  let now = begun(problem, packs);
  const flights: TimedFlight[] = [];
  for (const [at, flight] of draft.entries()) {
    if (!isAsPinned(problem, flight, problem.flown.length + at + 1)) return { hindrance: 'pinned', at };
    for (const take of flight.takes) {
      if (take.after.some((index) => !done.has(index))) return { hindrance: 'after', at };
      done.add(take.index);
    }
    const timed = timedFlight(verdicts, book, packs, now, flight, rule);
    if (typeof timed === 'string') return { hindrance: timed, at };
    flights.push(timed);
    const isFlownAgain = draft.some(({ pack }, later) => later > at && pack === flight.pack);
    if (isFlownAgain) packs.set(flight.pack, landed(verdicts, timed));
    now = { readyS: timed.touchdownS + problem.swapS, placeIndex: (flight.takes[0] as Take).placeIndex };
  }
  return { flights, endS: flights.at(-1)?.touchdownS ?? lastFlownS(problem) };
}

export function isScheduled(found: ReturnType<typeof scheduled>): found is Schedule {
  return 'flights' in found;
}

function timedFlight(
  verdicts: Verdicts,
  book: ChargingBook,
  packs: ReadonlyMap<number, PackNow>,
  now: Now,
  { pack: packIndex, takes }: DraftFlight,
  rule: ChargingRule,
): TimedFlight | Hindrance {
  const { problem } = verdicts;
  const pack = problem.packs[packIndex] as Pack;
  const packNow = packs.get(packIndex) ?? asAtStart(pack);
  const offered = packNow.charge < 1 ? book.offer(packIndex, packNow.charge, packNow.restedS) : [];
  if (packNow.isFlown && offered.length === 0) return 'charge';
  let takeoffS = now.readyS + movingS(problem, now.placeIndex, (takes[0] as Take).placeIndex);
  // The first that stands in the way is the one that is told.
  let hindrance: Hindrance | null = null;
  // Each round goes on to a later moment: a window, a charge, or a weather that is kinder.
  for (let round = 0; round < 2 * problem.weathers.length + 60; round++) {
    const weather = weatherAt(problem, takeoffS);
    const later = verdicts.hasWeather(weather)
      ? whenS(verdicts, book, pack, packNow, offered, takes, rule, weather, takeoffS)
      : 'weather';
    if (typeof later === 'string') {
      hindrance ??= later;
      const next = kinderWeather(problem, weather);
      if (next === null || later === 'window') return hindrance;
      takeoffS = next * quarterS;
      continue;
    }
    if (later.takeoffS > takeoffS + 1e-6) {
      takeoffS = later.takeoffS;
      continue;
    }
    const times = verdicts.times(pack.kind, weather, takes);
    const touchdownS = takeoffS + times.touchdownS;
    if (touchdownS > problem.untilS + 1e-6) return hindrance ?? 'until';
    book.enter(later.charging);
    return {
      pack,
      takes,
      weather,
      takeoffS,
      touchdownS,
      times,
      state: later.state,
      charging: later.charging,
    };
  }
  return hindrance ?? 'until';
}

/** Less of a difference is not waited for. */
const kinderMps = 0.2;
const kinderC = 1;

/** The next hour's weather that is calmer or warmer than one in which a flight was too much; null where none is. */
function kinderWeather({ weathers, weatherKnots }: Problem, weather: number): number | null {
  const hard = weathers[weather];
  const isKinder = (one: Conditions) =>
    !hard ||
    one.wind.speedMps <= hard.wind.speedMps - kinderMps ||
    (one.wind.gustMps ?? 0) <= (hard.wind.gustMps ?? 0) - kinderMps ||
    one.airTemperatureC >= hard.airTemperatureC + kinderC;
  return weatherKnots.find((at) => at > weather && weathers[at] && isKinder(weathers[at])) ?? null;
}

/** When a flight may take off in a weather, not before a time; the time itself where nothing is in the way. */
function whenS(
  verdicts: Verdicts,
  book: ChargingBook,
  pack: Pack,
  packNow: PackNow,
  offered: readonly ChargingSpan[],
  takes: readonly Take[],
  rule: ChargingRule,
  weather: number,
  fromS: number,
): { takeoffS: number; state: PackState; charging: readonly ChargingSpan[] } | Hindrance {
  const times = verdicts.times(pack.kind, weather, takes);
  let takeoffS = fromS;
  for (let changed = true; changed; ) {
    changed = false;
    for (const [i, { windows, shot }] of takes.entries()) {
      const { beginS } = times.takes[i] as Times['takes'][number];
      const startS = startWithin(windows, takeoffS + beginS, shot.durationS);
      if (startS === null) return 'window';
      if (startS > takeoffS + beginS + 1e-6) {
        takeoffS = startS - beginS;
        changed = true;
      }
    }
  }
  const temperatureC = waitedC(pack, packNow.temperatureC, takeoffS - packNow.sinceS);
  const kept = { charge: packNow.charge, temperatureC, asKept: packNow.asKept };
  // What is waited for anyway is judged in the weather it then meets.
  if (weatherAt(verdicts.problem, takeoffS) !== weather) return { takeoffS, state: kept, charging: [] };
  const isEnough = verdicts.fits(pack, kept, weather, takes);
  if (offered.length === 0) return isEnough ? { takeoffS, state: kept, charging: [] } : 'pack';
  const outS = outOfChargerS(verdicts, book, {
    pack,
    offered,
    takes,
    weather,
    rule,
    temperatureC,
    isEnough,
    isFlown: packNow.isFlown,
  });
  if (typeof outS === 'string') return outS;
  if (outS !== null && outS > takeoffS + 1e-6) return { takeoffS: outS, state: kept, charging: [] };
  const stays = outS !== null || rule !== 'until-enough';
  const stay = stays ? book.outBy(offered, rule === 'until-enough' ? (outS ?? takeoffS) : takeoffS) : [];
  const gained = (stay.at(-1)?.chargeTo ?? packNow.charge) - packNow.charge;
  const isNeeded = packNow.isFlown || !isEnough;
  const charging = isNeeded || gained >= worthCharging ? stay : [];
  const last = charging.at(-1);
  const state = last ? { charge: last.chargeTo, temperatureC, asKept: false } : kept;
  return verdicts.fits(pack, state, weather, takes) ? { takeoffS, state, charging } : 'charge';
}

interface OnCharger {
  readonly pack: Pack;
  readonly offered: readonly ChargingSpan[];
  readonly takes: readonly Take[];
  readonly weather: number;
  readonly rule: ChargingRule;
  readonly temperatureC: number;
  readonly isEnough: boolean;
  readonly isFlown: boolean;
}

/** A charge found by halving is a hair above the least; so much more is charged that it stays above it. */
const hairCharge = 1e-4;

/** When a pack is out of its charger with what the rule asks; null where it need not be in it, or why it never is. */
function outOfChargerS(
  verdicts: Verdicts,
  book: ChargingBook,
  { pack, offered, takes, weather, rule, temperatureC, isEnough, isFlown }: OnCharger,
): number | null | Hindrance {
  const most = (offered.at(-1) as ChargingSpan).chargeTo;
  if (rule === 'until-full') return book.outWithS(offered, most);
  if (isEnough) return isFlown ? book.outWithS(offered, (offered[0] as ChargingSpan).chargeFrom) : null;
  // No battery lasts so long however full it is: that is another matter than one that is not charged in time.
  const least = verdicts.leastCharge(pack, temperatureC, weather, takes);
  if (least === null) return 'pack';
  return book.outWithS(offered, Math.min(1, least + hairCharge)) ?? 'charge';
}

function asAtStart(pack: Pack): PackNow {
  const { startC, startCharge } = pack;
  return { sinceS: 0, charge: startCharge, temperatureC: startC, asKept: true, isFlown: false, restedS: 0 };
}

/** A pack as it comes down in the likeliest world. */
function landed(verdicts: Verdicts, timed: TimedFlight): PackNow {
  const down = touchdownOf(verdicts, timed);
  return {
    sinceS: timed.touchdownS,
    ...down,
    asKept: false,
    isFlown: true,
    restedS: timed.touchdownS + verdicts.problem.coolingS,
  };
}

export function touchdownOf(
  { fleet }: Verdicts,
  { pack, takes, weather, state }: Pick<TimedFlight, 'pack' | 'takes' | 'weather' | 'state'>,
): { readonly charge: number; readonly temperatureC: number } {
  const context = fleet.middleContext(pack, state, weather);
  let flight = context && beforeTakeoff(context);
  let down = null;
  for (const take of takes) {
    const flown = context && flight && flyTake(context, fleet.rules(pack.kind), flight, take);
    if (!flown?.ok) return { charge: 0, temperatureC: state.temperatureC };
    flight = flown.value;
    down = flown.value.touchdown;
  }
  if (!context || !down) return { charge: 0, temperatureC: state.temperatureC };
  return { charge: gaugeOf(down.charge, context.cells.hidden), temperatureC: down.temperatureC };
}

/** The crew and the packs after what is flown already. */
function begun(problem: Problem, packs: Map<number, PackNow>): Now {
  for (const flight of problem.flown) {
    const pack = problem.packs.find(({ battery }) => battery.id === flight.batteryId);
    if (!pack) continue;
    const downS = (Date.parse(flight.touchdownAt) - problem.startMs) / 1000;
    packs.set(pack.index, {
      sinceS: downS,
      charge: flight.touchdownCharge.p50,
      temperatureC: flight.startTemperatureC,
      asKept: false,
      isFlown: true,
      restedS: downS + problem.coolingS,
    });
  }
  const last = problem.flown.at(-1);
  if (!last) return { readyS: 0, placeIndex: null };
  const placeIndex = last.launchPlaceId ? problem.places.findIndex(({ id }) => id === last.launchPlaceId) : 0;
  return { readyS: lastFlownS(problem) + problem.swapS, placeIndex };
}

function lastFlownS({ flown, startMs }: Problem): number {
  return flown.reduce(
    (last, { touchdownAt }) => Math.max(last, (Date.parse(touchdownAt) - startMs) / 1000),
    0,
  );
}

/** Packing up and walking to another launch place, s. */
export function movingS({ places, moving }: Problem, from: number | null, to: number): number {
  if (from === null || from === to) return 0;
  const [a, b] = [places[from], places[to]];
  if (!a || !b) return 0;
  return moving.packUpS + Math.hypot(b.eastM - a.eastM, b.northM - a.northM) / moving.speedMps;
}

function isAsPinned({ packs, request }: Problem, { pack, takes }: DraftFlight, number: number): boolean {
  const { battery, aircraftIndex } = packs[pack] as Pack;
  const { id } = battery;
  const lock = request.locks?.find(({ flightNumber }) => flightNumber === number);
  if (lock && lock.batteryId !== id) return false;
  return takes.every(
    ({ shot: { pin }, aircraftIndex: wanted }) =>
      (wanted === null || wanted === aircraftIndex) &&
      (pin?.batteryId == null || pin.batteryId === id) &&
      (pin?.flightNumber == null || pin.flightNumber === number),
  );
}
