import type { FlightOfPlan, Lane, SpanKind, SpanOfLane } from './answer';
import type { ChargingPlace, Problem } from './problem';
import type { Schedule } from './schedule';
import { instantAt } from './tell';

/** What each battery does from the start to the end of a plan. */
export function lanesOf(
  problem: Problem,
  { flights: timed }: Schedule,
  told: readonly FlightOfPlan[],
): Lane[] {
  const secondsOf = (at: string) => (Date.parse(at) - problem.startMs) / 1000;
  const endS = told.reduce((last, { touchdownAt }) => Math.max(last, secondsOf(touchdownAt)), 0);
  return problem.packs.map(({ battery, startCharge }) => {
    const lane = new LaneOfPack(problem, startCharge);
    told.forEach((flight, i) => {
      if (flight.batteryId !== battery.id) return;
      for (const span of timed[i - problem.flown.length]?.charging ?? []) {
        lane.rests(span.fromS, 'waiting');
        const { chargerId } = problem.chargingPlaces[span.place] as ChargingPlace;
        lane.add('charging', span.untilS, span.chargeTo, chargerId);
      }
      const touchdownS = secondsOf(flight.touchdownAt);
      if (i < problem.flown.length) lane.came(secondsOf(flight.takeoffAt), flight.startCharge);
      else lane.rests(secondsOf(flight.takeoffAt), 'ready');
      lane.add('flying', touchdownS, flight.touchdownCharge.p50);
      lane.cools(touchdownS + problem.coolingS);
    });
    lane.rests(endS, lane.isFlown ? 'waiting' : 'ready');
    return { batteryId: battery.id, spans: lane.spans };
  });
}

/** What was answered comes back to so much. */
const sameCharge = 1e-6;

/** One span after the other, without gap or overlap. */
class LaneOfPack {
  readonly spans: SpanOfLane[] = [];
  private nowS = 0;
  private coolUntilS = 0;
  isFlown = false;

  constructor(
    private readonly problem: Problem,
    private charge: number,
  ) {}

  add(kind: SpanKind, untilS: number, chargeTo = this.charge, chargerId?: string): void {
    if (untilS - this.nowS < 1e-3) return;
    this.spans.push({
      kind,
      fromAt: instantAt(this.problem, this.nowS),
      untilAt: instantAt(this.problem, untilS),
      chargeFrom: this.charge,
      chargeTo,
      ...(chargerId ? { chargerId } : {}),
    });
    this.nowS = untilS;
    this.charge = chargeTo;
  }

  cools(untilS: number): void {
    this.coolUntilS = untilS;
    this.isFlown = true;
  }

  /** To a flight that was flown: where it took off with more than was here, it was charged; nobody says on which charger. */
  came(takeoffS: number, startCharge: number): void {
    const isCharged = startCharge - this.charge > sameCharge;
    if (isCharged && this.isFlown) this.add('cooling', Math.min(takeoffS, this.coolUntilS));
    if (isCharged) this.add('charging', takeoffS, startCharge);
    else this.rests(takeoffS, 'ready');
    this.charge = startCharge;
  }

  /** Cools as long as it must, and is at rest after that. */
  rests(untilS: number, kind: SpanKind): void {
    if (this.isFlown) this.add('cooling', Math.min(untilS, this.coolUntilS));
    this.add(kind, untilS);
  }
}
