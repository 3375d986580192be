import type { Conditions } from '../air/conditions';
import type { Battery } from '../battery/battery';
import type { World } from '../belief/belief';
import { inTheAir, type SolvedAircraft, solvedBox, withBattery } from '../belief/flightContext';
import type { SolvedBox } from '../flight/box';
import { homeRuleOf } from '../reserve/homing';
import { type FlyingRules, type TakeContext, WaysInAir } from './fly';
import type { Pack, Problem } from './problem';

/** A pack when it takes off: as the request has it, or as it comes from a charger. Charge is the gauge's. */
export interface PackState {
  readonly charge: number;
  readonly temperatureC: number;
  /** Neither flown nor charged since the start, so that what it lost standing is as uncertain as it was. */
  readonly asKept: boolean;
}

/** A pack of the request that has neither flown nor charged; as warm as at the start, or as it is by then. */
export function asKept({ startCharge, startC }: Pack, temperatureC = startC): PackState {
  return { charge: startCharge, temperatureC, asKept: true };
}

/** No pack that flew before is taken as warmer. */
const warmestC = 40;

/** A pack with all it could ever have: as warm as it gets while it waits; and full and warm where packs are charged. */
export function atItsBest(pack: Pack, charges: boolean): PackState[] {
  const warmC = Math.max(pack.startC, pack.waitingC);
  const full = { charge: 1, temperatureC: Math.max(warmC, warmestC), asKept: false };
  return charges ? [asKept(pack, warmC), full] : [asKept(pack, warmC)];
}

/** A plan's packs are asked for again and again; one in all draws is some hundred kB. */
const mostPacksHeld = 40;

/** What every flight of a plan is flown with, by draw of the belief; the last one is the likeliest world. Made when first asked for. */
export class Fleet {
  private readonly boxes = new Map<number, (SolvedBox | null)[]>();
  private readonly inAir = new Map<string, (SolvedAircraft | null)[]>();
  private readonly inPack = new Map<string, (TakeContext | null)[]>();
  private readonly waysInAir = new Map<string, (WaysInAir | null)[]>();

  constructor(
    readonly problem: Problem,
    /** Of the draws, from the first. */
    readonly draws: number,
  ) {}

  /** The draws of an aircraft, and then its middle. */
  worlds(aircraftIndex: number): World[] {
    const belief = this.problem.beliefs[aircraftIndex] as Problem['beliefs'][number];
    return [...belief.draws.slice(0, this.draws), belief.middle];
  }

  rules(kind: number): FlyingRules {
    const { kinds, request } = this.problem;
    const { returnHeightM, recordingLoadW } = (kinds[kind] as Problem['kinds'][number]).aircraft;
    return {
      policy: request.policy,
      home: homeRuleOf(request.policy, returnHeightM, request.tallestM ?? null),
      recordingLoadW: recordingLoadW ?? 0,
    };
  }

  /** The aircraft of a kind of pack in a weather, by draw; null where a draw makes it impossible. */
  aircraft(kind: number, weather: number): readonly (SolvedAircraft | null)[] {
    const key = `${kind} ${weather}`;
    const held = this.inAir.get(key);
    if (held) return held;
    const { aircraft, battery } = this.problem.kinds[kind] as Problem['kinds'][number];
    const conditions = this.problem.weathers[weather] as Conditions;
    const worlds = this.worlds(this.problem.aircraft.indexOf(aircraft));
    const made = this.boxesOf(kind, worlds).map((box, i) => {
      const flight = { addedMassKg: aircraft.addedMassKg ?? null };
      const flown = { aircraft: aircraft.spec, battery, conditions, flight };
      return box && inTheAir(box, flown, worlds[i] as World, i < this.draws);
    });
    this.inAir.set(key, made);
    return made;
  }

  private boxesOf(kind: number, worlds: readonly World[]): readonly (SolvedBox | null)[] {
    const held = this.boxes.get(kind);
    if (held) return held;
    const { aircraft, battery } = this.problem.kinds[kind] as Problem['kinds'][number];
    const made = worlds.map((world) => {
      const box = solvedBox({ aircraft: aircraft.spec, battery }, world);
      return box.ok ? box.value : null;
    });
    this.boxes.set(kind, made);
    return made;
  }

  /** A pack as it takes off in a weather, in the likeliest world. */
  middleContext(pack: Pack, state: PackState, weather: number): TakeContext | null {
    const battery = batteryAs(pack, state);
    const solved = this.aircraft(pack.kind, weather).at(-1);
    const { middle } = this.problem.beliefs[pack.aircraftIndex] as Problem['beliefs'][number];
    if (!solved) return null;
    const context = withBattery(solved, { battery, batteryId: battery.id }, middle);
    return { ...context, ways: this.ways(pack.kind, weather).at(-1) as WaysInAir };
  }

  /** The same by draw. */
  contexts(pack: Pack, state: PackState, weather: number): readonly (TakeContext | null)[] {
    const key = `${pack.index} ${weather} ${state.asKept} ${state.charge} ${state.temperatureC}`;
    const held = this.inPack.get(key);
    if (held) return held;
    const battery = batteryAs(pack, state);
    const worlds = this.worlds(pack.aircraftIndex);
    const ways = this.ways(pack.kind, weather);
    const made = this.aircraft(pack.kind, weather).map((solved, i) => {
      if (!solved) return null;
      const context = withBattery(solved, { battery, batteryId: battery.id }, worlds[i] as World);
      return { ...context, ways: ways[i] as WaysInAir };
    });
    if (this.inPack.size >= mostPacksHeld) this.inPack.clear();
    this.inPack.set(key, made);
    return made;
  }

  private ways(kind: number, weather: number): readonly (WaysInAir | null)[] {
    const key = `${kind} ${weather}`;
    const held = this.waysInAir.get(key);
    if (held) return held;
    const rules = this.rules(kind);
    const made = this.aircraft(kind, weather).map((solved) => solved && new WaysInAir(solved, rules));
    this.waysInAir.set(key, made);
    return made;
  }
}

/** A pack of the request as a battery that takes off. */
function batteryAs({ battery }: Pack, state: PackState): Battery & { readonly id: string } {
  const warm = { ...battery, startTemperatureC: state.temperatureC };
  return state.asKept ? warm : { ...warm, startCharge: state.charge, daysSinceCharge: null };
}
