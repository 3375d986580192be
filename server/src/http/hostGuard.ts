import type { NextFunction, Request, Response } from 'express';
import { invalid, type ProblemException, problem } from './problem';
import { sendProblem } from './problemFilter';

/** Under these names this machine calls itself; others are let in by ACORN_TALLY_HOSTS. */
const ownNames = ['localhost', '127.0.0.1', '[::1]'];

/**
 * Who may come in. A page of another site can make a browser send requests here: one that got our address under a name of
 * its own (DNS rebinding) names that in Host, and one that merely writes names itself in Origin (Fetch standard). So the
 * host is one of ours, and whatever writes or computes comes from a page of that host or from no page.
 */
export function hostGuard(otherHosts: readonly string[]) {
  const names = new Set([...ownNames, ...otherHosts.map((host) => host.toLowerCase())]);
  return (request: Request, response: Response, next: NextFunction) => {
    const wrong = stranger(request, names);
    if (wrong) sendProblem(response, wrong.problem);
    else next();
  };
}

function stranger({ method, headers }: Request, names: ReadonlySet<string>): ProblemException | null {
  const host = headers.host?.toLowerCase() ?? '';
  if (!names.has(host.replace(/:\d+$/, '')))
    return problem('host', 'This server is not called so.', 421, {
      detail: 'Names it answers to besides localhost are set in ACORN_TALLY_HOSTS.',
    });
  const { origin } = headers;
  if (['GET', 'HEAD', 'OPTIONS'].includes(method) || origin === undefined || hostOf(origin) === host)
    return null;
  return problem('origin', 'This comes from a page of another site.', 403);
}

function hostOf(origin: string): string | null {
  try {
    return new URL(origin).host;
  } catch {
    return null;
  }
}

const deepest = 24;
const maxParts = 50_000;
const longestList = 1000;

/** No body that we know is deeper, has more parts or a longer list than this; so much is looked through before anything else is done. */
export function bodyLimits(request: Request, response: Response, next: NextFunction): void {
  const message = request.body === undefined ? null : tooMuch(request.body);
  if (message === null) next();
  else sendProblem(response, invalid([{ path: '', message }]).problem);
}

function tooMuch(body: unknown): string | null {
  let parts = 0;
  let level: unknown[] = [body];
  for (let depth = 0; level.length > 0; depth++) {
    if (depth > deepest) return `The body is nested more than ${deepest} deep.`;
    parts += level.length;
    if (parts > maxParts) return `The body has more than ${maxParts} parts.`;
    const inner: unknown[] = [];
    for (const part of level) {
      if (typeof part !== 'object' || part === null) continue;
      const values = Object.values(part);
      if (Array.isArray(part) && values.length > longestList)
        return `A list of the body has more than ${longestList} parts.`;
      for (const value of values) inner.push(value);
    }
    level = inner;
  }
  return null;
}
