import type { ConditionsContent, HourlyWeather } from '@acorn-tally/core';

const shortGrassM = 0.03;
const firstHour = 6;

/** What the example opens on. */
export const dairyMorning: ConditionsContent = {
  place: 'Hollin Fell dairy',
  at: '2026-11-26T08:40:00+00:00',
  weather: weatherOf(5, 3, 5, 240),
  site: {
    coordinates: { latitudeDeg: 54.52, longitudeDeg: -2.81 },
    tallestM: 31,
    ceilingM: 120,
    obstacles: [
      { name: 'byre', distanceM: 60, widthM: 50, heightM: 14 },
      { name: 'chimney', distanceM: 150, widthM: 10, heightM: 31 },
      { name: 'beeches', distanceM: 200, widthM: 90, heightM: 18 },
      { name: 'mast', distanceM: 320, widthM: 5, heightM: 22 },
    ],
    landingPlaces: [
      { name: 'lower gate', distanceM: 210, bearingDeg: 150 },
      { name: 'sheepfold', distanceM: 350, bearingDeg: 45 },
    ],
    below: 'open ground',
  },
  hours: [
    ...hoursOf(
      '2026-11-25',
      [6, 6, 6, 7, 8, 8, 9, 9, 9, 8, 8, 7],
      [2.2, 2.3, 2.4, 2.6, 2.5, 3, 3, 2.5, 2.4, 2.2, 2, 1.8],
      230,
    ),
    ...hoursOf(
      '2026-11-26',
      [2, 3, 4, 5, 6, 7, 8, 8, 8, 7, 5, 4],
      [2.4, 2.6, 2.9, 3.1, 3.4, 3.8, 4.2, 4.4, 4, 3.4, 2.8, 2.4],
      238,
    ),
  ],
};

/** From 06:00 hourly: air in °C and wind in m/s, read at 2 m in the yard; gusts a good half above it; slowly veering. */
function hoursOf(
  day: string,
  airC: readonly number[],
  windMps: readonly number[],
  fromDeg: number,
): HourlyWeather[] {
  return airC.map((airTemperatureC, i) => {
    const speedMps = windMps[i] as number;
    return {
      at: `${day}T${String(firstHour + i).padStart(2, '0')}:00:00+00:00`,
      airTemperatureC,
      relativeHumidity: 0.9 - 0.02 * Math.min(i, 8),
      wind: {
        speedMps,
        gustMps: Number((speedMps * 1.65).toFixed(1)),
        fromDeg: fromDeg + i,
        readingHeightM: 2,
      },
    };
  });
}

/** Air in °C, wind and gust in m/s read at 2 m, over the grass of the fell at 620 m. */
export function weatherOf(airTemperatureC: number, speedMps: number, gustMps: number, fromDeg: number) {
  return {
    airTemperatureC,
    elevationM: 620,
    relativeHumidity: 0.85,
    roughnessM: shortGrassM,
    wind: { speedMps, gustMps, fromDeg, readingHeightM: 2 },
  };
}
