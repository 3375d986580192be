import geodesic from 'geographiclib-geodesic';
import { type Obstacle, obstacleRanges } from '../air/obstacle';
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
  if (features.length > mostFeatures)
    return refuse('too-many-features', 'At most {mostCount} things are read; these are {readCount}.', {
      mostCount: mostFeatures,
      readCount: features.length,
    });
  const obstacles: Obstacle[] = [];
  const leftOut: { name: string; reason: LeftOut }[] = [];
  features.forEach((feature, i) => {
    const name = String(feature.properties?.name ?? `thing ${i + 1}`).slice(0, 60);
    const read = obstacleOf(feature, name, home, bearingDeg);
    if ('code' in read) leftOut.push({ name, reason: read });
    else obstacles.push(read);
  });
  obstacles.sort((a, b) => a.distanceM - b.distanceM);
  return success({ obstacles, leftOut });
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
  const heightM = Number(properties?.height ?? properties?.heightM ?? Number.NaN);
  if (!(heightM > 0)) return sentence('no-height', 'it has no height');
  const corners = cornersOf(geometry?.coordinates).map((corner) => placed(corner, home, bearingDeg));
  if (corners.length === 0) return sentence('no-place', 'it has no place');
  const along = corners.map((corner) => corner.alongM);
  const beside = corners.map((corner) => corner.besideM);
  if (Math.min(...beside) > corridorM || Math.max(...beside) < -corridorM)
    return sentence('beside', 'it stands beside the way');
  if (Math.max(...along) < 0) return sentence('behind', 'it stands behind home');
  const distanceM = Math.max(0, Math.round(Math.min(...along)));
  const obstacle = { name, distanceM, widthM: Math.round(Math.max(...along)) - distanceM, heightM };
  const problem =
    outOfRange(obstacleRanges.distanceM, obstacle.distanceM) ??
    outOfRange(obstacleRanges.widthM, obstacle.widthM) ??
    outOfRange(obstacleRanges.heightM, obstacle.heightM);
  return problem ?? obstacle;
}

/** All positions of a geometry, however deep they are nested: [longitude, latitude]. */
function cornersOf(coordinates: unknown): [number, number][] {
  if (!Array.isArray(coordinates)) return [];
  const [longitude, latitude] = coordinates;
  if (typeof longitude === 'number' && typeof latitude === 'number') {
    return Math.abs(latitude) <= 90 && Math.abs(longitude) <= 180 ? [[longitude, latitude]] : [];
  }
  return coordinates.flatMap(cornersOf);
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
