import { gaugeOf } from '../../battery/gauge';
import { getOrCreate } from '../../units/getOrCreate';
import { once } from '../../units/once';
import type { PackState } from '../physics/fleet';
import { beforeTakeoff, flyTake } from '../physics/fly';
import type { Times, Verdicts } from '../physics/verdicts';
import { wholeMinuteFrom } from '../request/minutes';
import { type Pack, type Problem, quarterS, type Take, waitedC, weatherAt } from '../request/problem';
import { workOf } from '../request/work';
import { ChargingBook, type ChargingSpan } from './charging';
import { type FlightDraft, isAsPinned, type PlanDraft } from './draft';
import { kinderWeather, withinWindows } from './takeoff';

/** How long a pack stays on its charger when it is to fly again: until it is taken, has enough, or is full. */
export const chargingRules = ['until-taken', 'until-enough', 'until-full'] as const;
export type ChargingRule = (typeof chargingRules)[number];

/** For its light or time, its charge, a weather in which its pack lasts, or one that is known. */
export const waitReasons = ['window', 'charge', 'weather', 'weather-unknown'] as const;
export type WaitReason = (typeof waitReasons)[number];

/** What a flight waits for on the ground while the crew is ready. */
export interface Wait {
  readonly fromS: number;
  readonly reason: WaitReason;
  /** The take whose window it is. */
  readonly take: Take | null;
}

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
  readonly wait: Wait | null;
  /** What is left over, by sums, s (`Verdicts.spareS`). */
  readonly spareS: () => number;
}

export interface Schedule {
  readonly flights: readonly TimedFlight[];
  readonly endS: number;
}

/** Why a draft has no times. */
export type BlockReason = 'pack' | 'window' | 'after' | 'until' | 'weather' | 'pinned' | 'charge';
export interface Blocked {
  readonly reason: BlockReason;
  /** The flight, from 0. */
  readonly at: number;
}

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

/** Less is not worth plugging a pack in for. */
const minChargeGain = 0.1;
/** Held at most; what comes first in a plan is shared by thousands of drafts. */
const maxHeld = 40_000;

/** How things stand after some flights: whatever was planned before, what follows hangs on this alone. */
class Standing {
  private readonly following = new Map<string, Standing | BlockReason>();

  constructor(
    readonly number: number,
    readonly before: Standing | null,
    readonly flight: TimedFlight | null,
    /** How its pack came down. */
    readonly landed: () => PackNow | null,
    readonly readyS: number,
    readonly placeIndex: number | null,
    readonly book: ChargingBook,
  ) {}

  after(key: string, make: () => Standing | BlockReason): Standing | BlockReason {
    return getOrCreate(this.following, key, make);
  }

  /** How a pack came down from the last of these flights that was its own. */
  landedOf(pack: number): PackNow | null {
    for (let one: Standing | null = this; one; one = one.before)
      if (one.flight?.pack.index === pack) return one.landed();
    return null;
  }

  hasFlown(take: number): boolean {
    for (let one: Standing | null = this; one; one = one.before)
      if (one.flight?.takes.some(({ index }) => index === take)) return true;
    return false;
  }

  get flights(): TimedFlight[] {
    const flights: TimedFlight[] = [];
    for (let one: Standing | null = this; one; one = one.before) if (one.flight) flights.push(one.flight);
    return flights.reverse();
  }
}

/**
 * Gives a draft its times, flight by flight and each as early as may be: the crew there, its pack charged enough, all windows
 * met, in a weather in which the pack lasts, on whole minutes. Says what is in the way where there are none. Drafts that begin alike
 * are timed once as far as they are alike.
 */
export class Scheduler {
  private roots = new Map<ChargingRule, Standing>();
  private version = 0;
  private timedCount = 0;

  constructor(
    readonly problem: Problem,
    readonly verdicts: Verdicts,
  ) {}

  schedule(draft: PlanDraft, rule: ChargingRule): Schedule | Blocked {
    let standing = this.root(rule);
    for (const [at, flight] of draft.entries()) {
      const next = standing.after(keyOf(flight), () => this.timed(standing, flight, rule));
      if (typeof next === 'string') return { reason: next, at };
      standing = next;
    }
    const endS = standing.flight?.touchdownS ?? lastFlownS(this.problem);
    return { flights: standing.flights, endS };
  }

  private root(rule: ChargingRule): Standing {
    if (this.version !== this.verdicts.version || this.timedCount > maxHeld) {
      this.version = this.verdicts.version;
      this.timedCount = 0;
      this.roots = new Map();
    }
    return getOrCreate(this.roots, rule, () => this.begun());
  }

