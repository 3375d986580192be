import { parseMetar } from 'metar-taf-parser';
import { type Conditions, conditionsRanges, windRanges } from '../air/conditions';
import { saturationVapourPa } from '../air/density';
import { type Outcome, refuse, success } from '../units/outcome';
import { violation } from '../units/quantity';

/**
 * What an aerodrome report says of the weather, in SI; null where it is silent. Wind is measured at 10 m there and is a
 * mean of ten minutes (WMO Manual on Codes 306, FM 15; ICAO Annex 3).
 */
export interface MetarReading {
  readonly station: string;
  readonly wind: {
    readonly speedMps: number;
    readonly gustMps: number | null;
    /** Null when it varies. */
    readonly fromDeg: number | null;
  } | null;
  readonly airTemperatureC: number | null;
  readonly relativeHumidity: number | null;
  readonly qnhHpa: number | null;
}

/** Wind of a report is read at this height (WMO No. 8). */
export const metarReadingHeightM = 10;

const mpsPer: Readonly<Record<string, number>> = { KT: 1852 / 3600, MPS: 1 };
const hpaPerInchOfMercury = 33.8639;

/** The groups we need: how each begins to look like itself, and how it must look to be understood. */
const groups = [
  {
    name: 'wind',
    like: /(KT|MPS|KMH)$/,
    whole: /^((\d{3}|VRB)\d{2,3}(G\d{2,3})?|\/{5})(KT|MPS)$/,
    wanted: 'three digits or VRB, the speed, a gust after G, and KT or MPS, as in 24008G14KT',
  },
  {
    name: 'temperature',
    like: /^M?\d+\/|^\/\/\/M?\d/,
    whole: /^(M?\d{2}|\/\/)\/(M?\d{2}|\/\/|)$/,
    wanted: 'two digits each for air and dew point, M for minus, as in 09/M01',
  },
  {
    name: 'pressure',
    like: /^[QA]\d/,
    whole: /^[QA]\d{4}$/,
    wanted: 'Q and four digits of hPa, or A and four of inches, as in Q1008 or A2977',
  },
] as const;

/**
 * Reads the text of a METAR or SPECI. Refused, naming the group, when one that matters is misspelt or says what cannot be;
 * what is missing is null, not an error. Decoding proper is the package's; we look at the groups first, since it passes
 * over what it does not understand. Visual range, cloud and trend are not looked at.
 */
export function readMetar(text: string): Outcome<MetarReading> {
  const report = text.trim().toUpperCase().replace(/=$/, '').replace(/\s+/g, ' ');
  if (report === '')
    return refuse('metar-empty', 'Paste the report: METAR, the place, the time, then the weather.');
  const body = report.split(/ (?:TEMPO|BECMG|NOSIG|RMK)\b/)[0] as string;
  const tokens = body.split(' ').filter((token) => !/^(METAR|SPECI|COR|AUTO)$/.test(token));
  const odd = oddGroup(tokens);
  if (odd) return odd;
  const [station = '', time = ''] = tokens;
  if (!/^[A-Z][A-Z0-9]{3}$/.test(station) || !/^\d{6}Z$/.test(time)) {
    return refuse(
      'metar-heading',
      `A report begins with four letters of the place and the time, as in XXHF 260820Z, not with “${tokens.slice(0, 2).join(' ')}”.`,
    );
  }
  const reading = decoded(station, tokens.join(' '));
  const windGroup = tokens.find((token) => /^(\d|VRB)\w*(KT|MPS)$/.test(token));
  if (windGroup && !reading.wind) {
    return refuse('metar-group', `The wind group “${windGroup}” cannot be: a direction is 000 to 360.`);
  }
  return checked(reading);
}

function oddGroup(tokens: readonly string[]) {
  for (const { name, like, whole, wanted } of groups) {
    const odd = tokens.find((token) => like.test(token) && !whole.test(token));
    if (odd) return refuse('metar-group', `The ${name} group “${odd}” cannot be read: it needs ${wanted}.`);
  }
  return null;
}

function decoded(station: string, report: string): MetarReading {
  const { wind, temperature: both, dewPoint, altimeter } = parseMetar(report);
  const temperature = both ?? airAlone(report);
  const perUnit = wind && mpsPer[wind.unit];
  return {
    station,
    wind:
      wind && perUnit
        ? {
            speedMps: rounded(wind.speed * perUnit),
            gustMps: wind.gust === undefined ? null : rounded(wind.gust * perUnit),
            fromDeg: wind.degrees ?? null,
          }
        : null,
    airTemperatureC: temperature === undefined ? null : temperature + 0,
    relativeHumidity: humidity(temperature, dewPoint),
    qnhHpa: altimeter
      ? rounded(altimeter.value * (altimeter.unit === 'inHg' ? hpaPerInchOfMercury : 1))
      : null,
  };
}

