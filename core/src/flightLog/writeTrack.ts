import { writeGpxTrack } from '../formats/gpx';
import { withCoordinates } from './localDistance';
import type { LogSample } from './sample';

const instant = (timeS: number) => new Date(timeS * 1000).toISOString();

/** A track as GPX 1.1; heights are above take-off, as they were read, over the ground given. */
export function writeGpx(samples: readonly LogSample[], groundM: number): string {
  return writeGpxTrack(
    withCoordinates(samples).map(({ timeS, latitudeDeg, longitudeDeg, heightM }) => ({
      latitudeDeg,
      longitudeDeg,
      ...(heightM !== undefined && { elevationM: Number((groundM + heightM).toFixed(2)) }),
      time: instant(timeS),
    })),
  );
}

/** The same as a GeoJSON line (RFC 7946), its times in the property coordTimes. */
export function writeGeoJsonTrack(samples: readonly LogSample[], groundM: number): string {
  const points = withCoordinates(samples);
  return JSON.stringify({
    type: 'Feature',
    geometry: {
      type: 'LineString',
      coordinates: points.map(({ longitudeDeg, latitudeDeg, heightM }) =>
        heightM === undefined
          ? [longitudeDeg, latitudeDeg]
          : [longitudeDeg, latitudeDeg, Number((groundM + heightM).toFixed(2))],
      ),
    },
    properties: { coordTimes: points.map(({ timeS }) => instant(timeS)) },
  });
}
