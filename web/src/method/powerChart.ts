import type { AirspeedCurve, AtAirspeed, PowerCurve } from '@acorn-tally/core';

export interface Point {
  readonly x: number;
  readonly y: number;
}

/** One of the two charts: the same two airs, by power or by minutes. */
export interface AirLines {
  readonly box: AirLine;
  readonly today: AirLine;
}

export interface AirLine {
  readonly line: readonly Point[];
  readonly longest: Point;
  readonly farthest: Point | null;
}

const watts = ({ airspeedMps, powerW }: AtAirspeed): Point => ({ x: airspeedMps, y: powerW });
const minutes = ({ airspeedMps, lastsS }: AtAirspeed): Point => ({ x: airspeedMps, y: lastsS / 60 });

export function powerLines(curve: PowerCurve): AirLines {
  return { box: airLine(curve.box, watts), today: airLine(curve.today, watts) };
}

export function minuteLines(curve: PowerCurve): AirLines {
  return { box: airLine(curve.box, minutes), today: airLine(curve.today, minutes) };
}

function airLine(curve: AirspeedCurve, point: (at: AtAirspeed) => Point): AirLine {
  return {
    line: curve.points.map(point),
    longest: point(curve.longest),
    farthest: curve.farthest && point(curve.farthest),
  };
}
