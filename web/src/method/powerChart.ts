import type { AirspeedCurve, AtAirspeed, PowerCurve } from '@acorn-tally/core';

export interface PowerPoint {
  readonly x: number;
  readonly y: number;
}

/** One of the two charts: the same two airs, by power or by minutes. */
export interface AirLines {
  readonly box: AirLine;
  readonly today: AirLine;
}

export interface AirLine {
  readonly line: readonly PowerPoint[];
  readonly longest: PowerPoint;
  readonly farthest: PowerPoint | null;
}

type PointOf = (at: AtAirspeed) => PowerPoint;
const watts =
  (unitMps: number): PointOf =>
  ({ airspeedMps, powerW }) => ({ x: airspeedMps / unitMps, y: powerW });
const minutes =
  (unitMps: number): PointOf =>
  ({ airspeedMps, lastsS }) => ({ x: airspeedMps / unitMps, y: lastsS / 60 });

/** Against airspeed in a unit of `unitMps` metres per second. */
export function powerLines(curve: PowerCurve, unitMps = 1): AirLines {
  return { box: airLine(curve.box, watts(unitMps)), today: airLine(curve.today, watts(unitMps)) };
}

export function minuteLines(curve: PowerCurve, unitMps = 1): AirLines {
  return { box: airLine(curve.box, minutes(unitMps)), today: airLine(curve.today, minutes(unitMps)) };
}

function airLine(curve: AirspeedCurve, point: PointOf): AirLine {
  return {
    line: curve.points.map(point),
    longest: point(curve.longest),
    farthest: curve.farthest && point(curve.farthest),
  };
}
