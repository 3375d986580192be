import { closeSync, existsSync, openSync, readSync, statSync } from 'node:fs';
import { DatabaseUnavailable } from './errors';

const sqliteMagic = 'SQLite format 3\0';

/** The first bytes of a file that is no database tell so before anything is written to it (SQLite file format, 1.3). */
export function requireDatabaseFile(file: string): void {
  if (!existsSync(file) || statSync(file).size === 0) return;
  const head = Buffer.alloc(sqliteMagic.length);
  const handle = openSync(file, 'r');
  readSync(handle, head, 0, head.length, 0);
  closeSync(handle);
  if (head.toString('latin1') !== sqliteMagic) throw brokenFile(file);
}

export function brokenFile(file: string): DatabaseUnavailable {
  return new DatabaseUnavailable(`${file} is no database, or is damaged: put a backup in its place.`);
}

/** Which file stands at a path: its number on the disk, 0 for none. */
export function fileNumber(file: string): number {
  try {
    return statSync(file).ino;
  } catch {
    return 0;
  }
}

/** What an error of the database or of the disk means for all that is kept, in plain words; null where it is about one write only. */
export function toDatabaseError(error: unknown, file: string): DatabaseUnavailable | null {
  if (error instanceof DatabaseUnavailable) return error;
  const codes = codesOf(error);
  const is = (...some: string[]) => codes.some((code) => some.some((one) => code.startsWith(one)));
  if (is('SQLITE_FULL', 'ENOSPC'))
    return new DatabaseUnavailable(`The disk is full: ${file} cannot be written.`, true);
  // Connections are renewed when another program held them; what was asked just then is asked again.
  if (is('SQLITE_BUSY', 'SQLITE_LOCKED', 'CLIENT_CLOSED'))
    return new DatabaseUnavailable(
      `Another program holds ${file}: close it, or wait until it is done.`,
      true,
      true,
    );
  if (is('SQLITE_CORRUPT', 'SQLITE_NOTADB')) return brokenFile(file);
  if (
    is('SQLITE_READONLY', 'SQLITE_CANTOPEN', 'SQLITE_PERM', 'EACCES', 'EPERM', 'EROFS', 'ENOTDIR', 'EEXIST')
  )
    return new DatabaseUnavailable(
      `${file} cannot be written: check the folder and who may write there.`,
      true,
    );
  if (is('SQLITE_IOERR', 'EIO'))
    return new DatabaseUnavailable(`${file} cannot be read or written: check the disk.`, true);
  return null;
}

interface Caused {
  readonly code?: unknown;
  readonly message?: string;
  readonly cause?: Caused;
}

/** The codes of an error and of what caused it. */
function codesOf(error: unknown): string[] {
  const codes: string[] = [];
  for (let at = error as Caused | undefined; at; at = at.cause) {
    if (typeof at.code === 'string') codes.push(at.code);
    // The library tells this one in words only.
    if (at.message?.includes('Unable to open connection')) codes.push('SQLITE_CANTOPEN');
    if (codes.length > 8) break;
  }
  return codes;
}
