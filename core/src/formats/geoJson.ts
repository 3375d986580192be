import geodesic from 'geographiclib-geodesic';
import { mostObstacles, type Obstacle, obstacleRanges } from '../air/obstacle';
import type { Coordinates } from '../air/sun';
import { type Outcome, refuse, success } from '../units/outcome';
import { outOfRange } from '../units/outOfRange';
import { type Sentence, sentence } from '../units/sentence';
import { fileTooLong, longestFile } from './fileLength';

export type LeftOut = Sentence<'no-height' | 'no-place' | 'beside' | 'behind' | 'out-of-range'>;

/** What a file holds that stands on the way home, and what was left out, with the reason. */
export interface ObstaclesRead {
  readonly obstacles: readonly Obstacle[];
  readonly leftOut: readonly { readonly name: string; readonly reason: LeftOut }[];
}

/** What stands farther to the side of the way than this is not in it (assumed; wider than an aircraft strays). */
const corridorM = 40;
const mostFeatures = 5000;

interface Feature {
  readonly properties?: Readonly<Record<string, unknown>> | null;
  readonly geometry?: { readonly coordinates?: unknown } | null;
}

/**
 * Things on the way home from GeoJSON (RFC 7946): each feature’s corners, as distance along and beside the bearing out from
 * home, by the geodesic of WGS 84 (Karney 2013); its height from a property "height" in metres. Refused when the text
 * is no GeoJSON; a feature without height, or beside the way, is left out and told.
 */
export function readObstacles(text: string, home: Coordinates, bearingDeg: number): Outcome<ObstaclesRead> {
  if (text.length > longestFile) return fileTooLong(text);
  const features = featuresOf(text);
  if (!features) return refuse('not-geojson', 'This is no GeoJSON: a FeatureCollection is needed.');
  if (features.length > mostFeatures) return tooMany(mostFeatures, features.length);
  const obstacles: Obstacle[] = [];
  const leftOut: { name: string; reason: LeftOut }[] = [];
  features.forEach((feature, i) => {
    const name = wordsOf(feature.properties?.name) || `thing ${i + 1}`;
    const read = obstacleOf(feature, name, home, bearingDeg);
    if ('code' in read) leftOut.push({ name, reason: read });
    else obstacles.push(read);
  });
  if (obstacles.length > mostObstacles) return tooMany(mostObstacles, obstacles.length);
  obstacles.sort((a, b) => a.distanceM - b.distanceM);
  return success({ obstacles, leftOut });
}

function tooMany(mostCount: number, readCount: number) {
  return refuse('too-many-features', 'At most {mostCount} things are read; these are {readCount}.', {
    mostCount,
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
function obstacleOf(
  { properties, geometry }: Feature,
  name: string,
  home: Coordinates,
  bearingDeg: number,
): Obstacle | LeftOut {
  const heightM = metresOf(properties?.height ?? properties?.heightM);
  if (!(heightM > 0)) return sentence('no-height', 'it has no height');
  const corners = cornersOf(geometry?.coordinates).map((corner) => placed(corner, home, bearingDeg));
  if (corners.length === 0) return sentence('no-place', 'it has no place');
  const along = span(corners.map((corner) => corner.alongM));
  const beside = span(corners.map((corner) => corner.besideM));
  if (beside.least > corridorM || beside.most < -corridorM)
    return sentence('beside', 'it stands beside the way');
  if (along.most < 0) return sentence('behind', 'it stands behind home');
  const distanceM = Math.max(0, Math.round(along.least));
  const obstacle = { name, distanceM, widthM: Math.round(along.most) - distanceM, heightM };
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
  return typeof name === 'string' || typeof name === 'number' ? String(name).trim().slice(0, 60) : '';
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

function placed([longitude, latitude]: [number, number], home: Coordinates, bearingDeg: number) {
  const { s12 = 0, azi1 = 0 } = geodesic.Geodesic.WGS84.Inverse(
    home.latitudeDeg,
    home.longitudeDeg,
    latitude,
    longitude,
  );
  const angle = ((azi1 - bearingDeg) * Math.PI) / 180;
  return { alongM: s12 * Math.cos(angle), besideM: s12 * Math.sin(angle) };
}
