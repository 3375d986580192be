import { chargeAfterCharging, chargingTimeS } from '../battery/charging';
import type { ChargingPlace, Problem } from './problem';

/** A pack on a charger. It is plugged in, and charges from then on; charges are the gauge's. */
export interface ChargingSpan {
  readonly place: number;
  /** Of this pack there. */
  readonly emptyToFullS: number;
  readonly pluggedS: number;
  readonly fromS: number;
  readonly untilS: number;
  readonly chargeFrom: number;
  readonly chargeTo: number;
}

/** A shorter stay on a charger is not worth the hands. */
const shortestStayS = 120;

/** Which charging places are taken when. Packs are entered in the order in which they fly next. */
export class ChargingBook {
  private readonly taken: { readonly fromS: number; readonly untilS: number }[][];

  constructor(private readonly problem: Problem) {
    this.taken = problem.chargingPlaces.map(() => []);
  }

  /** How a pack would charge from a time on in what is still free: as early as may be, on the faster place of two. */
  offer(pack: number, charge: number, fromS: number): ChargingSpan[] {
    const spans: ChargingSpan[] = [];
    let [nowS, now] = [fromS, charge];
    while (now < 1 - 1e-6) {
      const span = this.next(pack, now, nowS);
      if (!span) break;
      spans.push(span);
      nowS = span.untilS;
      now = span.chargeTo;
    }
    return spans;
  }

  private next(pack: number, charge: number, fromS: number): ChargingSpan | null {
    let best: ChargingSpan | null = null;
    this.problem.chargingPlaces.forEach((place, index) => {
      const emptyToFullS = place.emptyToFullS[pack];
      const gap = emptyToFullS == null ? null : this.gap(place, index, fromS);
      if (!gap || emptyToFullS == null) return;
      const chargesS = gap.fromS + place.handlingS;
      const untilS = Math.min(gap.untilS, chargesS + chargingTimeS(charge, 1, emptyToFullS));
      if (best && (best.pluggedS < gap.fromS || (best.pluggedS === gap.fromS && best.untilS <= untilS)))
        return;
      best = {
        place: index,
        emptyToFullS,
        pluggedS: gap.fromS,
        fromS: chargesS,
        untilS,
        chargeFrom: charge,
        chargeTo: chargeAfterCharging(charge, untilS - chargesS, emptyToFullS),
      };
    });
    return best;
  }

  /** The first time a place is free for long enough to be worth it. */
  private gap({ fromS, untilS, handlingS }: ChargingPlace, index: number, sinceS: number) {
    let startS = Math.max(fromS, sinceS);
    for (const busy of this.taken[index] as { fromS: number; untilS: number }[]) {
      if (busy.fromS - startS >= handlingS + shortestStayS)
        return { fromS: startS, untilS: Math.min(busy.fromS, untilS) };
      startS = Math.max(startS, busy.untilS);
    }
    return untilS - startS >= handlingS + shortestStayS ? { fromS: startS, untilS } : null;
  }

  enter(spans: readonly ChargingSpan[]): void {
    for (const { place, pluggedS, untilS } of spans) {
      const busy = this.taken[place] as { fromS: number; untilS: number }[];
      busy.push({ fromS: pluggedS, untilS });
      busy.sort((a, b) => a.fromS - b.fromS);
    }
  }

  /** The same spans as far as the pack is out of each charger by a time. */
  outBy(spans: readonly ChargingSpan[], outS: number): ChargingSpan[] {
    return spans.flatMap((span) => {
      const { handlingS } = this.problem.chargingPlaces[span.place] as ChargingPlace;
      const endS = outS - handlingS;
      if (span.untilS <= endS) return [span];
      if (endS - span.fromS < shortestStayS - 1e-6) return [];
      const chargeTo = chargeAfterCharging(span.chargeFrom, endS - span.fromS, span.emptyToFullS);
      return [{ ...span, untilS: endS, chargeTo }];
    });
  }

  /** When a pack that charges so is out of the charger again with a gauge; null where it never has that. */
  outWithS(spans: readonly ChargingSpan[], charge: number): number | null {
    const span = spans.find(({ chargeTo }) => chargeTo >= charge - 1e-9);
    if (!span) return null;
    const { handlingS } = this.problem.chargingPlaces[span.place] as ChargingPlace;
    const staysS = Math.max(shortestStayS, chargingTimeS(span.chargeFrom, charge, span.emptyToFullS));
    return Math.min(span.untilS, span.fromS + staysS) + handlingS;
  }
}
