import { type Coordinates, type Light, lightAt } from './sun';

/** A stretch of time in one light; instants in ms. */
export interface LitSpan {
  readonly fromMs: number;
  readonly toMs: number;
  readonly light: Light;
}

/** The sun crosses each of its limits more slowly than that, but where it only grazes one. */
const lookMs = 240_000;
const finestMs = 500;

/** The light over a place between two instants, without gaps; whenever it changes another span begins, to half a second. */
export function lightBetween(fromMs: number, toMs: number, coordinates: Coordinates): LitSpan[] {
  const lightOf = (ms: number) => lightAt(new Date(ms).toISOString(), coordinates);
  const spans: LitSpan[] = [];
  let [startMs, light] = [fromMs, lightOf(fromMs)];
  for (let ms = fromMs; ms < toMs; ) {
    const nextMs = Math.min(toMs, ms + lookMs);
    const next = lightOf(nextMs);
    if (next === light) {
      ms = nextMs;
      continue;
    }
    const changeMs = changeBetween(ms, nextMs, (one) => lightOf(one) !== light);
    spans.push({ fromMs: startMs, toMs: changeMs, light });
    [startMs, light, ms] = [changeMs, lightOf(changeMs), changeMs];
  }
  return toMs > startMs ? [...spans, { fromMs: startMs, toMs, light }] : spans;
}

/** The first moment after which something holds, which does not at the first instant and does at the last. */
function changeBetween(fromMs: number, toMs: number, holds: (ms: number) => boolean): number {
  let [before, after] = [fromMs, toMs];
  while (after - before > finestMs) {
    const middle = (before + after) / 2;
    if (holds(middle)) after = middle;
    else before = middle;
  }
  return after;
}
