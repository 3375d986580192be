import { type Outcome, refuse, success } from '../units/outcome';
import { violation } from '../units/quantity';
import { siteRanges } from './site';
import type { Coordinates } from './sun';

const part = String.raw`([-+−]?\d{1,3}(?:\.\d+)?)\s*°?\s*(?:(\d{1,2}(?:\.\d+)?)\s*['′]\s*)?(?:(\d{1,2}(?:\.\d+)?)\s*["″]\s*)?([NSEW])?`;
/** Longer than any coordinates are written. */
const longest = 80;
const pair = new RegExp(`^${part}[\\s,;]+${part}$`, 'i');

/**
 * Coordinates as they are copied from a map: latitude first, in degrees with a sign or a letter, or in degrees, minutes
 * and seconds: "54.52, -2.81", "54.52 N 2.81 W", "54°31′12″N 2°48′36″W" (forms of ISO 6709, annex D).
 */
export function readCoordinates(text: string): Outcome<Coordinates> {
  const match = text.length > longest ? null : pair.exec(text.trim());
  if (!match)
    return refuse('coordinates', 'Latitude and longitude are needed, as in 54.52, -2.81, not “{text}”.', {
      text: text.slice(0, longest),
    });
  const latitudeDeg = degrees(match.slice(1, 5), /[NS]/i);
  const longitudeDeg = degrees(match.slice(5, 9), /[EW]/i);
  if (latitudeDeg === null || longitudeDeg === null)
    return refuse('coordinates', 'Latitude comes first, with N or S; then longitude, with E or W.');
  const problem =
    violation(siteRanges.latitudeDeg, latitudeDeg) ?? violation(siteRanges.longitudeDeg, longitudeDeg);
  return problem ? refuse('coordinates', '{problem}', { problem }) : success({ latitudeDeg, longitudeDeg });
}

function degrees(found: readonly (string | undefined)[], letters: RegExp): number | null {
  const [whole = '', minutes = '0', seconds = '0', letter = ''] = found;
  if (letter !== '' && !letters.test(letter)) return null;
  const size = Math.abs(Number(whole.replace('−', '-'))) + Number(minutes) / 60 + Number(seconds) / 3600;
  const isNegative = /^[-−]/.test(whole) || /[SW]/i.test(letter);
  return Number((isNegative ? -size : size).toFixed(6));
}

/** "54.52, -2.81", as it is read again. */
export function writeCoordinates({ latitudeDeg, longitudeDeg }: Coordinates): string {
  return `${latitudeDeg}, ${longitudeDeg}`;
}
