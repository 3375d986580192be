import type { Conditions } from '../air/conditions';
import type { Aircraft } from '../aircraft/aircraft';
import { cellChargeOf, trueGauge } from '../battery/gauge';
import type { World } from '../belief/belief';
import { boxBattery, inTheAir, solvedBox, withBattery } from '../belief/flightContext';
import type { EstimateRequest, FlightPlan } from '../estimate/request';
import { flownRound } from '../estimate/simulate';
import type { SolvedBox } from '../flight/box';
import { endOf } from '../flight/drain';
import { flyRounds } from '../flight/legs';
import { smoothTimesAt } from '../flight/smoothTimes';
import { type Outcome, refuse, success } from '../units/outcome';
import { type CalibrationEvent, type CalibrationReading, fitMarksOf, type Mark } from './marks';
import type { PackAsKept } from './unknowns';

/** A flight to learn from, as it was flown and read. */
export interface CalibrationFlight {
  readonly id: string;
  readonly batteryId: string;
  readonly purpose?: 'test' | 'work' | null;
  readonly conditions: Conditions;
  readonly startCharge: number;
  readonly startTemperatureC?: number | null;
  readonly flight: Pick<FlightPlan, 'heightM' | 'mix' | 'legs' | 'recordingLoadW'>;
  readonly addedMassKg?: number | null;
  readonly checkpoints: readonly CalibrationReading[];
  readonly events?: readonly CalibrationEvent[] | null;
  readonly end: { readonly timeS: number; readonly charge: number };
  readonly excludedReason?: string | null;
}

/** A flight made ready: what is asked of the model, and the marks it must meet. */
export interface ReadyFlight {
  readonly id: string;
  readonly request: EstimateRequest;
  readonly marks: readonly Mark[];
  /** Whether somebody noted how warm the pack lifted off; else it is taken as the air. */
  readonly isStartNoted: boolean;
  /** Flights with the same one share what is solved from the box. */
  readonly boxKey: string;
}

export function readyFlight(
  { addedMassKg, ...flown }: CalibrationFlight,
  aircraft: Aircraft,
  { id: _, ...pack }: PackAsKept,
): ReadyFlight {
  const request: EstimateRequest = {
    aircraft: addedMassKg == null ? aircraft : { ...aircraft, addedMassKg },
    battery: {
      ...pack,
      startCharge: flown.startCharge,
      daysSinceCharge: null,
      startTemperatureC: flown.startTemperatureC ?? flown.conditions.airTemperatureC,
    },
    conditions: flown.conditions,
    flight: { ...flown.flight, farthestM: 0, bearingDeg: 0 },
    policy: { kind: 'empty' },
  };
  return {
    id: flown.id,
    request,
    marks: fitMarksOf(flown),
    isStartNoted: flown.startTemperatureC != null,
    boxKey: JSON.stringify(boxBattery(request)),
  };
}

/** What is solved from the box in one world, once for each type of battery. */
export class Boxes {
  private readonly solved = new Map<string, Outcome<SolvedBox>>();

  constructor(readonly world: World) {}

  of({ request, boxKey }: ReadyFlight): Outcome<SolvedBox> {
    const box = this.solved.get(boxKey) ?? solvedBox(request, this.world);
    this.solved.set(boxKey, box);
    return box;
  }
}

/** How far off a flight's own start may be from what was noted of it. */
export interface StartOff {
  readonly temperatureK?: number;
  readonly charge?: number;
}

/** ln of the time at which a flight passes each of its marks in a world; refused where it cannot be flown there. */
export function logTimes(
  ready: ReadyFlight,
  box: Outcome<SolvedBox>,
  world: World,
  off: StartOff = {},
): Outcome<readonly number[]> {
  if (!box.ok) return box;
  const { battery } = ready.request;
  const request: EstimateRequest = {
    ...ready.request,
    battery: {
      ...battery,
      startCharge: battery.startCharge + (off.charge ?? 0),
      startTemperatureC: (battery.startTemperatureC as number) + (off.temperatureK ?? 0),
    },
  };
  const solved = inTheAir(box.value, request, world);
  const round = flownRound(solved, request.flight);
  if (!round.ok) return round;
  const { cells, airC, takeoff, gaugeErrorCharge } = withBattery(solved, { battery: request.battery }, world);
  const curve = flyRounds(cells, round.value, airC, takeoff);
  const end = endOf(curve);
  if (!end || !(end.timeS > 0)) {
    return refuse('pack-gives-out', 'The pack of this flight gives out at lift-off.');
  }
  const gauges = ready.marks.flatMap(({ charge }) => (charge === null ? [] : [charge]));
  const times = smoothTimesAt(
    curve,
    cells,
    gauges.map((charge) => cellChargeOf(trueGauge(charge, gaugeErrorCharge), cells.hidden)),
  );
  let next = 0;
  const all = ready.marks.map(({ charge }) => (charge === null ? end.timeS : (times[next++] as number)));
  return success(all.map((timeS) => Math.log(Math.max(1, timeS))));
}
