import { mean } from '../statistics/line';
import { quantile } from '../statistics/quantile';
import type { TestPattern } from '../testFlights/testFlight';
import { eastAndNorthOf, withCoordinates } from './localDistance';
import type { LogSample } from './sample';

/** A hover drifts within this of its middle (assumed). */
const hoverRadiusM = 6;
const lowHoverM = 8;
/** So many times round is a circle, so many turns back there and back (assumed). */
const minRounds = 3;
const minReturns = 3;
/** How far a circle's distance from its middle may vary, as a share of it (assumed). */
const roundness = 0.25;

/** How a track seems to have been flown; null without positions, free flying where it is none of those that repeat. */
export function patternGuess(samples: readonly LogSample[]): TestPattern | null {
  const points = onPlane(samples);
  if (points.length < 10) return null;
  const middle = { x: mean(points.map(({ x }) => x)), y: mean(points.map(({ y }) => y)) };
  const away = points.map(({ x, y }) => Math.hypot(x - middle.x, y - middle.y));
  const heights = samples.flatMap(({ heightM }) => heightM ?? []);
  if (quantile(away, 0.9) < hoverRadiusM) {
    return heights.length > 0 && quantile(heights, 0.5) > lowHoverM ? 'high-hover' : 'low-hover';
  }
  const spread = Math.sqrt(mean(away.map((one) => (one - mean(away)) ** 2)));
  const round = points.map(({ x, y }) => Math.atan2(y - middle.y, x - middle.x));
  if (spread < roundness * mean(away) && Math.abs(turned(round)) > minRounds * 2 * Math.PI) return 'circle';
  return returns(points) >= minReturns ? 'there-and-back' : 'free-flying';
}

interface Point {
  readonly x: number;
  readonly y: number;
}

/** Metres east and north of the first position. */
function onPlane(samples: readonly LogSample[]): Point[] {
  const all = withCoordinates(samples);
  const first = all[0];
  if (!first) return [];
  return all.map((one) => {
    const { eastM, northM } = eastAndNorthOf(first, one);
    return { x: eastM, y: northM };
  });
}

/** The sum of all turns of an angle, rad. */
function turned(angles: readonly number[]): number {
  return angles.slice(1).reduce((sum, angle, i) => {
    const step = angle - (angles[i] as number);
    return sum + Math.atan2(Math.sin(step), Math.cos(step));
  }, 0);
}

/** How often it came back along the line on which it mostly flew: passages through the middle of its longest axis. */
function returns(points: readonly Point[]): number {
  const [mx, my] = [mean(points.map(({ x }) => x)), mean(points.map(({ y }) => y))];
  const sxx = mean(points.map(({ x }) => (x - mx) ** 2));
  const syy = mean(points.map(({ y }) => (y - my) ** 2));
  const sxy = mean(points.map(({ x, y }) => (x - mx) * (y - my)));
  const axis = 0.5 * Math.atan2(2 * sxy, sxx - syy);
  const along = points.map(({ x, y }) => (x - mx) * Math.cos(axis) + (y - my) * Math.sin(axis));
  const across = points.map(({ x, y }) => (y - my) * Math.cos(axis) - (x - mx) * Math.sin(axis));
  // A line is far longer than wide.
  if (quantile(across.map(Math.abs), 0.9) > 0.3 * quantile(along.map(Math.abs), 0.9)) return 0;
  const sides = along.map(Math.sign).filter((side) => side !== 0);
  return sides.slice(1).filter((side, i) => side !== sides[i]).length;
}
