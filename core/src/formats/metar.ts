import { type Conditions, conditionsRanges, forecastHeightM, windRanges } from '../air/conditions';
import { saturationVapourPa } from '../air/density';
import { type Outcome, refuse, success } from '../units/outcome';
import { outOfRange } from '../units/outOfRange';
import { type Sentence, sentence } from '../units/sentence';
import { type MetarGroup, metarGroups } from './metarGroups';
import { issuedMs, type MetarAside } from './metarWeather';

/**
 * What an aerodrome report says of the weather, in SI; null where it is silent. Wind is measured at 10 m there and is a
 * mean of ten minutes (WMO Manual on Codes 306, FM 15; ICAO Annex 3).
 */
export interface MetarReading {
  readonly station: string;
  readonly wind: {
    readonly speedMps: number;
    readonly gustMps: number | null;
    /** Null when it varies or is not given. */
    readonly fromDeg: number | null;
  } | null;
  readonly airTemperatureC: number | null;
  readonly relativeHumidity: number | null;
  readonly qnhHpa: number | null;
  /** What no figure is made of, to be told. */
  readonly aside: MetarAside;
}

const mpsPer: Readonly<Record<string, number>> = { KT: 1852 / 3600, MPS: 1 };
const hpaPerInchOfMercury = 33.8639;
/** Characters; with all its remarks a report has some hundreds. */
const longestReport = 2000;

/**
 * Reads the text of a METAR or SPECI, each group by its own grammar and in its place; of several that are divided by "=" the one
 * issued last. A group that is wrong, unknown or out of place is refused by name, since a report read by half misleads; what is
 * missing is null. Of the trend and remarks behind the report proper nothing is computed.
 */
export function readMetar(text: string, nowMs = Date.now()): Outcome<MetarReading> {
  if (text.length > longestReport) {
    return refuse('metar-too-long', 'A report has some hundred characters; this text has {lengthCount}.', {
      lengthCount: text.length,
    });
  }
  const reports = text
    .toUpperCase()
    .split('=')
    .map((one) => one.replace(/\s+/g, ' ').trim())
    .filter((one) => one !== '');
  const report = latestOf(reports, nowMs);
  if (report === '')
    return refuse('metar-empty', 'Paste the report: METAR, the place, the time, then the weather.');
  const heading = /^(?:(?:METAR|SPECI) )?(?:COR )?([A-Z][A-Z0-9]{3}) (\d{6}Z)(?= |$)(.*)$/.exec(report);
  if (!heading) {
    return refuse(
      'metar-heading',
      'A report begins with four letters of the place and the time, as in XXHF 260820Z, not with “{beginning}”.',
      { beginning: report.split(' ').slice(0, 3).join(' ').slice(0, 40) },
    );
  }
  const [, station = '', time = '', body = ''] = heading;
  if (!/^(0[1-9]|[12]\d|3[01])([01]\d|2[0-3])[0-5]\dZ$/.test(time)) {
    return wrongGroup('time', time, 'a day, an hour and a minute that there are, as in 260820Z');
  }
  const found = groupsOf(body);
  if (!found.ok) return found;
  return readingOf(station, found.value, {
    ...trendOf(body),
    issued: issuedIn(time),
    reports: reports.length,
  });
}

function issuedIn(time: string): MetarAside['issued'] {
  const part = (at: number) => Number(time.slice(at, at + 2));
  return { day: part(0), hour: part(2), minute: part(4) };
}

/** The report that was issued last; the first where none says when. */
function latestOf(reports: readonly string[], nowMs: number): string {
  const issuedAt = (report: string) => {
    const time = /(?:^| )(\d{6})Z(?= |$)/.exec(report)?.[1];
    return time ? issuedMs({ issued: issuedIn(time) }, nowMs) : Number.NEGATIVE_INFINITY;
  };
  return reports.reduce((last, one) => (last === '' || issuedAt(one) > issuedAt(last) ? one : last), '');
}

/** What is foreseen, as it is written, and the strongest wind in it. */
function trendOf(body: string): Pick<MetarAside, 'trend' | 'trendWindMps'> {
  const [, trend = null] = / ((?:TEMPO|BECMG) .*?)(?= RMK|$)/.exec(` ${body.trim()}`) ?? [];
  const winds = [...(trend ?? '').matchAll(/(?:\d{3}|VRB)P?(\d{2,3})(?:GP?(\d{2,3}))?(KT|MPS)(?= |$)/g)];
  const speeds = winds.map(([, speed, gust, unit = '']) =>
    rounded(Number(gust ?? speed) * (mpsPer[unit] ?? Number.NaN)),
  );
  return { trend, trendWindMps: speeds.length > 0 ? Math.max(...speeds) : null };
}

interface Found {
  readonly group: MetarGroup;
  readonly token: string;
  readonly parts: Readonly<Record<string, string | undefined>>;
}

