import type { Take } from '../request/problem';
import type { Capacity } from './capacity';
import type { Stretches } from './equivalents';

/** The stretches of one flight after the other, by draw; loaded anew for each flight, since millions are looked at. */
export class FlightBuffer {
  private readonly outs: Float64Array[] = [];
  private readonly works: Float64Array[] = [];
  private readonly homes: Float64Array[] = [];
  private count = 0;
  private isOneLoad = true;

  load(flight: Stretches, takes: readonly Take[]): void {
    let from: Take | null = null;
    this.count = takes.length;
    this.isOneLoad = true;
    for (let i = 0; i < takes.length; i++) {
      const take = takes[i] as Take;
      if (from && take.loadKg !== from.loadKg) this.isOneLoad = false;
      this.outs[i] = flight.out(from, take).equivalents;
      this.works[i] = flight.work(take).equivalents;
      this.homes[i] = flight.home(take).equivalents;
      from = take;
    }
  }

  /** Whether a draw has too little for the way home after any take, takes beyond the half, or cannot hang it all on one flight. */
  isShort({ untilReserveS, untilHalfS }: Capacity, draw: number, factor: number): boolean {
    if (!this.isOneLoad) return true;
    const maxS = (untilReserveS[draw] as number) / factor;
    let takenS = 0;
    for (let i = 0; i < this.count; i++) {
      takenS += (this.outs[i]?.[draw] as number) + (this.works[i]?.[draw] as number);
      if (!(takenS + (this.homes[i]?.[draw] as number) <= maxS)) return true;
    }
    return !(takenS * factor <= (untilHalfS[draw] as number));
  }

  /** Until touch-down, after whichever take that is longest. */
  wholeS(draw: number): number {
    let [takenS, wholeS] = [0, 0];
    for (let i = 0; i < this.count; i++) {
      takenS += (this.outs[i]?.[draw] as number) + (this.works[i]?.[draw] as number);
      wholeS = Math.max(wholeS, takenS + (this.homes[i]?.[draw] as number));
    }
    return wholeS;
  }
}
