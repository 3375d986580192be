import { type Sentence, sentence } from '../units/sentence';

/** The code table of present weather: WMO Manual on Codes 306, table 4678; ICAO Annex 3, appendix 3. */
const descriptors: Readonly<Record<string, string>> = {
  MI: 'shallow',
  PR: 'partial',
  BC: 'patches of',
  DR: 'drifting',
  BL: 'blowing',
  SH: 'showers of',
  TS: 'thunderstorm',
  FZ: 'freezing',
};
const phenomena: Readonly<Record<string, string>> = {
  DZ: 'drizzle',
  RA: 'rain',
  SN: 'snow',
  SG: 'snow grains',
  IC: 'ice crystals',
  PL: 'ice pellets',
  GR: 'hail',
  GS: 'small hail',
  UP: 'unknown precipitation',
  BR: 'mist',
  FG: 'fog',
  FU: 'smoke',
  VA: 'volcanic ash',
  DU: 'dust',
  SA: 'sand',
  HZ: 'haze',
  PO: 'dust whirls',
  SQ: 'squalls',
  FC: 'funnel cloud',
  SS: 'sandstorm',
  DS: 'duststorm',
};

/** A weather group in words: "+TSRA" → "heavy thunderstorm, rain"; "FZFG" → "freezing fog". */
export function weatherInWords(group: string): string {
  const [, intensity = '', code = ''] = /^([+-]|VC)?(.*)$/.exec(group) ?? [];
  const parts = code.match(/../g) ?? [];
  const [first = ''] = parts;
  const descriptor = descriptors[first];
  const rest = (descriptor ? parts.slice(1) : parts).map((part) => phenomena[part] ?? part).join(' and ');
  const joint = first === 'TS' && rest ? ', ' : descriptor && rest ? ' ' : '';
  const strength = intensity === '+' ? 'heavy ' : intensity === '-' ? 'light ' : '';
  return `${strength}${descriptor ?? ''}${joint}${rest}${intensity === 'VC' ? ' in the vicinity' : ''}`;
}

/** What of a report no figure is made of. */
export interface MetarAside {
  /** Weather groups as they are written. */
  readonly weather: readonly string[];
  /** Cloud groups that bring gusts: cumulonimbus and towering cumulus. */
  readonly towering: readonly string[];
  /** Less than it can be seen, m; null where it says nothing. */
  readonly visibilityM: number | null;
  /** What is behind the report proper, as it is written; null where nothing is. */
  readonly trend: string | null;
  /** The strongest wind of the trend, m/s. */
  readonly trendWindMps: number | null;
  /** UTC. */
  readonly issued: { readonly day: number; readonly hour: number; readonly minute: number };
  /** How many reports the text held; the latest is read. */
  readonly reports: number;
}

export type MetarMind = 'weather' | 'towering' | 'visibility' | 'trend' | 'age' | 'reports';

const poorVisibilityM = 1500;
const oldS = 2 * 3600;
const dayMs = 86_400_000;

/** What a pilot must know of a report although nothing is computed from it. */
export function metarMinds(aside: MetarAside, nowMs: number): Sentence<MetarMind>[] {
  const { weather, towering, visibilityM, trend, trendWindMps, reports } = aside;
  const found: Sentence<MetarMind>[] = [];
  if (weather.length > 0)
    found.push(sentence('weather', 'There is {what}', { what: weather.map(weatherInWords).join('; ') }));
  if (towering.length > 0)
    found.push(
      sentence('towering', 'Towering clouds are about ({groups}): gusts come with them', {
        groups: towering.join(', '),
      }),
    );
  if (visibilityM !== null && visibilityM < poorVisibilityM)
    found.push(sentence('visibility', 'Visibility is {visibilityM}', { visibilityM }));
  if (trend !== null)
    found.push(
      trendWindMps === null
        ? sentence('trend', 'Its forecast is not used: “{trend}”', { trend })
        : sentence('trend', 'Its forecast is not used: up to {trendWindMps:1} of wind, “{trend}”', {
            trendWindMps,
            trend,
          }),
    );
  const ageS = (nowMs - issuedMs(aside, nowMs)) / 1000;
  if (ageS > oldS) found.push(sentence('age', 'It is {ageDays} old', { ageDays: ageS / 86_400 }));
  if (reports > 1)
    found.push(sentence('reports', 'Of {reportCount} reports the latest is read', { reportCount: reports }));
  return found;
}

/** When a report was issued: the last time that there was such a day, hour and minute; an hour ahead is a clock that differs. */
export function issuedMs({ issued }: Pick<MetarAside, 'issued'>, nowMs: number): number {
  const { day, hour, minute } = issued;
  const now = new Date(nowMs);
  for (let back = 0; ; back++) {
    const at = new Date(Date.UTC(now.getUTCFullYear(), now.getUTCMonth() - back, day, hour, minute));
    // A month that has no such day runs over into the next. Of two months on end one has 31 days.
    const isThere = at.getUTCDate() === day;
    if ((isThere && at.getTime() <= nowMs + dayMs / 24) || back > 2) return at.getTime();
  }
}
