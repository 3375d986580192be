import type { Pack, Problem, Take } from '../request/problem';
import type { FlightDraft, PlanDraft } from './draft';

/** Takes parts out of a draft, or turns it round, at random: what the search then makes whole again. */
export class Ruin {
  constructor(
    private readonly problem: Problem,
    private readonly random: () => number,
  ) {}

  of(draft: PlanDraft): PlanDraft {
    if (draft.length === 0) return draft;
    const kind = this.random();
    if (kind < 0.3) return this.withoutFlights(draft);
    if (kind < 0.7) return this.withoutTakes(draft);
    if (kind < 0.8) return this.withOtherPack(draft);
    if (kind < 0.88) return this.cutInTwo(draft);
    return this.problem.kept ? this.withoutTakes(draft) : this.withFlightsTurned(draft);
  }

  private withoutFlights(draft: PlanDraft): PlanDraft {
    const count = Math.min(draft.length, 1 + this.below(3));
    const at = this.below(draft.length - count + 1);
    return draft.toSpliced(at, count);
  }

  private withoutTakes(draft: PlanDraft): PlanDraft {
    const all = draft.flatMap(({ takes }) => takes);
    const count = Math.min(all.length, 1 + this.below(Math.max(3, Math.ceil(all.length / 4))));
    const start = this.below(all.length);
    const isString = this.random() < 0.5;
    const out = new Set(
      Array.from({ length: count }, (_, i) =>
        isString
          ? (all[(start + i) % all.length] as Take).index
          : (all[this.below(all.length)] as Take).index,
      ),
    );
    return draft
      .map(({ pack, takes }) => ({ pack, takes: takes.filter(({ index }) => !out.has(index)) }))
      .filter(({ takes }) => takes.length > 0);
  }

  private withOtherPack(draft: PlanDraft): PlanDraft {
    return withPack(this.problem, draft, this.below(draft.length), this.anyPack());
  }

  private cutInTwo(draft: PlanDraft): PlanDraft {
    const at = this.below(draft.length);
    const { pack, takes } = draft[at] as FlightDraft;
    if (takes.length < 2) return draft;
    const cut = 1 + this.below(takes.length - 1);
    const other = this.anyPack();
    return draft.toSpliced(
      at,
      1,
      { pack, takes: takes.slice(0, cut) },
      { pack: other, takes: takes.slice(cut) },
    );
  }

  private withFlightsTurned(draft: PlanDraft): PlanDraft {
    const [from, to] = [this.below(draft.length), this.below(draft.length)];
    const flight = draft[from] as FlightDraft;
    return draft.toSpliced(from, 1).toSpliced(to, 0, flight);
  }

  private anyPack(): number {
    const able = this.problem.packs.filter(({ index }) => !this.problem.excludedPacks.has(index));
    return (able[this.below(able.length)] as Pack).index;
  }

  private below(count: number): number {
    return Math.floor(this.random() * count);
  }
}

/** Without a charger a pack flies once: the two flights exchange theirs. */
export function withPack({ chargingPlaces }: Problem, draft: PlanDraft, at: number, pack: number): PlanDraft {
  const flight = draft[at] as FlightDraft;
  const other = draft.findIndex((one) => one.pack === pack);
  const swapped = draft.with(at, { ...flight, pack });
  if (other < 0 || chargingPlaces.length > 0) return swapped;
  return swapped.with(other, { ...(draft[other] as FlightDraft), pack: flight.pack });
}
