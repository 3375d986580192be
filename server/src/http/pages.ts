import type { NextFunction, Request, Response } from 'express';
import sirv from 'sirv';

/** Files that bear a hash of what is in them in their name: another content has another name. */
const hashed = '/assets/';
const yearS = 365 * 24 * 3600;

/**
 * The interface, from the files of its build. Each goes out as it was compressed when it was built, where the browser can read
 * that. What bears a hash is kept for good; the page itself is asked for again each time, and is not sent again while its
 * ETag holds. Every address that is no file is the page: its views have addresses of their own.
 */
export function pages(folder: string) {
  const serve = sirv(folder, {
    brotli: true,
    gzip: true,
    etag: true,
    single: true,
    // What bears a hash is a file or nothing: the page in its place would be kept for a year.
    ignores: [/^\/assets\//],
    setHeaders: (response, pathname) =>
      response.setHeader(
        'Cache-Control',
        pathname.startsWith(hashed) ? `public, max-age=${yearS}, immutable` : 'no-cache',
      ),
  });
  return (request: Request, response: Response, next: NextFunction) => {
    const isOurs = request.path !== '/api' && !request.path.startsWith('/api/');
    if (isOurs && (request.method === 'GET' || request.method === 'HEAD')) serve(request, response, next);
    else next();
  };
}
