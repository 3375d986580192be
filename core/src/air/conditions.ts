import type { ValuesOf } from '../units/assumed';
import type { Quantity } from '../units/quantity';
import { airDensityKgm3 } from './density';
import { gustPriors, windDeviationMps } from './gust';
import { stationPressurePa } from './pressure';
import { defaultRoughnessM } from './roughness';
import { windAtHeightMps, windPriors } from './windAtHeight';
import { windBehind, windReadingPriors } from './windReading';

/** The weather at a place, as a pilot reads it. SI; humidity is a fraction; the wind comes *from* fromDeg, true. */
export interface Conditions {
  readonly airTemperatureC: number;
  readonly elevationM: number;
  readonly qnhHpa?: number | null;
  readonly relativeHumidity?: number | null;
  readonly roughnessM?: number | null;
  readonly wind: {
    readonly speedMps: number;
    readonly gustMps?: number | null;
    readonly fromDeg: number;
    readonly readingHeightM: number;
  };
}

export const conditionsRanges = {
  airTemperatureC: { label: 'Air temperature', unit: '°C', siPerUnit: 1, min: -40, max: 55, step: 1 },
  elevationM: { label: 'Ground elevation', unit: 'm', siPerUnit: 1, min: -430, max: 6000, step: 10 },
  qnhHpa: { label: 'QNH', unit: 'hPa', siPerUnit: 1, min: 870, max: 1085, step: 1 },
  relativeHumidity: { label: 'Humidity', unit: '%', siPerUnit: 0.01, min: 0, max: 1, step: 5 },
  roughnessM: {
    label: 'Roughness',
    unit: 'm',
    siPerUnit: 1,
    min: 0.0002,
    max: 2,
    step: 0.05,
    digits: 4,
  },
} as const satisfies Record<string, Quantity>;

export const windRanges = {
  speedMps: { label: 'Wind', unit: 'm/s', siPerUnit: 1, min: 0, max: 40, step: 0.5 },
  gustMps: { label: 'Gust', unit: 'm/s', siPerUnit: 1, min: 0, max: 60, step: 0.5 },
  fromDeg: { label: 'Wind from', unit: '°', siPerUnit: 1, min: 0, max: 360, step: 10, compass: true },
  readingHeightM: { label: 'Wind read at', unit: 'm', siPerUnit: 1, min: 0.5, max: 200, step: 1 },
} as const satisfies Record<string, Quantity>;

/** The air an aircraft meets at one height above the ground. */
export interface AirAtHeight {
  readonly densityKgm3: number;
  readonly windMps: number;
  readonly windFromDeg: number;
  readonly windDeviationMps: number;
  readonly gustMps: number;
  readonly temperatureC: number;
}

/** Gives the air at any height over the place, SI. */
export type Atmosphere = (heightM: number) => AirAtHeight;

/** A forecast or an aerodrome gives the wind for this height (WMO No. 8). */
export const forecastHeightM = 10;

/** Assumed where the pilot does not say; half-way, and worth under 1 % of density below 30 °C. */
export const defaultHumidity = 0.6;

export const airPriors = { ...gustPriors, ...windReadingPriors, ...windPriors } as const;
export type AirCoefficients = ValuesOf<typeof airPriors>;

/** No wind, at one fixed density and temperature: the air in which the box was measured. */
export function stillAir(temperatureC: number, densityKgm3: number): Atmosphere {
  const air = { densityKgm3, temperatureC, windMps: 0, windFromDeg: 0, windDeviationMps: 0, gustMps: 0 };
  return () => air;
}

/** The same air without its wind and gusts. */
export function calmed(atmosphere: Atmosphere): Atmosphere {
  return (heightM) => ({ ...atmosphere(heightM), windMps: 0, windDeviationMps: 0, gustMps: 0 });
}

/** The air over a place by height. */
export function atmosphereOver(conditions: Conditions, coefficients: AirCoefficients): Atmosphere {
  const { wind, elevationM, airTemperatureC } = conditions;
  const {
    gustPeakFactor: peakFactor,
    windAlongDeviations,
    windAcrossDeviations,
    windGrowthExponent,
  } = coefficients;
  const roughnessM = conditions.roughnessM ?? defaultRoughnessM;
  const there = windBehind(wind, windAlongDeviations, windAcrossDeviations);
  const deviationMps = windDeviationMps(
    { meanMps: wind.speedMps, gustMps: wind.gustMps ?? null, heightM: wind.readingHeightM, roughnessM },
    peakFactor,
  );
  return (heightM) => {
    const windMps = windAtHeightMps(
      there.speedMps,
      wind.readingHeightM,
      heightM,
      roughnessM,
      windGrowthExponent,
    );
    return {
      densityKgm3: airDensityKgm3(
        stationPressurePa(elevationM + heightM, conditions.qnhHpa ?? null),
        airTemperatureC,
        conditions.relativeHumidity ?? defaultHumidity,
      ),
      temperatureC: airTemperatureC,
      windMps,
      windFromDeg: there.fromDeg,
      windDeviationMps: deviationMps,
      gustMps: windMps + peakFactor * deviationMps,
    };
  };
}
