import geodesic from 'geographiclib-geodesic';
import type { Coordinates } from '../air/sun';
import { maxShots, type Shot, shotRanges } from '../swapPlan/request/shot';
import { fittingName } from '../units/names';
import { type Outcome, refuse, success } from '../units/outcome';
import { violation } from '../units/quantity';
import type { CsvProblem } from './csv';
import { fileTooLong, longestFile } from './fileLength';
import { parseGpx } from './gpx';
import type { ShotRows } from './shotsCsv';

/** Whether a text is a map's and not a table: GPX or GeoJSON. */
export function isPoints(text: string): boolean {
  return /^\s*[{<]/.test(text);
}

interface Point extends Coordinates {
  readonly name: string;
}

const usually = { durationS: 240, style: 'slow', heightM: 30 } as const;

/**
 * Working points of a map as shots seen from home: waypoints and route points of GPX 1.1, points of GeoJSON (RFC 7946); distance
 * and bearing by the geodesic of WGS 84 (Karney 2013). Height, style and minutes are as usual, since a map's heights are above the
 * sea. One too far away is told by its place in the file and left out.
 */
export function readShotPoints(text: string, home: Coordinates, newId: () => string): Outcome<ShotRows> {
  if (text.length > longestFile) return fileTooLong(text);
  const points = /^\s*</.test(text) ? gpxPoints(text) : geoJsonPoints(text);
  if (!points || points.length === 0)
    return refuse('not-a-track', 'Neither GPX with waypoints nor GeoJSON with points is in this text.');
  if (points.length > maxShots)
    return refuse('too-many-rows', 'At most {mostCount} shots are read; these are {readCount}.', {
      mostCount: maxShots,
      readCount: points.length,
    });
  const problems: CsvProblem[] = [];
  const shots = points.flatMap(({ name, latitudeDeg, longitudeDeg }, i): Shot[] => {
    const way = geodesic.Geodesic.WGS84.Inverse(
      home.latitudeDeg,
      home.longitudeDeg,
      latitudeDeg,
      longitudeDeg,
    );
    const [distanceM, bearingDeg] = [Math.round(way.s12 ?? 0), Math.round(((way.azi1 ?? 0) + 360) % 360)];
    const problem = violation(shotRanges.distanceM, distanceM);
    if (problem) problems.push({ line: i + 1, column: name || null, message: problem });
    const called = fittingName(name) || `Point ${i + 1}`;
    return problem ? [] : [{ id: newId(), name: called, distanceM, bearingDeg, ...usually }];
  });
  return success({ shots, problems });
}

function gpxPoints(text: string): Point[] | null {
  const file = parseGpx(text);
  if (typeof file === 'string') return null;
  const { wpt = [], rte = [] } = file.gpx ?? {};
  const all = [...wpt, ...rte.flatMap(({ rtept }) => rtept ?? [])];
  return all.flatMap(({ lat, lon, name }) => pointAt(Number(lon), Number(lat), name));
}

function geoJsonPoints(text: string): Point[] | null {
  try {
    const read = JSON.parse(text) as { type?: string; features?: unknown };
    const features = read?.type === 'Feature' ? [read] : Array.isArray(read?.features) ? read.features : [];
    return (features as readonly GeoPoint[]).flatMap(({ geometry, properties }) => {
      if (geometry?.type !== 'Point' || !Array.isArray(geometry.coordinates)) return [];
      const [longitude, latitude] = geometry.coordinates as unknown[];
      return pointAt(Number(longitude), Number(latitude), properties?.name);
    });
  } catch {
    return null;
  }
}

interface GeoPoint {
  readonly geometry?: { readonly type?: string; readonly coordinates?: unknown } | null;
  readonly properties?: { readonly name?: unknown } | null;
}

function pointAt(longitudeDeg: number, latitudeDeg: number, name: unknown): Point[] {
  const isThere = Math.abs(latitudeDeg) <= 90 && Math.abs(longitudeDeg) <= 180;
  const called = typeof name === 'string' || typeof name === 'number' ? String(name).trim() : '';
  return isThere ? [{ latitudeDeg, longitudeDeg, name: called }] : [];
}
