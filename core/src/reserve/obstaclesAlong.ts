import type { Obstacle } from '../air/obstacle';

/** How far to the side of its way home an aircraft may be, by its position and the gusts (assumed; wider than pilots see it stray). */
export const corridorM = 40;

/**
 * What stands on the way along a bearing from home, seen along it: where it begins there and how far it reaches. A thing is taken as
 * round, as wide as it is said to be; it is met where it reaches into the corridor. What has no bearing stands on every way.
 */
export function obstaclesAlong(obstacles: readonly Obstacle[], bearingDeg: number): Obstacle[] {
  return obstacles.flatMap((one) => along(one, bearingDeg) ?? []).sort((a, b) => a.distanceM - b.distanceM);
}

function along(obstacle: Obstacle, wayDeg: number): Obstacle | null {
  const { bearingDeg, distanceM, widthM } = obstacle;
  if (bearingDeg == null) return obstacle;
  const radiusM = widthM / 2;
  const centreM = distanceM + radiusM;
  const angle = ((bearingDeg - wayDeg) * Math.PI) / 180;
  const [alongM, besideM] = [centreM * Math.cos(angle), Math.abs(centreM * Math.sin(angle))];
  if (besideM > corridorM + radiusM || alongM + radiusM < -corridorM) return null;
  const beginsM = Math.max(0, alongM - radiusM);
  return { ...obstacle, distanceM: beginsM, widthM: Math.max(0, alongM + radiusM - beginsM) };
}
