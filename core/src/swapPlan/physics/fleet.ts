import type { Conditions } from '../../air/conditions';
import type { Battery } from '../../battery/battery';
import type { World } from '../../belief/belief';
import { inTheAir, type SolvedAircraft, solvedBox, withBattery } from '../../belief/flightContext';
import type { SolvedBox } from '../../flight/box';
import { homeRuleOf } from '../../reserve/homing';
import { getOrCreate } from '../../units/getOrCreate';
import type { Pack, Problem } from '../request/problem';
import { type FlyingRules, type TakeContext, WaysInAir } from './fly';

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
const maxPackC = 40;

/** A pack with all it could ever have: as warm as it gets while it waits; and full and warm where packs are charged. */
export function atItsBest(pack: Pack, charges: boolean): PackState[] {
  const warmC = Math.max(pack.startC, pack.waitingC);
  const full = { charge: 1, temperatureC: Math.max(warmC, maxPackC), asKept: false };
  return charges ? [asKept(pack, warmC), full] : [asKept(pack, warmC)];
}

/** A value for each draw of the belief and, last, for the likeliest world; each made when it is first asked for. */
export class PerDraw<Value> {
  private readonly values: (Value | undefined)[] = [];

  constructor(private readonly make: (draw: number) => Value) {}

  of(draw: number): Value {
    const held = this.values[draw];
    if (held !== undefined) return held;
    const made = this.make(draw);
    this.values[draw] = made;
    return made;
  }
}

/** A plan's packs are asked for again and again; one in all draws is some hundred kB. */
const maxPacksHeld = 60;

/** What every flight of a plan is flown with, by draw of the belief; null where a draw makes it impossible. */
export class Fleet {
  /** How many draws there are, and so the number of the likeliest world, which comes after them. */
  readonly likeliest: number;
  private readonly boxes = new Map<number, PerDraw<SolvedBox | null>>();
  private readonly solved = new Map<string, PerDraw<SolvedAircraft | null>>();
  private readonly waysInAir = new Map<string, PerDraw<WaysInAir | null>>();
  private readonly packsInAir = new Map<string, PerDraw<TakeContext | null>>();

  constructor(readonly problem: Problem) {
    this.likeliest = Math.min(...problem.beliefs.map(({ draws }) => draws.length));
  }

  /** All draws, without the likeliest world. */
  get draws(): readonly number[] {
    return Array.from({ length: this.likeliest }, (_, draw) => draw);
  }

  world(aircraftIndex: number, draw: number): World {
    const { draws, middle } = this.problem.beliefs[aircraftIndex] as Problem['beliefs'][number];
    return draw === this.likeliest ? middle : (draws[draw] as World);
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

  /** By the number of its quarter of an hour; after those come the weathers of the rows. */
  private weather(number: number): Conditions | null {
    const { weathers, rowWeathers } = this.problem;
    return weathers[number] ?? rowWeathers[number - weathers.length]?.weather ?? null;
  }

  /** The aircraft of a kind of pack in a weather. */
  aircraft(kind: number, weather: number): PerDraw<SolvedAircraft | null> {
    const { aircraft, battery } = this.problem.kinds[kind] as Problem['kinds'][number];
    return getOrCreate(this.solved, `${kind} ${weather}`, () => {
      const conditions = this.weather(weather) as Conditions;
      const flight = { addedMassKg: aircraft.addedMassKg ?? null };
      const flown = { aircraft: aircraft.spec, battery, conditions, flight };
      const aircraftIndex = this.problem.aircraft.indexOf(aircraft);
      return new PerDraw((draw) => {
        const box = this.boxesOf(kind).of(draw);
        return box && inTheAir(box, flown, this.world(aircraftIndex, draw), draw < this.likeliest);
      });
    });
  }

  private boxesOf(kind: number): PerDraw<SolvedBox | null> {
    const { aircraft, battery } = this.problem.kinds[kind] as Problem['kinds'][number];
    const aircraftIndex = this.problem.aircraft.indexOf(aircraft);
    const solve = (draw: number) => {
      const box = solvedBox({ aircraft: aircraft.spec, battery }, this.world(aircraftIndex, draw));
      return box.ok ? box.value : null;
    };
    return getOrCreate(this.boxes, kind, () => new PerDraw(solve));
  }

  /** A pack as it takes off in a weather. */
  contexts(pack: Pack, state: PackState, weather: number): PerDraw<TakeContext | null> {
    const key = `${pack.index} ${weather} ${state.asKept} ${state.charge} ${state.temperatureC}`;
    if (this.packsInAir.size >= maxPacksHeld && !this.packsInAir.has(key)) this.packsInAir.clear();
    return getOrCreate(this.packsInAir, key, () => {
      const battery = batteryAs(pack, state);
      const aircraft = this.aircraft(pack.kind, weather);
      const ways = this.ways(pack.kind, weather);
      return new PerDraw((draw) => {
        const solved = aircraft.of(draw);
        if (!solved) return null;
        const world = this.world(pack.aircraftIndex, draw);
        const context = withBattery(solved, { battery, batteryId: battery.id }, world);
        return { ...context, ways: ways.of(draw) as WaysInAir };
      });
    });
  }

  private ways(kind: number, weather: number): PerDraw<WaysInAir | null> {
    return getOrCreate(this.waysInAir, `${kind} ${weather}`, () => {
      const [aircraft, rules] = [this.aircraft(kind, weather), this.rules(kind)];
      return new PerDraw((draw) => {
        const solved = aircraft.of(draw);
        return solved && new WaysInAir(solved, rules);
      });
    });
  }
}

/** A pack of the request as a battery that takes off. */
function batteryAs({ battery }: Pack, state: PackState): Battery & { readonly id: string } {
  const warm = { ...battery, startTemperatureC: state.temperatureC };
  return state.asKept ? warm : { ...warm, startCharge: state.charge, daysSinceCharge: null };
}