/** The package passes over a temperature group that lacks the dew point, as in 09/// or M02/. */
function airAlone(report: string): number | undefined {
  const group = / (M?)(\d\d)\/(?:\/\/)?(?: |$)/.exec(report);
  return group ? Number(group[2]) * (group[1] ? -1 : 1) : undefined;
}

const rounded = (value: number) => Math.round(value * 10) / 10;

/** Relative humidity from the dew point, where the air would be saturated. */
function humidity(temperatureC: number | undefined, dewPointC: number | undefined): number | null {
  if (temperatureC === undefined || dewPointC === undefined) return null;
  const fraction = saturationVapourPa(dewPointC) / saturationVapourPa(temperatureC);
  return Math.round(fraction * 100) / 100;
}

function checked(reading: MetarReading): Outcome<MetarReading> {
  const { wind, airTemperatureC, relativeHumidity, qnhHpa } = reading;
  const problem =
    (wind && violation(windRanges.speedMps, wind.speedMps)) ??
    (wind?.gustMps != null ? violation(windRanges.gustMps, wind.gustMps) : null) ??
    (airTemperatureC !== null ? violation(conditionsRanges.airTemperatureC, airTemperatureC) : null) ??
    (qnhHpa !== null ? violation(conditionsRanges.qnhHpa, qnhHpa) : null);
  if (problem) return refuse('metar-value', problem);
  if (wind?.gustMps != null && wind.gustMps < wind.speedMps) {
    return refuse('metar-value', 'The gust in the wind group is weaker than the wind: look at it again.');
  }
  if (relativeHumidity !== null && relativeHumidity > 1) {
    return refuse(
      'metar-value',
      'The dew point in the temperature group lies above the air temperature: look at it again.',
    );
  }
  return success(reading);
}

/** The weather with what the report says in it; what it does not say stays as it was. */
export function weatherFromMetar(reading: MetarReading, before: Conditions): Conditions {
  const { wind } = reading;
  return {
    ...before,
    airTemperatureC: reading.airTemperatureC ?? before.airTemperatureC,
    relativeHumidity: reading.relativeHumidity ?? before.relativeHumidity ?? null,
    qnhHpa: reading.qnhHpa ?? before.qnhHpa ?? null,
    wind: wind
      ? {
          speedMps: wind.speedMps,
          gustMps: wind.gustMps,
          fromDeg: wind.fromDeg ?? before.wind.fromDeg,
          readingHeightM: metarReadingHeightM,
        }
      : before.wind,
  };
}

/** What a pilot has to enter because a report does not say it. */
export type Asked = 'airTemperatureC' | 'speedMps' | 'fromDeg';

export function askedAfter({ wind, airTemperatureC }: MetarReading): Asked[] {
  return [
    ...(airTemperatureC === null ? (['airTemperatureC'] as const) : []),
    ...(wind ? [] : (['speedMps'] as const)),
    ...(wind && wind.fromDeg !== null ? [] : (['fromDeg'] as const)),
  ];
}

/** The report in words, and what it lacks and the pilot must see to. */
export function metarInWords(reading: MetarReading): { readonly says: string[]; readonly lacks: string[] } {
  const { wind, airTemperatureC, relativeHumidity, qnhHpa } = reading;
  const says: string[] = [];
  const lacks: string[] = [];
  if (wind) {
    const from = wind.fromDeg === null ? 'from all sides' : `from ${wind.fromDeg}°`;
    const gust = wind.gustMps === null ? '' : `, gusts ${wind.gustMps} m/s`;
    says.push(wind.speedMps === 0 ? 'calm' : `wind ${wind.speedMps} m/s ${from}${gust}, at 10 m`);
    if (wind.fromDeg === null) lacks.push('a direction of the wind: set the worst one for your way home');
    if (wind.gustMps === null && wind.speedMps > 0)
      lacks.push('a gust: it is reckoned from the roughness of the ground');
  } else lacks.push('the wind: enter it');
  if (airTemperatureC === null) lacks.push('the air temperature: enter it');
  else says.push(`air ${airTemperatureC} °C`);
  if (relativeHumidity === null) lacks.push('the dew point: humidity stays as it was');
  else says.push(`humidity ${Math.round(relativeHumidity * 100)} %`);
  if (qnhHpa === null) lacks.push('the pressure: QNH stays as it was');
  else says.push(`QNH ${qnhHpa} hPa`);
  return { says, lacks };
}
