import { obstacleRanges, obstaclesAlong, type ReturnAnswer, type ReturnRequest } from '@acorn-tally/core';

export interface Scale {
  /** Metres at the right edge and at the top. */
  readonly farM: number;
  readonly highM: number;
  readonly x: (distanceM: number) => number;
  readonly y: (heightM: number) => number;
  readonly distanceAt: (x: number) => number;
  readonly heightAt: (y: number) => number;
}

export const margins = { left: 44, right: 66, top: 22, bottom: 34 } as const;

export type Extent = Pick<Scale, 'farM' | 'highM'>;

/** How much must be seen: all of the flight and what stands in the way, with room to drag the aircraft farther. */
export function extentFor({ position, obstacles, returnHeightM }: ReturnRequest): Extent {
  // What may stand anywhere, once home has moved, ends nowhere.
  const met = obstaclesAlong(obstacles ?? [], position.bearingDeg);
  const bounded = met.filter(({ widthM }) => widthM <= obstacleRanges.widthM.max);
  const ends = bounded.map(({ distanceM, widthM }) => distanceM + widthM);
  const tops = met.map(({ heightM }) => heightM);
  return {
    farM: niceAbove(Math.max(100, position.distanceM * 1.25, ...ends)),
    highM: niceAbove(Math.max(40, position.heightM, returnHeightM ?? 0, ...tops) * 1.35),
  };
}

/** From metres to pixels. */
export function scaleFor({ farM, highM }: Extent, widthPx: number, heightPx: number): Scale {
  const across = widthPx - margins.left - margins.right;
  const up = heightPx - margins.top - margins.bottom;
  return {
    farM,
    highM,
    x: (distanceM) => margins.left + (distanceM / farM) * across,
    y: (heightM) => margins.top + (1 - heightM / highM) * up,
    distanceAt: (x) => Math.min(farM, Math.max(0, ((x - margins.left) / across) * farM)),
    heightAt: (y) => Math.min(highM, Math.max(0, (1 - (y - margins.top) / up) * highM)),
  };
}

/** Ticks in steps of 1, 2 or 5 times a power of ten, at most six. */
export function ticksTo(end: number): number[] {
  const power = 10 ** Math.floor(Math.log10(end / 6));
  const step = ([1, 2, 5, 10].find((one) => one * power >= end / 6 - 1e-9) ?? 10) * power;
  return Array.from({ length: Math.floor(end / step + 1e-9) + 1 }, (_, i) => i * step);
}

function niceAbove(value: number): number {
  const power = 10 ** Math.floor(Math.log10(value));
  return (([1, 1.5, 2, 3, 4, 5, 6, 8, 10].find((one) => one * power >= value - 1e-9) ?? 10) *
    power) as number;
}

/** Corners of the way home as it is flown, metres from home and up; it ends where it lands itself or the pack gives out. */
export function pathOf(
  request: ReturnRequest,
  { home }: ReturnAnswer,
): { distanceM: number; heightM: number }[] {
  const { position } = request;
  let [distanceM, heightM] = [position.distanceM, position.heightM];
  const path = [{ distanceM, heightM }];
  for (const { kind, groundMps, durationS, heightM: after } of home.legs) {
    if (kind === 'cruise') distanceM = Math.max(0, distanceM - groundMps * durationS);
    else heightM = after;
    path.push({ distanceM, heightM });
  }
  if (home.forcedLanding) {
    const { shortM, heightM: fromM } = home.forcedLanding;
    path.push({ distanceM: shortM, heightM: fromM }, { distanceM: shortM, heightM: 0 });
  }
  return path;
}
