import type { ChargingPlace, Problem } from '../request/problem';
import type { Schedule } from '../search/schedule';
import type { Lane, SpanKind, SpanOfLane } from './answer';
import { instantAt } from './instant';

/** What each battery does from the start to the end of a plan; with the gauges its flights touch down with. */
export function lanesOf(
  problem: Problem,
  { flights, endS }: Schedule,
  touchdownCharges: readonly number[],
): Lane[] {
  return problem.packs.map(({ index, battery, startCharge }) => {
    const lane = new LaneOfPack(problem, startCharge);
    for (const { pack, takeoffS, touchdownS, startCharge, touchdownCharge } of problem.flown) {
      if (pack !== index) continue;
      lane.came(takeoffS, startCharge ?? touchdownCharge);
      lane.flies(touchdownS, touchdownCharge);
    }
    flights.forEach(({ pack, takeoffS, touchdownS, charging }, i) => {
      if (pack.index !== index) return;
      for (const span of charging) {
        lane.rests(span.fromS, 'waiting');
        const { chargerId } = problem.chargingPlaces[span.place] as ChargingPlace;
        lane.add('charging', span.untilS, span.chargeTo, chargerId);
      }
      lane.rests(takeoffS, 'ready');
      lane.flies(touchdownS, touchdownCharges[i] as number);
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

  flies(touchdownS: number, touchdownCharge: number): void {
    this.add('flying', touchdownS, touchdownCharge);
    this.coolUntilS = touchdownS + this.problem.coolingS;
    this.isFlown = true;
  }

  /** To a flight that was flown: where it took off with more than was here, it was charged; nobody says on which charger. */
  came(takeoffS: number, startCharge: number): void {
    const isCharged = startCharge - this.charge > sameCharge;
    if (isCharged && this.isFlown) this.add('cooling', Math.min(takeoffS, this.coolUntilS));
    if (isCharged) this.add('charging', takeoffS, startCharge);
    else this.rests(takeoffS, 'ready');
  }

  /** Cools as long as it must, and is at rest after that. */
  rests(untilS: number, kind: SpanKind): void {
    if (this.isFlown) this.add('cooling', Math.min(untilS, this.coolUntilS));
    this.add(kind, untilS);
  }
}
