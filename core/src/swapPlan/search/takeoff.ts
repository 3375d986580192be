import type { Conditions } from '../../air/conditions';
import type { Times } from '../physics/verdicts';
import { wholeMinuteFrom } from '../request/minutes';
import type { Problem, Take } from '../request/problem';
import { startWithin } from '../request/windows';

/** The first take-off from a time on with which each take lies in a window of its own; null where there is none. */
export function withinWindows(takes: readonly Take[], times: Times, fromS: number) {
  let takeoffS = fromS;
  let heldBy: Take | null = null;
  for (let changed = true; changed; ) {
    changed = false;
    for (const [i, take] of takes.entries()) {
      if (take.windows === null) continue;
      const { beginS } = times.takes[i] as Times['takes'][number];
      const startS = startWithin(take.windows, takeoffS + beginS, take.shot.durationS);
      if (startS === null) return null;
      if (startS > takeoffS + beginS + 1e-6) {
        takeoffS = wholeMinuteFrom(startS - beginS);
        heldBy = take;
        changed = true;
      }
    }
  }
  return { takeoffS, heldBy };
}

/** Less of a difference is not waited for. */
const kinderMps = 0.2;
const kinderC = 1;

/** The next hour's weather that is calmer or warmer than one in which a flight was too much; null where none is. */
export function kinderWeather({ weathers, weatherKnots }: Problem, weather: number): number | null {
  const hard = weathers[weather];
  const isKinder = (one: Conditions) =>
    !hard ||
    one.wind.speedMps <= hard.wind.speedMps - kinderMps ||
    (one.wind.gustMps ?? 0) <= (hard.wind.gustMps ?? 0) - kinderMps ||
    one.airTemperatureC >= hard.airTemperatureC + kinderC;
  return weatherKnots.find((at) => at > weather && weathers[at] && isKinder(weathers[at])) ?? null;
}