  /** After what is flown already. */
  private begun(): Standing {
    const { problem } = this;
    const last = problem.flown.at(-1);
    const [take] = last?.takes ?? [];
    return new Standing(
      problem.flown.length,
      null,
      null,
      () => null,
      last ? lastFlownS(problem) + problem.swapS : problem.beginS,
      take === undefined ? null : (problem.takes[take] as Take).placeIndex,
      new ChargingBook(problem.chargingPlaces),
    );
  }

  private timed(before: Standing, flight: FlightDraft, rule: ChargingRule): Standing | BlockReason {
    const { problem } = this;
    this.timedCount++;
    problem.work.add(workOf.timedFlight);
    if (!isAsPinned(problem, flight, before.number + 1)) return 'pinned';
    if (!isAfterAll(before, flight, problem.flownTakes)) return 'after';
    const timed = this.timedFlight(before, flight, rule);
    if (typeof timed === 'string') return timed;
    return new Standing(
      before.number + 1,
      before,
      timed,
      once(() => this.asLanded(timed)),
      timed.touchdownS + problem.swapS,
      (flight.takes[0] as Take).placeIndex,
      before.book.with(timed.charging),
    );
  }

  private timedFlight(
    before: Standing,
    { pack: packIndex, takes }: FlightDraft,
    rule: ChargingRule,
  ): TimedFlight | BlockReason {
    const { problem, verdicts } = this;
    const pack = problem.packs[packIndex] as Pack;
    const now = this.packNow(before, pack);
    const offered = now.charge < 1 ? before.book.offer(packIndex, now.charge, now.restedS) : [];
    if (now.isFlown && offered.length === 0) return 'charge';
    const moveS = movingS(problem, before.placeIndex, (takes[0] as Take).placeIndex);
    const readyS = wholeMinuteFrom(before.readyS + moveS);
    const flight: Asked = { pack, now, takes, offered, rule, book: before.book };
    let takeoffS = readyS;
    let wait: Wait | null = null;
    const waitFor = (reason: WaitReason, take: Take | null = null) => {
      wait = { fromS: readyS, reason, take };
    };
    // The first that stands in the way is the one that is told.
    let blocked: BlockReason | null = null;
    // Each round goes on to a later moment: a window, a charge, or a weather that is kinder.
    for (let round = 0; round < 2 * problem.weathers.length + 60; round++) {
      const weather = weatherAt(problem, takeoffS);
      const next = problem.weathers[weather] ? this.takeoffFrom(flight, weather, takeoffS) : 'weather';
      if (typeof next === 'string') {
        blocked ??= next;
        const kinder = kinderWeather(problem, weather);
        if (kinder === null || next === 'window') return blocked;
        takeoffS = kinder * quarterS;
        waitFor(next === 'weather' ? 'weather-unknown' : 'weather');
        continue;
      }
      if (next.takeoffS > takeoffS + 1e-6) {
        takeoffS = next.takeoffS;
        if (next.heldBy) waitFor('window', next.heldBy);
        else waitFor('charge');
        continue;
      }
      const times = verdicts.times(pack.kind, weather, takes);
      const touchdownS = takeoffS + times.touchdownS;
      if (touchdownS > problem.untilS + 1e-6) return blocked ?? 'until';
      const { state, charging } = next;
      const spareS = once(() => verdicts.spareS(pack, state, weather, takes));
      return { pack, takes, weather, takeoffS, touchdownS, times, state, charging, wait, spareS };
    }
    return blocked ?? 'until';
  }

  /** When a flight may take off in a weather, not before a time; the time itself where nothing is in the way. */
  private takeoffFrom(flight: Asked, weather: number, fromS: number): Takeoff | BlockReason {
    const { verdicts, problem } = this;
    const { pack, now, takes, offered, rule, book } = flight;
    const opened = withinWindows(takes, verdicts.times(pack.kind, weather, takes), fromS);
    if (!opened) return 'window';
    const { takeoffS, heldBy } = opened;
    const temperatureC = waitedC(pack, now.temperatureC, takeoffS - now.sinceS);
    const kept = { charge: now.charge, temperatureC, asKept: now.asKept };
    const later = (toS: number): Takeoff => ({ takeoffS: toS, state: kept, charging: [], heldBy });
    // What is waited for anyway is judged in the weather it then meets.
    if (weatherAt(problem, takeoffS) !== weather) return later(takeoffS);
    const isEnough = verdicts.fits(pack, kept, weather, takes);
    if (offered.length === 0) return isEnough ? later(takeoffS) : 'pack';
    const outS = this.outOfChargerS(flight, weather, temperatureC, isEnough);
    if (typeof outS === 'string') return outS;
    if (outS !== null && outS > takeoffS + 1e-6) return { ...later(outS), heldBy: null };
    const stays = outS !== null || rule !== 'until-enough';
    const stay = stays ? book.outBy(offered, rule === 'until-enough' ? (outS ?? takeoffS) : takeoffS) : [];
    const gained = (stay.at(-1)?.chargeTo ?? now.charge) - now.charge;
    const charging = gained >= minChargeGain - 1e-9 ? stay : [];
    if (now.isFlown && charging.length === 0) return 'charge';
    const last = charging.at(-1);
    const state = last ? { charge: last.chargeTo, temperatureC, asKept: false } : kept;
    return verdicts.fits(pack, state, weather, takes) ? { takeoffS, state, charging, heldBy } : 'charge';
  }

