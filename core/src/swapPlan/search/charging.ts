import { chargeAfterCharging, chargingTimeS } from '../../battery/charging';
import { wholeMinuteFrom } from '../request/minutes';
import type { ChargingPlace } from '../request/problem';

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

interface Busy {
  readonly fromS: number;
  readonly untilS: number;
}

/** A shorter stay on a charger is not worth the hands. */
const minStayS = 120;

/**
 * Which charging places are taken when, in whole minutes. Packs are entered in the order in which they fly next; each entry makes another
 * book, so that plans with the same beginning share it.
 */
export class ChargingBook {
  constructor(
    private readonly places: readonly ChargingPlace[],
    private readonly taken: readonly (readonly Busy[])[] = places.map(() => []),
  ) {}

  /** How a pack would charge from a time on in what is still free: as early as may be, on the faster place of two. */
  offer(pack: number, charge: number, fromS: number): ChargingSpan[] {
    const spans: ChargingSpan[] = [];
    let [nowS, now] = [wholeMinuteFrom(fromS), charge];
    while (now < 1 - 1e-6) {
      const span = this.next(pack, now, nowS);
      if (!span) break;
      spans.push(span);
      nowS = span.untilS;
      now = span.chargeTo;
    }
    return spans;
  }

  private next(pack: number, charge: number, sinceS: number): ChargingSpan | null {
    let best: ChargingSpan | null = null;
    this.places.forEach((place, index) => {
      const emptyToFullS = place.emptyToFullS[pack];
      const gap = emptyToFullS == null ? null : this.gap(place, index, sinceS);
      if (!gap || emptyToFullS == null) return;
      const fromS = gap.fromS + place.handlingS;
      const fullS = wholeMinuteFrom(fromS + chargingTimeS(charge, 1, emptyToFullS));
      const untilS = Math.min(gap.untilS, fullS);
      if (best && (best.pluggedS < gap.fromS || (best.pluggedS === gap.fromS && best.untilS <= untilS)))
        return;
      best = {
        place: index,
        emptyToFullS,
        pluggedS: gap.fromS,
        fromS,
        untilS,
        chargeFrom: charge,
        chargeTo: chargeAfterCharging(charge, untilS - fromS, emptyToFullS),
      };
    });
    return best;
  }

  /** The first time a place is free for long enough to be worth it. */
  private gap({ fromS, untilS, handlingS }: ChargingPlace, index: number, sinceS: number): Busy | null {
    let startS = Math.max(fromS, sinceS);
    for (const busy of this.taken[index] as readonly Busy[]) {
      if (busy.fromS - startS >= handlingS + minStayS)
        return { fromS: startS, untilS: Math.min(busy.fromS, untilS) };
      startS = Math.max(startS, busy.untilS);
    }
    return untilS - startS >= handlingS + minStayS ? { fromS: startS, untilS } : null;
  }

  with(spans: readonly ChargingSpan[]): ChargingBook {
    if (spans.length === 0) return this;
    const taken = this.taken.map((busy, place) => {
      const more = spans.filter((span) => span.place === place);
      if (more.length === 0) return busy;
      return [...busy, ...more.map(({ pluggedS, untilS }) => ({ fromS: pluggedS, untilS }))].sort(
        (a, b) => a.fromS - b.fromS,
      );
    });
    return new ChargingBook(this.places, taken);
  }

  /** The same spans as far as the pack is out of each charger by a time. */
  outBy(spans: readonly ChargingSpan[], outS: number): ChargingSpan[] {
    return spans.flatMap((span) => {
      const endS = outS - this.handlingS(span);
      if (span.untilS <= endS) return [span];
      if (endS - span.fromS < minStayS - 1e-6) return [];
      const chargeTo = chargeAfterCharging(span.chargeFrom, endS - span.fromS, span.emptyToFullS);
      return [{ ...span, untilS: endS, chargeTo }];
    });
  }

  /** When a pack that charges so is out of the charger again with a gauge; null where it never has that. */
  outWithS(spans: readonly ChargingSpan[], charge: number): number | null {
    const span = spans.find(({ chargeTo }) => chargeTo >= charge - 1e-9);
    if (!span) return null;
    const staysS = Math.max(minStayS, chargingTimeS(span.chargeFrom, charge, span.emptyToFullS));
    return Math.min(span.untilS, wholeMinuteFrom(span.fromS + staysS)) + this.handlingS(span);
  }

  private handlingS({ place }: ChargingSpan): number {
    return (this.places[place] as ChargingPlace).handlingS;
  }
}
