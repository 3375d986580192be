import { boxDrawn } from '../core/fixtures/beliefs';
import { goldenFlights } from '../core/fixtures/goldenTable';
import { bandsOf, defaultDraws } from '../core/src/index';

/**
 * Which seed's 512 draws plan the golden flights most like very many draws do: the root mean square of how far off their planned
 * charges (in points of the gauge) and planned times (in per cent) are. For choosing `defaultDraws`, belief/belief.ts.
 */
const candidates = 64;
const requests = goldenFlights.map(({ request }) => request);
const plannedWith = (draws: number, seed: number) =>
  bandsOf(requests, boxDrawn(draws, seed)).map((band) => ({
    charge: (band?.turnBackCharge.planned ?? 1) * 100,
    logS: Math.log(Math.max(1, band?.usableS.planned ?? 0)) * 100,
  }));

const truth = plannedWith(16_384, 1009);
const misses = Array.from({ length: candidates }, (_, i) => {
  const squares = plannedWith(defaultDraws.draws, i + 1).flatMap(({ charge, logS }, k) => [
    (charge - (truth[k]?.charge ?? 0)) ** 2,
    (logS - (truth[k]?.logS ?? 0)) ** 2,
  ]);
  return { seed: i + 1, off: Math.sqrt(squares.reduce((sum, one) => sum + one, 0) / squares.length) };
});
const ranked = [...misses].sort((a, b) => a.off - b.off);
for (const { seed, off } of ranked.slice(0, 5)) console.log(`seed ${seed}: off by ${off.toFixed(2)}`);
const place = ranked.findIndex(({ seed }) => seed === defaultDraws.seed) + 1;
console.log(
  `the usual seed ${defaultDraws.seed} is number ${place} of ${candidates}, off by ${misses[defaultDraws.seed - 1]?.off.toFixed(2)}`,
);
