import { misses } from '../core/fixtures/measuredFlights';
import { median, minutesAndSeconds } from '../core/src/index';

const percent = (fraction: number) => `${fraction >= 0 ? '+' : '−'}${Math.abs(fraction * 100).toFixed(1)} %`;

const all = misses();
for (const miss of all) {
  console.log(
    `${miss.flight.padEnd(26)} to ${String(Math.round(miss.charge * 100)).padStart(2)} %  flown ${minutesAndSeconds(miss.flownS).padStart(5)}  ` +
      `estimated ${minutesAndSeconds(miss.estimatedS).padStart(5)}  ${percent(miss.missFraction).padStart(8)}  ` +
      `box × share ${percent(miss.byShareS / miss.flownS - 1).padStart(8)}`,
  );
}
const size = (values: readonly number[]) => median(values.map(Math.abs));
console.log(`\nmedian miss ${percent(size(all.map((m) => m.missFraction)))} over ${all.length} timings`);
console.log(
  `box minutes times the share of charge: ${percent(size(all.map((m) => m.byShareS / m.flownS - 1)))}`,
);
