import { invalid } from './problem';

const largestPage = 200;

export function pageSize(limit: unknown): number {
  if (limit === undefined) return largestPage;
  const size = typeof limit === 'string' ? Number(limit) : Number.NaN;
  if (Number.isInteger(size) && size >= 1 && size <= largestPage) return size;
  throw invalid([
    { path: 'limit', message: `A page holds from 1 to ${largestPage} records.`, received: limit },
  ]);
}

/** Given twice, a query parameter is a list. */
export function oneText(path: string, value: unknown): string | null {
  if (value === undefined) return null;
  if (typeof value === 'string') return value;
  throw invalid([{ path, message: `${path} is given once.`, received: value }]);
}

export function versionNamed(value: unknown): number | null {
  const text = oneText('version', value);
  if (text === null) return null;
  const version = Number(text);
  if (Number.isSafeInteger(version) && version >= 1) return version;
  throw invalid([{ path: 'version', message: 'A version is a whole number from 1.', received: value }]);
}
