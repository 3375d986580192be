import type { DayContent, HourlyWeather, PlaceContent, Weather } from '@acorn-tally/core';

const elevationM = 620;
const shortGrassM = 0.03;
const firstHour = 6;

/** Where the example is flown. */
export const dairy: PlaceContent = {
  name: 'Hollin Fell dairy',
  elevationM,
  roughnessM: shortGrassM,
  coordinates: { latitudeDeg: 54.52, longitudeDeg: -2.81 },
  tallestM: 31,
  ceilingM: 120,
  obstacles: [
    { name: 'byre', distanceM: 60, bearingDeg: 60, widthM: 50, heightM: 14 },
    { name: 'chimney', distanceM: 150, bearingDeg: 58, widthM: 10, heightM: 31 },
    { name: 'beeches', distanceM: 200, bearingDeg: 62, widthM: 90, heightM: 18 },
    { name: 'mast', distanceM: 320, bearingDeg: 60, widthM: 5, heightM: 22 },
  ],
  landingPlaces: [
    { name: 'lower gate', distanceM: 210, bearingDeg: 150 },
    { name: 'sheepfold', distanceM: 350, bearingDeg: 45 },
  ],
  launchPlaces: [
    { id: 'yard', name: 'yard', eastM: 0, northM: 0 },
    { id: 'lower-gate', name: 'lower gate', eastM: 105, northM: -182 },
    { id: 'sheepfold', name: 'sheepfold', eastM: 247, northM: 247 },
  ],
  below: 'open ground',
};

/** What the example opens on. */
export const dairyMorning: Omit<DayContent, 'placeId'> = {
  at: '2026-11-26T08:40:00+00:00',
  weather: airOf(5, 3, 5, 240),
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

/** Air in °C, wind and gust in m/s read at 2 m. */
function airOf(airTemperatureC: number, speedMps: number, gustMps: number, fromDeg: number): Weather {
  return { airTemperatureC, relativeHumidity: 0.85, wind: { speedMps, gustMps, fromDeg, readingHeightM: 2 } };
}

/** The same over the grass of the fell at 620 m. */
export function weatherOf(airTemperatureC: number, speedMps: number, gustMps: number, fromDeg: number) {
  return { ...airOf(airTemperatureC, speedMps, gustMps, fromDeg), elevationM, roughnessM: shortGrassM };
}
