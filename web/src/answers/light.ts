import { type Coordinates, type Light, lightAt, sunTimes } from '@acorn-tally/core';

/** A stretch of time in one light; instants in ms. */
export interface LitSpan {
  readonly fromMs: number;
  readonly toMs: number;
  readonly light: Light;
}

const dayMs = 86_400_000;

/** The light over a place between two instants, without gaps; whenever it changes another span begins. */
export function lightBetween(fromMs: number, toMs: number, coordinates: Coordinates): LitSpan[] {
  const noons = Array.from(
    { length: Math.ceil((toMs - fromMs) / dayMs) + 2 },
    (_, i) => fromMs + (i - 0.5) * dayMs,
  );
  const edges = noons
    .map((ms) => sunTimes(new Date(ms).toISOString(), coordinates))
    .flatMap(({ dawn, rise, lowUntil, lowFrom, set, dusk }) => [dawn, rise, lowUntil, lowFrom, set, dusk])
    .map((at) => (at === null ? Number.NaN : Date.parse(at)))
    .filter((ms) => ms > fromMs && ms < toMs);
  const bounds = [...new Set([fromMs, ...edges.sort((a, b) => a - b), toMs])];
  const spans = bounds.slice(1).map((end, i): LitSpan => {
    const start = bounds[i] as number;
    return {
      fromMs: start,
      toMs: end,
      light: lightAt(new Date((start + end) / 2).toISOString(), coordinates),
    };
  });
  const joined: LitSpan[] = [];
  for (const span of spans) {
    const last = joined.at(-1);
    if (last?.light === span.light) joined[joined.length - 1] = { ...last, toMs: span.toMs };
    else joined.push(span);
  }
  return joined;
}
