import geodesic from 'geographiclib-geodesic';
import { maxObstacles, type Obstacle, obstacleRanges } from '../air/obstacle';
import type { Coordinates } from '../air/sun';
import { toCartesian, toPolar } from '../reserve/plane';
import { fittingName } from '../units/names';
import { type Outcome, refuse, success } from '../units/outcome';
import { outOfRange } from '../units/outOfRange';
import { type Sentence, sentence } from '../units/sentence';
import { fileTooLong, longestFile } from './fileLength';

export type LeftOut = Sentence<'no-height' | 'no-place' | 'out-of-range'>;

/** What a file holds that stands about home, and what was left out, with the reason. */
export interface ObstaclesRead {
  readonly obstacles: readonly Obstacle[];
  readonly leftOut: readonly { readonly name: string; readonly reason: LeftOut }[];
}

const maxFeatures = 5000;

interface Feature {
  readonly properties?: Readonly<Record<string, unknown>> | null;
  readonly geometry?: { readonly coordinates?: unknown } | null;
}

/**
 * Things about home from GeoJSON (RFC 7946): each feature where it stands, as the circle about its corners, seen from home by the
 * geodesic of WGS 84 (Karney 2013); its height from a property "height" in metres. Refused when the text is no GeoJSON; a feature
 * without height or place, or out of range, is left out and told.
 */
export function readObstacles(text: string, home: Coordinates): Outcome<ObstaclesRead> {
  if (text.length > longestFile) return fileTooLong(text);
  const features = featuresOf(text);
  if (!features) return refuse('not-geojson', 'This is no GeoJSON: a FeatureCollection is needed.');
  if (features.length > maxFeatures) return tooMany(maxFeatures, features.length);
  const obstacles: Obstacle[] = [];
  const leftOut: { name: string; reason: LeftOut }[] = [];
  features.forEach((feature, i) => {
    const name = wordsOf(feature.properties?.name) || `thing ${i + 1}`;
    const read = obstacleOf(feature, name, home);
    if ('code' in read) leftOut.push({ name, reason: read });
    else obstacles.push(read);
  });
  if (obstacles.length > maxObstacles) return tooMany(maxObstacles, obstacles.length);
  obstacles.sort((a, b) => a.distanceM - b.distanceM);
  return success({ obstacles, leftOut });
}

function tooMany(maxCount: number, readCount: number) {
  return refuse('too-many-features', 'At most {mostCount} obstacles are read; these are {readCount}.', {
    mostCount: maxCount,
    readCount,
  });
}

function featuresOf(text: string): readonly Feature[] | null {
  try {
    const read = JSON.parse(text) as { type?: string; features?: unknown } | null;
    if (read?.type === 'Feature') return [read as Feature];
    if (read?.type !== 'FeatureCollection' || !Array.isArray(read.features)) return null;
    return read.features.filter((one): one is Feature => typeof one === 'object' && one !== null);
  } catch {
    return null;
  }
}

/** The obstacle, or why it is left out. */
function obstacleOf({ properties, geometry }: Feature, name: string, home: Coordinates): Obstacle | LeftOut {
  const heightM = metresOf(properties?.height ?? properties?.heightM);
  if (!(heightM > 0)) return sentence('no-height', 'it has no height');
  const corners = cornersOf(geometry?.coordinates).map((corner) => toCartesian(seenFromHome(corner, home)));
  if (corners.length === 0) return sentence('no-place', 'it has no place');
  const east = span(corners.map(({ eastM }) => eastM));
  const north = span(corners.map(({ northM }) => northM));
  const middle = { eastM: (east.least + east.most) / 2, northM: (north.least + north.most) / 2 };
  const radiusM = corners.reduce(
    (most, { eastM, northM }) => Math.max(most, Math.hypot(eastM - middle.eastM, northM - middle.northM)),
    0,
  );
  const { distanceM, bearingDeg } = toPolar(middle);
  const begins = Math.max(0, distanceM - radiusM);
  const obstacle = {
    name,
    distanceM: Math.round(begins),
    bearingDeg: Math.round(bearingDeg * 10) / 10,
    widthM: Math.round(distanceM + radiusM - begins),
    heightM,
  };
  const problem =
    outOfRange(obstacleRanges.distanceM, obstacle.distanceM) ??
    outOfRange(obstacleRanges.widthM, obstacle.widthM) ??
    outOfRange(obstacleRanges.heightM, obstacle.heightM);
  return problem ?? obstacle;
}

/** The ends of a list, which may be longer than a call takes arguments. */
function span(values: readonly number[]): { readonly least: number; readonly most: number } {
  const [first = Number.NaN] = values;
  return values.reduce(
    ({ least, most }, value) => ({ least: Math.min(least, value), most: Math.max(most, value) }),
    { least: first, most: first },
  );
}

/** A name is a text or a number; anything else names nothing. */
function wordsOf(name: unknown): string {
  return typeof name === 'string' || typeof name === 'number' ? fittingName(String(name)) : '';
}

/** A height is a number, or a text that is one. */
function metresOf(height: unknown): number {
  if (typeof height === 'string') return height.trim() === '' ? Number.NaN : Number(height);
  return typeof height === 'number' ? height : Number.NaN;
}

/** A multi-polygon nests its positions four deep; what is deeper is no geometry (RFC 7946, 3.1). */
const deepest = 4;

/** All positions of a geometry: [longitude, latitude]. */
function cornersOf(coordinates: unknown, depth = 1): [number, number][] {
  if (!Array.isArray(coordinates) || depth > deepest) return [];
  const [longitude, latitude] = coordinates;
  if (typeof longitude === 'number' && typeof latitude === 'number') {
    return Math.abs(latitude) <= 90 && Math.abs(longitude) <= 180 ? [[longitude, latitude]] : [];
  }
  return coordinates.flatMap((inner) => cornersOf(inner, depth + 1));
}

function seenFromHome([longitude, latitude]: [number, number], home: Coordinates) {
  const { s12 = 0, azi1 = 0 } = geodesic.Geodesic.WGS84.Inverse(
    home.latitudeDeg,
    home.longitudeDeg,
    latitude,
    longitude,
  );
  return { distanceM: s12, bearingDeg: (azi1 + 360) % 360 };
}