/** Groups that are written as two words, joined so that each is one. */
function tokensOf(body: string): string[] {
  const proper = ` ${body.trim()} `.split(/ (?:TEMPO|BECMG|NOSIG|RMK)(?= )/)[0] as string;
  return proper
    .replace(/ ([1-9]) (?=\d\/\d{1,2}SM )/, ' $1_')
    .replace(
      / WS (ALL RWY|(?:(?:TKOF|LDG) )?R(?:WY)?\d{2}[LCR]?)(?= )/g,
      (shear) => ` ${shear.trim().replace(/ /g, '_')}`,
    )
    .split(' ')
    .filter(
      (token, i, all) => token !== '' && !(/^(?:AUTO|COR|NIL)$/.test(token) && all.indexOf(token) === i),
    );
}

function groupsOf(body: string): Outcome<readonly Found[]> {
  const found: Found[] = [];
  let place = 0;
  for (const token of tokensOf(body)) {
    const at = metarGroups.findIndex(({ form }, i) => i >= place && form.test(token));
    const group = metarGroups[at];
    if (!group) return misplacedOrWrong(token);
    if (at === place && !group.many && found.some((one) => one.group === group))
      return misplaced(group, token);
    found.push({ group, token, parts: group.form.exec(token)?.groups ?? {} });
    place = at;
  }
  return success(found);
}

function misplacedOrWrong(token: string) {
  const known = metarGroups.find(({ form }) => form.test(token));
  if (known) return misplaced(known, token);
  const like = metarGroups.find((group) => group.like?.test(token));
  if (like) return wrongGroup(like.name, token, like.wanted);
  return refuse('metar-group', 'The group “{token}” is none that a report has.', { token: asWritten(token) });
}

function misplaced({ name }: MetarGroup, token: string) {
  return refuse('metar-group', 'The {name} group “{token}” stands in the wrong place, or twice.', {
    name,
    token: asWritten(token),
  });
}

function wrongGroup(name: string, token: string, wanted: string) {
  return refuse('metar-group', 'The {name} group “{token}” cannot be read: it needs {wanted}.', {
    name,
    token: asWritten(token),
    wanted,
  });
}

function asWritten(token: string): string {
  return token.replace(/_/g, ' ').slice(0, 40);
}

function readingOf(
  station: string,
  found: readonly Found[],
  around: Pick<MetarAside, 'trend' | 'trendWindMps' | 'issued' | 'reports'>,
): Outcome<MetarReading> {
  const named = (name: string) => found.filter(({ group }) => group.name === name);
  const [windGroup] = named('wind');
  const turning = named('variable wind').find(({ parts }) => isBeyond(parts.least) || isBeyond(parts.most));
  if (turning) return beyondTheCircle(turning);
  const wind = windGroup ? windOf(windGroup) : success(null);
  if (!wind.ok) return wind;
  const [temperature] = named('temperature');
  const airTemperatureC = degreesOf(temperature?.parts.air);
  const dewPointC = degreesOf(temperature?.parts.dew);
  if (airTemperatureC !== null && dewPointC !== null && dewPointC > airTemperatureC) {
    return refuse(
      'metar-value',
      'The dew point in the temperature group “{token}” lies above the air temperature: look at it again.',
      { token: temperature?.token ?? '' },
    );
  }
  const pressures = named('pressure').sort((a, b) =>
    a.parts.unit === 'Q' ? -1 : b.parts.unit === 'Q' ? 1 : 0,
  );
  const reading = {
    station,
    wind: wind.value,
    airTemperatureC,
    relativeHumidity: humidity(airTemperatureC, dewPointC),
    qnhHpa: pressures.map(({ parts }) => pressureOf(parts)).find((hpa) => hpa !== null) ?? null,
    aside: {
      ...around,
      weather: named('weather').flatMap(({ token }) => (token === '//' ? [] : [token])),
      towering: named('cloud').flatMap(({ token }) => (/(?:CB|TCU)$/.test(token) ? [token] : [])),
      visibilityM:
        named('visibility')
          .map(({ token }) => visibilityOf(token))
          .find((m) => m !== null) ?? null,
    },
  };
  const problem = rangeProblem(reading);
  return problem ? refuse('metar-value', '{problem}', { problem }) : success(reading);
}

/** Metres as they are written; miles and kilometres in metres. */
function visibilityOf(token: string): number | null {
  if (/^\d{4}/.test(token)) return Number(token.slice(0, 4));
  const far = /^(?:P|M)?(?:([1-9])_)?(\d{1,2})(?:\/(\d{1,2}))?(SM|KM)$/.exec(token);
  if (!far) return null;
  const [, whole = '0', part = '0', of = '1', unit] = far;
  return Math.round((Number(whole) + Number(part) / Number(of)) * (unit === 'SM' ? 1609.344 : 1000));
}

const isBeyond = (degrees: string | undefined) => Number(degrees) > 360;

