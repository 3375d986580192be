import { beyondBounds, misses } from '../core/fixtures/measuredFlights';
import { median, minutesAndSeconds } from '../core/src/index';

const percent = (fraction: number) => `${fraction >= 0 ? '+' : '−'}${Math.abs(fraction * 100).toFixed(1)} %`;
const clock = (seconds: number) => minutesAndSeconds(seconds).padStart(5);

const all = misses();
console.log(
  'flight                     to      flown   estimated (P10–P90)       miss           box × share of charge',
);
for (const { flight, charge, flownS, estimatedS, bandS, missFraction, byShareS } of all) {
  const inside = flownS >= bandS[0] && flownS <= bandS[1];
  console.log(
    [
      flight.padEnd(26),
      `${String(Math.round(charge * 100)).padStart(3)} %  ${clock(flownS)}`,
      `${clock(estimatedS)} (${clock(bandS[0])}–${clock(bandS[1])})`,
      percent(missFraction).padStart(9),
      inside ? 'inside ' : 'outside',
      percent(byShareS / flownS - 1).padStart(9),
    ].join('  '),
  );
}
const size = (values: readonly number[]) => percent(median(values.map(Math.abs)));
const insideCount = all.filter(({ flownS, bandS }) => flownS >= bandS[0] && flownS <= bandS[1]).length;
console.log(
  `\nmedian miss ${size(all.map((m) => m.missFraction))} over ${all.length} timings of ${new Set(all.map((m) => m.flight)).size} flights; ${insideCount} inside their band`,
);
console.log(`box minutes times the share of charge: ${size(all.map((m) => m.byShareS / m.flownS - 1))}`);

const beyond = beyondBounds(all);
for (const line of beyond) console.log(`beyond its bound: ${line}`);
if (beyond.length === 0) console.log('every flight within its stated bound');
process.exitCode = beyond.length === 0 ? 0 : 1;