  /** When a pack is out of its charger with what the rule asks; null where it need not be in it, or why it never is. */
  private outOfChargerS(
    { pack, now, takes, offered, rule, book }: Asked,
    weather: number,
    temperatureC: number,
    isEnough: boolean,
  ): number | null | BlockReason {
    const last = offered.at(-1) as ChargingSpan;
    if (rule === 'until-full') return book.outWithS(offered, last.chargeTo);
    const worthIt = Math.min(1, now.charge + minChargeGain);
    if (isEnough) return now.isFlown ? book.outWithS(offered, worthIt) : null;
    // No battery lasts so long however full it is: that is another matter than one that is not charged in time.
    const least = this.verdicts.leastCharge(pack, temperatureC, weather, takes);
    return least === null ? 'pack' : (book.outWithS(offered, Math.max(least, worthIt)) ?? 'charge');
  }

  private packNow(before: Standing, pack: Pack): PackNow {
    return before.landedOf(pack.index) ?? asFlown(this.problem, pack) ?? asAtStart(pack);
  }

  private asLanded(flight: TimedFlight): PackNow {
    const { touchdownS } = flight;
    return {
      ...touchdownOf(this.verdicts, flight),
      sinceS: touchdownS,
      asKept: false,
      isFlown: true,
      restedS: touchdownS + this.problem.coolingS,
    };
  }
}

/** A flight that asks when it may take off. */
interface Asked {
  readonly pack: Pack;
  readonly now: PackNow;
  readonly takes: readonly Take[];
  /** How its pack would charge. */
  readonly offered: readonly ChargingSpan[];
  readonly rule: ChargingRule;
  readonly book: ChargingBook;
}

interface Takeoff {
  readonly takeoffS: number;
  readonly state: PackState;
  readonly charging: readonly ChargingSpan[];
  /** The take whose window it waits for. */
  readonly heldBy: Take | null;
}

/** Whether each take of a flight comes after all that it must come after. */
function isAfterAll(before: Standing, { takes }: FlightDraft, flown: ReadonlySet<number>): boolean {
  return takes.every(({ after }, at) =>
    after.every(
      (index) =>
        flown.has(index) || before.hasFlown(index) || takes.slice(0, at).some((one) => one.index === index),
    ),
  );
}

export function isScheduled(found: Schedule | Blocked): found is Schedule {
  return 'flights' in found;
}

function keyOf({ pack, takes }: FlightDraft): string {
  let key = `${pack}`;
  for (const { index } of takes) key += `,${index}`;
  return key;
}

function asAtStart(pack: Pack): PackNow {
  const { startC, startCharge } = pack;
  return { sinceS: 0, charge: startCharge, temperatureC: startC, asKept: true, isFlown: false, restedS: 0 };
}

/** A pack as it came down from the last of its flights that were flown; as warm as at the start. */
function asFlown({ flown, coolingS }: Problem, pack: Pack): PackNow | null {
  const last = flown.findLast((flight) => flight.pack === pack.index);
  if (!last) return null;
  return {
    sinceS: last.touchdownS,
    charge: last.touchdownCharge,
    temperatureC: pack.startC,
    asKept: false,
    isFlown: true,
    restedS: last.touchdownS + coolingS,
  };
}

function lastFlownS({ flown }: Problem): number {
  return flown.reduce((last, { touchdownS }) => Math.max(last, touchdownS), 0);
}

/** How a pack comes down in the likeliest world. */
export function touchdownOf(
  { fleet }: Verdicts,
  { pack, takes, weather, state }: Pick<TimedFlight, 'pack' | 'takes' | 'weather' | 'state'>,
): { readonly charge: number; readonly temperatureC: number } {
  const context = fleet.contexts(pack, state, weather).of(fleet.likeliest);
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

/** Packing up and walking to another launch place, s. */
export function movingS({ places, moving }: Problem, from: number | null, to: number): number {
  if (from === null || from === to) return 0;
  const [a, b] = [places[from], places[to]];
  if (!a || !b) return 0;
  return moving.packUpS + Math.hypot(b.eastM - a.eastM, b.northM - a.northM) / moving.speedMps;
}
