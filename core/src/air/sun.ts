import { getPosition, getTimes } from 'suncalc';

/** A place on the ground in degrees, north and east positive. */
export interface Coordinates {
  readonly latitudeDeg: number;
  readonly longitudeDeg: number;
}

/** When the light changes on one day, ISO 8601 in UTC; null where it does not happen that day at that latitude. */
export interface SunTimes {
  readonly dawn: string | null;
  readonly rise: string | null;
  readonly lowUntil: string | null;
  readonly lowFrom: string | null;
  readonly set: string | null;
  readonly dusk: string | null;
  /** The sun does not set that day, or does not rise. */
  readonly always: 'up' | 'down' | null;
}

/**
 * Sun times of the day around an instant: civil twilight begins and ends with the sun 6° below the horizon; it is low, for
 * warm light and long shadows, up to 6° above. From a package, which follows Meeus, Astronomical Algorithms.
 */
export function sunTimes(at: string, { latitudeDeg, longitudeDeg }: Coordinates): SunTimes {
  const times = getTimes(new Date(at), latitudeDeg, longitudeDeg);
  const iso = (date: Date | null) => date?.toISOString() ?? null;
  return {
    dawn: iso(times.dawn),
    rise: iso(times.sunrise),
    lowUntil: iso(times.goldenHourEnd),
    lowFrom: iso(times.goldenHour),
    set: iso(times.sunset),
    dusk: iso(times.dusk),
    always: times.alwaysUp ? 'up' : times.alwaysDown ? 'down' : null,
  };
}

export type Light = 'night' | 'twilight' | 'low sun' | 'day';

/** The sun's centre stands here when its upper edge rises, refraction included (Meeus, ch. 15); then the two limits above. */
const risesAtDeg = -0.833;
const civilDeg = -6;
const lowDeg = 6;

/** The light at an instant, by the sun's height. */
export function lightAt(at: string, { latitudeDeg, longitudeDeg }: Coordinates): Light {
  const { altitude } = getPosition(new Date(at), latitudeDeg, longitudeDeg);
  if (altitude > apparentDeg(lowDeg)) return 'day';
  if (altitude > apparentDeg(risesAtDeg)) return 'low sun';
  return altitude > apparentDeg(civilDeg) ? 'twilight' : 'night';
}

/**
 * Where refraction shows what stands at a height, degrees; the limits of light are heights without it, the package gives them with
 * it. R = 1.02′ / tan(h + 10.26 / (h + 5.10)) (Meeus, 16.4), below the horizon as on it, as the package has it.
 */
function apparentDeg(trueDeg: number): number {
  const held = Math.max(0, trueDeg);
  return trueDeg + 1.02 / 60 / Math.tan(((held + 10.26 / (held + 5.1)) * Math.PI) / 180);
}

/** Where the sun stands, in degrees: azimuth true, clockwise from north; altitude with refraction. */
export interface SunPosition {
  readonly azimuthDeg: number;
  readonly altitudeDeg: number;
}

/** From a package, which follows Meeus, Astronomical Algorithms. */
export function sunPosition(at: string, { latitudeDeg, longitudeDeg }: Coordinates): SunPosition {
  const { azimuth, altitude } = getPosition(new Date(at), latitudeDeg, longitudeDeg);
  return { azimuthDeg: azimuth, altitudeDeg: altitude };
}
