import { parseGpx } from '../formats/gpx';
import { type Outcome, refuse, success } from '../units/outcome';
import { localDistanceM, type WithCoordinates } from './localDistance';
import type { LogSample, ReadLog } from './sample';

/** GPX 1.1: tracks of points with place, height and time. */
export function readGpx(text: string): Outcome<ReadLog> {
  const file = parseGpx(text);
  if (file === 'own-entities') {
    return refuse(
      'not-a-track',
      'This XML defines entities of its own, which no track needs: it is not read.',
    );
  }
  if (file === 'not-xml') return notGpx();
  const points = (file.gpx?.trk ?? []).flatMap(({ trkseg }) =>
    (trkseg ?? []).flatMap(({ trkpt }) => trkpt ?? []),
  );
  if (points.length === 0) return notGpx();
  return success(
    trackOf(points.map(({ lat, lon, ele, time }) => [Number(lon), Number(lat), ele ?? null, time ?? null])),
  );
}

function notGpx() {
  return refuse('not-a-track', 'This is no GPX with a track in it.');
}

/** GeoJSON (RFC 7946): a LineString with heights, its times in the property coordTimes or times (common practice). */
export function readGeoJsonTrack(text: string): Outcome<ReadLog> {
  let parsed: unknown;
  try {
    parsed = JSON.parse(text);
  } catch {
    return notGeoJson();
  }
  const features = (parsed as { features?: unknown[] })?.features ?? [parsed];
  const line = (Array.isArray(features) ? features : []).find(
    (one): one is LineFeature =>
      (one as LineFeature | null)?.geometry?.type === 'LineString' &&
      Array.isArray((one as LineFeature).geometry.coordinates),
  );
  if (!line) return notGeoJson();
  const times = line.properties?.coordTimes ?? line.properties?.times;
  return success(
    trackOf(
      line.geometry.coordinates.map((at, i) => [
        Number(at?.[0]),
        Number(at?.[1]),
        at?.[2] ?? null,
        Array.isArray(times) ? (times[i] ?? null) : null,
      ]),
    ),
  );
}

interface LineFeature {
  readonly geometry: {
    readonly type: 'LineString';
    readonly coordinates: readonly (readonly number[] | null)[];
  };
  readonly properties?: { readonly coordTimes?: unknown; readonly times?: unknown } | null;
}

function notGeoJson() {
  return refuse('not-a-track', 'This is no GeoJSON with a line in it.');
}

/** A sample of a track. */
type Point = LogSample & WithCoordinates;

type TrackPoint = readonly [lon: number, lat: number, ele: unknown, time: unknown];

/** Points with a place and a time, as samples; speed over ground from one to the next. */
function trackOf(points: readonly TrackPoint[]): ReadLog {
  const problems: ReadLog['problems'][number][] = [];
  let ground: number | null = null;
  const samples: Point[] = [];
  for (const [i, [longitudeDeg, latitudeDeg, ele, time]] of points.entries()) {
    const timeS = Date.parse(String(time)) / 1000;
    const isPlace = Math.abs(latitudeDeg) <= 90 && Math.abs(longitudeDeg) <= 180;
    if (!isPlace || !Number.isFinite(timeS)) {
      problems.push({ line: i + 1, message: `Point ${i + 1} has no ${isPlace ? 'time' : 'place'}.` });
      continue;
    }
    const elevation = ele === null || !Number.isFinite(Number(ele)) ? null : Number(ele);
    ground ??= elevation;
    samples.push({
      timeS,
      latitudeDeg,
      longitudeDeg,
      ...(elevation !== null && ground !== null && { heightM: elevation - ground }),
    });
  }
  samples.sort((a, b) => a.timeS - b.timeS);
  return {
    samples: samples.map((one, i) => withSpeed(one, samples[i - 1], samples[0] as Point)),
    isDated: true,
    problems: problems.slice(0, 20),
    leftOut: problems.length,
  };
}

/** With its distance from take-off, and its speed over ground since the point before. */
function withSpeed(sample: Point, before: Point | undefined, first: Point): LogSample {
  const distanceM = localDistanceM(first, sample);
  const lapseS = before ? sample.timeS - before.timeS : 0;
  if (!before || lapseS <= 0) return { ...sample, distanceM };
  return { ...sample, distanceM, speedMps: localDistanceM(before, sample) / lapseS };
}

/** A log and a track of the same flight as one: each sample of the log gets place, height and speed of the track's nearest point. */
export function mergeTrack(log: ReadLog, track: ReadLog): ReadLog {
  const { samples } = track;
  let at = 0;
  const nearest = (timeS: number) => {
    while (at < samples.length - 1 && (samples[at + 1]?.timeS ?? 0) <= timeS) at++;
    const found = samples[at];
    return found && Math.abs(found.timeS - timeS) <= nearS ? found : null;
  };
  return {
    ...log,
    samples: log.samples.map((sample) => {
      const point = nearest(sample.timeS);
      return point ? { ...point, ...sample } : sample;
    }),
  };
}

/** So near in time is the same moment (assumed: tracks have a point a second, at worst one in five). */
const nearS = 5;

/** Whether two files tell of the same time. */
export function overlap(a: ReadLog, b: ReadLog): boolean {
  if (!a.isDated || !b.isDated) return false;
  const [a0, a1] = [a.samples[0]?.timeS ?? 0, a.samples[a.samples.length - 1]?.timeS ?? 0];
  const [b0, b1] = [b.samples[0]?.timeS ?? 0, b.samples[b.samples.length - 1]?.timeS ?? 0];
  return Math.min(a1, b1) - Math.max(a0, b0) > 30;
}