function beyondTheCircle({ group, token }: Found) {
  return refuse('metar-group', 'The {name} group “{token}” cannot be: a direction is 000 to 360.', {
    name: group.name,
    token,
  });
}

/** Null where its speed is not given. */
function windOf(found: Found): Outcome<MetarReading['wind']> {
  const { from = '', speed = '', gust, unit = '' } = found.parts;
  if (isBeyond(from)) return beyondTheCircle(found);
  if ([speed, gust].some((one) => one?.startsWith('P'))) {
    return refuse(
      'metar-value',
      'The wind group “{token}” says more than it can measure: nothing is flown in that.',
      { token: found.token },
    );
  }
  if (speed === '//') return success(null);
  const inMps = (value: string) => rounded(Number(value) * (mpsPer[unit] ?? Number.NaN));
  const gustMps = gust === undefined || gust === '//' ? null : inMps(gust);
  const speedMps = inMps(speed);
  if (gustMps !== null && Number(gust) < Number(speed)) {
    return refuse(
      'metar-value',
      'The gust in the wind group “{token}” is weaker than the wind: look at it again.',
      { token: found.token },
    );
  }
  return success({ speedMps, gustMps, fromDeg: /^\d/.test(from) ? Number(from) : null });
}

function degreesOf(part: string | undefined): number | null {
  if (!part || part === '//') return null;
  const size = Number(part.replace('M', ''));
  return part.startsWith('M') && size > 0 ? -size : size;
}

function pressureOf({ unit, value = '' }: Found['parts']): number | null {
  if (value.startsWith('/')) return null;
  return unit === 'Q' ? Number(value) : rounded((Number(value) / 100) * hpaPerInchOfMercury);
}

const rounded = (value: number) => Math.round(value * 10) / 10;

/** Relative humidity from the dew point, where the air would be saturated. */
function humidity(temperatureC: number | null, dewPointC: number | null): number | null {
  if (temperatureC === null || dewPointC === null) return null;
  const fraction = saturationVapourPa(dewPointC) / saturationVapourPa(temperatureC);
  return Math.round(fraction * 100) / 100;
}

function rangeProblem({ wind, airTemperatureC, qnhHpa }: MetarReading): Sentence | null {
  return (
    (wind && outOfRange(windRanges.speedMps, wind.speedMps)) ??
    (wind?.gustMps != null ? outOfRange(windRanges.gustMps, wind.gustMps) : null) ??
    (airTemperatureC !== null ? outOfRange(conditionsRanges.airTemperatureC, airTemperatureC) : null) ??
    (qnhHpa !== null ? outOfRange(conditionsRanges.qnhHpa, qnhHpa) : null)
  );
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
          readingHeightM: forecastHeightM,
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

type Part = 'wind' | 'direction' | 'gust' | 'air' | 'dew-point' | 'pressure';

/** The report in words, and what it lacks and the pilot must see to. */
export function metarInWords(reading: MetarReading): {
  readonly says: readonly Sentence<Part>[];
  readonly lacks: readonly Sentence<Part>[];
} {
  const { wind, airTemperatureC, relativeHumidity, qnhHpa } = reading;
  const says: Sentence<Part>[] = [];
  const lacks: Sentence<Part>[] = [];
  if (wind) {
    says.push(windInWords(wind));
    if (wind.fromDeg === null)
      lacks.push(sentence('direction', 'a direction of the wind: set the worst one for your way home'));
    if (wind.gustMps === null && wind.speedMps > 0)
      lacks.push(sentence('gust', 'a gust: it is estimated from the roughness of the ground'));
  } else lacks.push(sentence('wind', 'the wind: enter it'));
  if (airTemperatureC === null) lacks.push(sentence('air', 'the air temperature: enter it'));
  else says.push(sentence('air', 'air {airTemperatureC}', { airTemperatureC }));
  if (relativeHumidity === null) lacks.push(sentence('dew-point', 'the dew point: humidity stays as it was'));
  else
    says.push(sentence('dew-point', 'humidity {humidityFraction}', { humidityFraction: relativeHumidity }));
  if (qnhHpa === null) lacks.push(sentence('pressure', 'the pressure: QNH stays as it was'));
  else says.push(sentence('pressure', 'QNH {qnhHpa}', { qnhHpa }));
  return { says, lacks };
}

function windInWords({ speedMps, gustMps, fromDeg }: NonNullable<MetarReading['wind']>): Sentence<Part> {
  if (speedMps === 0 && gustMps === null) return sentence('wind', 'calm');
  const from =
    fromDeg === null
      ? sentence('direction', 'variable')
      : sentence('direction', 'from {fromDeg}', { fromDeg });
  const heightM = forecastHeightM;
  return gustMps === null
    ? sentence('wind', 'wind {speedMps:1} {from}, at {heightM}', { speedMps, from, heightM })
    : sentence('wind', 'wind {speedMps:1} {from}, gusts {gustMps:1}, at {heightM}', {
        speedMps,
        from,
        gustMps,
        heightM,
      });
}
