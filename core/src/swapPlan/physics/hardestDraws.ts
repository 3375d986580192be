import { type Problem, quarterS, type Take } from '../request/problem';
import { asKept, type Fleet } from './fleet';
import { Verdicts } from './verdicts';

/** Takes that are looked at: draws that are hard for some are hard for all. */
const maxSampled = 5;
/** What a flight takes of its pack in a draw that cannot fly it at all. */
const impossibleShare = 2;

/** The draws of a fleet, those first in which flights of this request take most of their packs, early and late in it. */
export function hardestDraws(fleet: Fleet): number[] {
  const { problem, draws } = fleet;
  const weights = new Float64Array(draws.length);
  const verdicts = new Verdicts(fleet, draws);
  for (const weather of sampledWeathers(problem)) {
    for (const take of sampledTakes(problem)) {
      const pack = strongestPack(problem, take);
      if (!pack) continue;
      const has = verdicts.capacity(pack, asKept(pack), weather).untilReserveS;
      const flight = verdicts.flightsOf(pack.kind, weather);
      const stretches = [flight.out(null, take), flight.work(take), flight.home(take)];
      for (const d of draws) {
        const takenS = stretches.reduce((sum, { equivalents }) => sum + (equivalents[d] as number), 0);
        const share = takenS / (has[d] as number);
        weights[d] = (weights[d] as number) + (share <= impossibleShare ? share : impossibleShare);
      }
    }
  }
  return [...draws].sort((a, b) => (weights[b] as number) - (weights[a] as number) || a - b);
}

/** The first that is known, and one about when the last flights are flown: half of a shoot is in the air. */
function sampledWeathers({ weathers, takes }: Problem): Set<number> {
  const known = weathers.flatMap((one, weather) => (one ? [weather] : []));
  const lastsS = 2 * takes.reduce((sum, { shot, setUpS }) => sum + shot.durationS + setUpS, 0);
  const [first, later] = [known[0], known[Math.min(known.length - 1, Math.round(lastsS / quarterS))]];
  return new Set([first, later].flatMap((weather) => weather ?? []));
}

/** As far apart in the list as may be. */
function sampledTakes({ takes }: Problem): Take[] {
  const step = Math.max(1, Math.ceil(takes.length / maxSampled));
  return takes.filter((_, i) => i % step === 0);
}

function strongestPack({ packs }: Problem, { aircraftIndex }: Take) {
  return packs
    .filter((pack) => aircraftIndex === null || aircraftIndex === pack.aircraftIndex)
    .reduce<(typeof packs)[number] | null>(
      (best, pack) => (!best || pack.startCharge > best.startCharge ? pack : best),
      null,
    );
}
