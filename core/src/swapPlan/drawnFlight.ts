import { gaugeOf } from '../battery/gauge';
import { plannedTurnBack } from '../estimate/plannedTurnBack';
import { quantile } from '../statistics/quantile';
import { type Outcome, refuse, success } from '../units/outcome';
import type { DrawnBattery } from './drawnFleet';
import { beforeTakeoff, type FlightSoFar, type FlownShot, flyShot, longestShot } from './flyShots';
import type { PlannedFlight } from './planner';
import type { Shot } from './shot';

interface Step {
  readonly shot: Shot;
  /** Before the shot, by draw; null where that draw has failed already. */
  readonly before: readonly (FlightSoFar | null)[];
  readonly middleBefore: FlightSoFar;
  readonly middle: FlownShot;
}

/**
 * A flight of shots flown in the likeliest world and in every draw at once. A draw fails where after a shot the way home would
 * no longer keep the reserve; once failed it stays failed. Never changed: `with` gives a longer flight.
 */
export class DrawnFlight {
  constructor(
    private readonly fleet: DrawnBattery,
    private readonly steps: readonly Step[] = [],
    private readonly drawn: readonly (FlownShot | FlightSoFar | null)[] = fleet.drawn.map(
      (context) => context && beforeTakeoff(context),
    ),
  ) {}

  get battery() {
    return this.fleet.battery;
  }

  /** The flight with one shot more; refused where too many draws would fail. */
  with(shot: Shot, confidence: number): Outcome<DrawnFlight> {
    const context = this.fleet.middle;
    if (!context.ok) return context;
    const middleBefore = this.steps[this.steps.length - 1]?.middle ?? beforeTakeoff(context.value);
    const middle = flyShot(context.value, middleBefore, shot);
    if (!middle.ok) return middle;
    const drawn = this.drawn.map((flight, k) => this.flownIn(k, flight, shot));
    if (shareOfNull(drawn) > 1 - confidence + 1e-9) {
      return refuse('shot-too-long', 'Needs {durationS} there, more than is sure enough.', {
        durationS: shot.durationS,
      });
    }
    const step: Step = { shot, before: this.drawn, middleBefore, middle: middle.value };
    return success(new DrawnFlight(this.fleet, [...this.steps, step], drawn));
  }

  private flownIn(draw: number, flight: FlightSoFar | null, shot: Shot): FlownShot | null {
    const context = this.fleet.drawn[draw];
    const flown = context && flight ? flyShot(context, flight, shot) : null;
    return flown?.ok ? flown.value : null;
  }

  /**
   * How long a shot could go on at the confidence if it came next, and the gauge to turn back at from it. Null where the
   * middle flight cannot even begin it.
   */
  longest(shot: Shot, confidence: number) {
    const context = this.fleet.middle;
    if (!context.ok) return null;
    const before = this.steps[this.steps.length - 1]?.middle ?? beforeTakeoff(context.value);
    return this.longestFrom({ shot, before: this.drawn, middleBefore: before }, confidence);
  }

  private longestFrom({ shot, before, middleBefore }: Omit<Step, 'middle'>, confidence: number) {
    const { middle } = this.fleet;
    const likeliest = middle.ok ? longestShot(middle.value, middleBefore, shot) : null;
    if (!likeliest) return null;
    const drawn = before.map((flight, k) => {
      const context = this.fleet.drawn[k];
      return context && flight ? longestShot(context, flight, shot) : null;
    });
    const durations = drawn.map((one) => one?.durationS ?? 0).sort((a, b) => a - b);
    const surely = durations[Math.floor((1 - confidence) * durations.length + 1e-9)] ?? 0;
    return {
      durationS: Math.min(surely, likeliest.durationS),
      turnBackCharge: plannedTurnBack(
        likeliest.turnBackCharge,
        drawn.map((one) => one?.turnBackCharge ?? null),
        confidence,
      ),
    };
  }

  /** What the plan says of it, taking off some seconds after the first take-off. */
  planned(takeoffS: number, swapTimeS: number, confidence: number): PlannedFlight {
    const { middle: context, battery } = this.fleet;
    const last = this.steps[this.steps.length - 1];
    if (!last || !context.ok) throw new Error('A planned flight has a shot.');
    const { hidden } = context.value.cells;
    const longest = this.longestFrom(last, confidence);
    const touchdownS = takeoffS + last.middle.touchdown.timeS;
    const p50 = gaugeOf(last.middle.touchdown.charge, hidden);
    return {
      batteryId: battery.id,
      takeoffS,
      turnBackS: takeoffS + last.middle.state.timeS,
      touchdownS,
      swappedS: touchdownS + swapTimeS,
      turnBackCharge: longest?.turnBackCharge ?? null,
      touchdownCharge: { p10: Math.min(p50, quantile(this.touchdownGauges(), 0.1)), p50 },
      spareS: Math.max(0, (longest?.durationS ?? 0) - last.shot.durationS),
      chanceEarly: shareOfNull(this.drawn),
      shots: this.steps.map(({ shot, middle }) => ({
        shotId: shot.id,
        startS: middle.arrival.timeS,
        endS: middle.state.timeS,
        chargeAfter: gaugeOf(middle.state.charge, hidden),
      })),
    };
  }

  /** Of the draws that end the last shot; what fails must turn back before and lands with the reserve. */
  private touchdownGauges(): number[] {
    const gauges = this.drawn.flatMap((flight, k) => {
      const context = this.fleet.drawn[k];
      return flight && context && 'touchdown' in flight
        ? [gaugeOf(flight.touchdown.charge, context.cells.hidden)]
        : [];
    });
    return gauges.length > 0 ? gauges : [0];
  }
}

function shareOfNull(values: readonly unknown[]): number {
  return values.filter((value) => value === null).length / values.length;
}
