import { lightBetween } from '../../air/light';
import type { Coordinates, Light } from '../../air/sun';
import { dayS, type PlanRequest } from './request';
import type { LightWish, Shot } from './shot';

/** A stretch of the shoot, seconds from its start. */
export interface Window {
  readonly fromS: number;
  readonly untilS: number;
}

const lightOf: Readonly<Record<LightWish, Light>> = {
  'civil-twilight': 'twilight',
  'low-sun': 'low sun',
  day: 'day',
};

/** When a take of a shot may be in the air, in order of time; null where at any time. Windows without room for it are left out. */
export function windowsOf(
  shot: Pick<Shot, 'earliestAt' | 'latestAt' | 'light' | 'durationS'>,
  startMs: number,
  untilS: number,
  coordinates: Coordinates | null,
): readonly Window[] | null {
  const { earliestAt, latestAt, light } = shot;
  if (!earliestAt && !latestAt && !light) return null;
  const secondsOf = (at: string) => (Date.parse(at) - startMs) / 1000;
  const clock = {
    fromS: Math.max(0, earliestAt ? secondsOf(earliestAt) : 0),
    untilS: Math.min(untilS, latestAt ? secondsOf(latestAt) : untilS),
  };
  const lit = light && coordinates ? litWindows(light, startMs, untilS, coordinates) : [clock];
  return lit
    .map(({ fromS, untilS }) => ({
      fromS: Math.max(fromS, clock.fromS),
      untilS: Math.min(untilS, clock.untilS),
    }))
    .filter(({ fromS, untilS }) => untilS - fromS >= shot.durationS);
}

function litWindows(wish: LightWish, startMs: number, untilS: number, coordinates: Coordinates): Window[] {
  return lightBetween(startMs, startMs + untilS * 1000, coordinates)
    .filter(({ light }) => light === lightOf[wish])
    .map(({ fromMs, toMs }) => ({ fromS: (fromMs - startMs) / 1000, untilS: (toMs - startMs) / 1000 }));
}

/** When the light or the time is over in which a take begins at an instant; null where it may be flown at any time. */
export function windowUntilMs(
  { startAt, endAt, coordinates }: Pick<PlanRequest, 'startAt' | 'endAt' | 'coordinates'>,
  shot: Pick<Shot, 'earliestAt' | 'latestAt' | 'light' | 'durationS'>,
  takeAt: string,
): number | null {
  if (!shot.light && !shot.latestAt) return null;
  const startMs = Date.parse(startAt);
  const untilS = endAt ? (Date.parse(endAt) - startMs) / 1000 : dayS;
  const takeS = (Date.parse(takeAt) - startMs) / 1000;
  const windows = windowsOf(shot, startMs, untilS, coordinates ?? null);
  const window = windows?.find(({ fromS, untilS }) => fromS <= takeS + 1 && takeS < untilS);
  return window ? startMs + window.untilS * 1000 : null;
}

/** The earliest start from a time on at which something as long fits into a window; null where none does. */
export function startWithin(
  windows: readonly Window[] | null,
  fromS: number,
  durationS: number,
): number | null {
  if (windows === null) return fromS;
  for (const window of windows) {
    const startS = Math.max(fromS, window.fromS);
    if (startS + durationS <= window.untilS + 1e-6) return startS;
  }
  return null;
}
