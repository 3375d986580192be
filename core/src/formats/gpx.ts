import { XMLBuilder, XMLParser } from 'fast-xml-parser';
import type { Coordinates } from '../air/sun';

/** A point of a GPX 1.1 file (topografix.com/GPX/1/1). */
export interface GpxPoint extends Coordinates {
  readonly elevationM?: number;
  /** ISO 8601. */
  readonly time?: string;
  readonly name?: string;
}

/** A GPX file as it is written: every value is text, whatever it looks like. */
export interface ReadGpx {
  readonly gpx?: {
    readonly wpt?: readonly ReadGpxPoint[];
    readonly rte?: readonly { readonly rtept?: readonly ReadGpxPoint[] }[];
    readonly trk?: readonly { readonly trkseg?: readonly { readonly trkpt?: readonly ReadGpxPoint[] }[] }[];
  };
}

export interface ReadGpxPoint {
  readonly lat?: string;
  readonly lon?: string;
  readonly ele?: string;
  readonly time?: string;
  readonly name?: string;
}

const lists = ['wpt', 'rte', 'rtept', 'trk', 'trkseg', 'trkpt'];

/** Why a text is not read as XML; entities of its own are refused, whatever they say: no map needs any. */
export type XmlProblem = 'own-entities' | 'not-xml';

export function parseGpx(text: string): ReadGpx | XmlProblem {
  if (/<!(DOCTYPE|ENTITY)/i.test(text)) return 'own-entities';
  try {
    return new XMLParser({
      ignoreAttributes: false,
      attributeNamePrefix: '',
      parseTagValue: false,
      isArray: (name) => lists.includes(name),
    }).parse(text, true) as ReadGpx;
  } catch {
    return 'not-xml';
  }
}

/** A file of waypoints. */
export function writeGpxWaypoints(points: readonly GpxPoint[]): string {
  return writeGpxFile({ wpt: points.map(asWritten) });
}

/** A file of one track. */
export function writeGpxTrack(points: readonly GpxPoint[]): string {
  return writeGpxFile({ trk: { trkseg: { trkpt: points.map(asWritten) } } });
}

const builder = new XMLBuilder({ ignoreAttributes: false, attributeNamePrefix: '@', format: true });

function writeGpxFile(content: object): string {
  return builder.build({
    '?xml': { '@version': '1.0', '@encoding': 'UTF-8' },
    gpx: {
      '@version': '1.1',
      '@creator': 'Acorn Tally',
      '@xmlns': 'http://www.topografix.com/GPX/1/1',
      ...content,
    },
  });
}

/** Elements in the order of the schema. */
function asWritten({ latitudeDeg, longitudeDeg, elevationM, time, name }: GpxPoint) {
  return {
    '@lat': String(latitudeDeg),
    '@lon': String(longitudeDeg),
    ...(elevationM !== undefined && { ele: String(elevationM) }),
    ...(time !== undefined && { time }),
    ...(name !== undefined && { name }),
  };
}
