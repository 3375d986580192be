import type { CellState } from '../../battery/cells';
import { gaugeOf, shownGauge } from '../../battery/gauge';
import { type FlightContext, ladenBy, type SolvedAircraft } from '../../belief/flightContext';
import type { AircraftInAir } from '../../flight/aircraftInAir';
import type { PowerLeg } from '../../flight/bundles';
import { drain } from '../../flight/drain';
import { flyLegs } from '../../flight/legs';
import { mixPowerW } from '../../flight/mix';
import type { StyleShare } from '../../flight/styles';
import type { HomeRule } from '../../reserve/homing';
import type { Policy } from '../../reserve/policy';
import { type Position, returnLegs } from '../../reserve/returnHome';
import { transitLegs } from '../../reserve/transit';
import { flightEnd, keepsReserve } from '../../reserve/turnBack';
import { type Outcome, refuse, success } from '../../units/outcome';
import type { Take } from '../request/problem';
import { asShare } from '../request/shot';

/** How a flight of takes is flown, whatever the world. */
export interface FlyingRules {
  readonly policy: Policy;
  readonly home: HomeRule;
  readonly recordingLoadW: number;
}

/** A pack in the air, and the ways of its aircraft there. */
export interface TakeContext extends FlightContext {
  readonly ways: WaysInAir;
}

/** Where a flight stands after a take; before the first one there is none. Times are seconds from take-off. */
export interface FlightSoFar {
  readonly state: CellState;
  readonly take: Take | null;
}

export interface FlownTake extends FlightSoFar {
  /** When the take itself begins, its set-up being done. */
  readonly begun: CellState;
  /** If it is the last. */
  readonly touchdown: CellState;
}

export function beforeTakeoff({ takeoff }: Pick<FlightContext, 'takeoff'>): FlightSoFar {
  return { state: takeoff, take: null };
}
export const home: Position = { distanceM: 0, bearingDeg: 0, heightM: 0 };

/**
 * Flies to a take, sets it up and takes it. Refused where the wind or the pack forbids it, or where the way home after it
 * would no longer touch down as the policy asks.
 */
export function flyTake(
  context: TakeContext,
  rules: FlyingRules,
  flight: FlightSoFar,
  take: Take,
): Outcome<FlownTake> {
  const ways = context.ways.to(take, flight.take);
  if (!ways.ok) return ways;
  const { out, work, home: wayHome } = ways.value;
  const { cells, airC } = context;
  const begun = flyLegs(cells, [...out, ...work.slice(0, -1)], airC, flight.state);
  const state = begun && flyLegs(cells, work.slice(-1), airC, begun);
  const touchdown = state && flyLegs(cells, wayHome, airC, state);
  if (!touchdown || !keepsReserve(context, rules.policy, state.charge, touchdown)) {
    const { durationS } = take.shot;
    return refuse('shot-too-long', 'Needs {durationS} there, more than the battery has left.', { durationS });
  }
  return success({ begun, state, touchdown, take });
}

/** Until when a take could go on, and where the gauge then stands. */
export interface LongestTake {
  readonly durationS: number;
  readonly turnBackCharge: number;
}

/** How long a take could last before the way home must begin; null where it cannot even be begun. */
export function longestTake(
  context: TakeContext,
  rules: FlyingRules,
  flight: FlightSoFar,
  take: Take,
): LongestTake | null {
  const ways = context.ways.to(take, flight.take);
  if (!ways.ok) return null;
  const { out, work, home: wayHome } = ways.value;
  const { cells, airC } = context;
  const begun = flyLegs(cells, [...out, ...work.slice(0, -1)], airC, flight.state);
  const curve = begun && drain(cells, (work.at(-1) as PowerLeg).powerW, airC, begun);
  if (!curve || curve.timeS.length === 0) return null;
  const end = flightEnd(context, curve, wayHome, rules.policy);
  if (!end.ok) return null;
  const { timeS, charge } = end.value.turnBack;
  const turnBackCharge = shownGauge(gaugeOf(charge, cells.hidden), context.gaugeErrorCharge);
  return { durationS: timeS - begun.timeS, turnBackCharge };
}

interface Ways {
  readonly out: readonly PowerLeg[];
  /** The set-up, if any, and the take. */
  readonly work: readonly PowerLeg[];
  readonly home: readonly PowerLeg[];
}

/** The ways of one aircraft in one air, each computed when it is first flown: powers are most of the work, and packs share them. */
export class WaysInAir {
  private readonly outs = new Map<number, Outcome<readonly PowerLeg[]>>();
  private readonly atTakes = new Map<number, Outcome<Omit<Ways, 'out'>>>();
  private readonly ladenAircraft = new Map<number, SolvedAircraft>();

  constructor(
    private readonly inAir: SolvedAircraft,
    private readonly rules: FlyingRules,
  ) {}

  to(take: Take, from: Take | null): Outcome<Ways> {
    const key = (from ? from.shotIndex + 1 : 0) * 1024 + take.shotIndex;
    const out = this.outs.get(key) ?? transitLegs(this.carrying(take), from?.position ?? home, take.position);
    this.outs.set(key, out);
    if (!out.ok) return out;
    const there = this.atTakes.get(take.shotIndex) ?? this.atTake(take);
    this.atTakes.set(take.shotIndex, there);
    return there.ok ? success({ out: out.value, ...there.value }) : there;
  }

  /** With what hangs on it for a take. */
  private carrying({ loadKg }: Take): SolvedAircraft {
    const held = this.ladenAircraft.get(loadKg);
    if (held) return held;
    const made = ladenBy(this.inAir, loadKg);
    this.ladenAircraft.set(loadKg, made);
    return made;
  }

  private atTake(take: Take): Outcome<Omit<Ways, 'out'>> {
    const inAir = this.carrying(take);
    const work = workLegs(inAir, take, this.rules.recordingLoadW);
    if (!work.ok) return work;
    const wayHome = returnLegs(inAir, take.position, this.rules.home);
    return wayHome.ok ? success({ work: work.value, home: wayHome.value }) : wayHome;
  }
}

/** The hover to set a take up, if any, and the take in its style. */
export function workLegs(
  inAir: AircraftInAir,
  take: Take,
  recordingLoadW: number,
): Outcome<readonly PowerLeg[]> {
  const { durationS, heightM } = take.shot;
  const loadW = take.shot.recordingLoadW ?? recordingLoadW;
  const powerOf = (share: StyleShare) => mixPowerW(inAir, heightM, [share], loadW);
  const power = powerOf(asShare(take.shot));
  if (!power.ok) return power;
  const taken = { powerW: power.value, durationS };
  if (take.setUpS === 0) return success([taken]);
  const hover = powerOf({ style: 'hover', share: 1 });
  return hover.ok ? success([{ powerW: hover.value, durationS: take.setUpS }, taken]) : hover;
}
