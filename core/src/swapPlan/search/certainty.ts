import { mayFail } from '../../statistics/orderStatistic';
import { getOrCreate } from '../../units/getOrCreate';
import { type Departure, type ExactFlight, isSure, sureFlight } from '../physics/exactFlight';
import { Fleet } from '../physics/fleet';
import { hardestDraws } from '../physics/hardestDraws';
import { Verdicts } from '../physics/verdicts';
import type { Problem } from '../request/problem';

/**
 * What a plan is sought and bound with, and flown in first: the hardest draws that may all fail, and of the next so many of all. Which
 * draws are hard differs from flight to flight, by its wind and its pack, so that some that fail stand farther down.
 */
const heldShare = 0.15;
/** Fewer of them are flown first. */
const flownShare = 0.05;
/** So few draws all count while a plan is sought. */
const fewDraws = 128;
/** Flights held as they were flown, since what is verified is described later. */
const maxFlightsHeld = 60;

/** In which draws a flight must be sure: a look at what would be looks at the hardest alone. */
export type Draws = 'all draws' | 'hardest draws';

/**
 * Which flights of a fleet are sure, by flying them; what is not is learned by its verdicts. What is known does not hang on which packs and
 * chargers are at hand, so that planners of one fleet share it.
 */
export class Certainty {
  private readonly sureInHardest = new Map<string, boolean>();
  private readonly sureInAll = new Set<string>();

  private constructor(
    readonly fleet: Fleet,
    /** The draws, the hardest first. */
    readonly order: readonly number[],
    /** What a plan is sought with. */
    readonly verdicts: Verdicts,
    readonly hardest: Verdicts,
    private readonly flownFirst: readonly number[],
    private readonly exact: Map<string, ExactFlight>,
  ) {}

  static of(problem: Problem, known?: readonly number[]): Certainty {
    const fleet = new Fleet(problem);
    const order = known ?? hardestDraws(fleet);
    const failing = mayFail(problem.confidence, order.length);
    const beyond = (share: number) => order.slice(0, failing + Math.max(1, Math.round(share * order.length)));
    const hardest = new Verdicts(fleet, beyond(heldShare), failing);
    const verdicts = order.length <= fewDraws ? new Verdicts(fleet, order, failing) : hardest;
    return new Certainty(fleet, order, verdicts, hardest, beyond(flownShare), new Map());
  }

  /** The same with verdicts of all draws, which know nothing yet of what was not sure. */
  ofAllDraws(): Certainty {
    const { fleet, order, hardest, flownFirst, exact } = this;
    return new Certainty(fleet, order, new Verdicts(fleet, order), hardest, flownFirst, exact);
  }

  isSure(departure: Departure, draws: Draws): boolean {
    if (!this.isNearlySure(departure)) return false;
    const key = departureKey(departure);
    if (draws === 'hardest draws' || this.sureInAll.has(key)) return true;
    if (this.flown(departure)) {
      this.sureInAll.add(key);
      return true;
    }
    this.sureInHardest.set(key, false);
    this.verdicts.learnNotSure(departure);
    return false;
  }

  /** By sums where they leave no doubt, else flown in the hardest draws, of which as many may fail as of all. */
  private isNearlySure(departure: Departure): boolean {
    const { fleet, hardest, flownFirst, sureInHardest } = this;
    return getOrCreate(sureInHardest, departureKey(departure), () => {
      const { pack, state, weather, takes } = departure;
      const is =
        hardest.surely(pack, state, weather, takes) === true ||
        isSure(fleet, departure, flownFirst, hardest.maxFailures);
      if (!is) this.verdicts.learnNotSure(departure);
      return is;
    });
  }

  /** Those of some flights that are not sure, so that all is known at once; all draws are flown only where the hardest let every flight be. */
  unsureOf<Flight extends Departure>(flights: readonly Flight[], draws: Draws): Flight[] {
    const unsure = flights.filter((flight) => !this.isNearlySure(flight));
    return unsure.length > 0 || draws === 'hardest draws'
      ? unsure
      : flights.filter((flight) => !this.isSure(flight, draws));
  }

  /** A flight in every draw; null where it is not sure. */
  flown(departure: Departure): ExactFlight | null {
    const { fleet, order, exact } = this;
    const key = departureKey(departure);
    const known = exact.get(key);
    if (known) return known;
    const made = sureFlight(fleet, departure, order);
    if (!made) return null;
    const [oldest] = exact.keys();
    if (oldest !== undefined && exact.size >= maxFlightsHeld) exact.delete(oldest);
    exact.set(key, made);
    return made;
  }
}

/** Takes of a shot are alike. */
function departureKey({ pack, weather, state, takes }: Departure): string {
  const { asKept, charge, temperatureC } = state;
  return `${pack.index} ${weather} ${asKept} ${charge} ${temperatureC} ${takes.map(({ shotIndex }) => shotIndex).join()}`;
}
