import { ownOffsetMin } from '../../units/timeZone';
import type { Problem } from '../request/problem';

/** An instant some seconds after the start, written with the offset the request has. */
export function instantAt(
  { startMs, request }: Pick<Problem, 'startMs' | 'request'>,
  seconds: number,
): string {
  const offset = (/(?:Z|[+-]\d\d:\d\d)$/i.exec(request.startAt)?.[0] ?? 'Z').toUpperCase();
  const local = new Date(Math.round(startMs + seconds * 1000 + ownOffsetMin(offset) * 60_000));
  return local.toISOString().replace('Z', offset);
}
