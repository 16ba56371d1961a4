import { existsSync } from 'node:fs';
import { join } from 'node:path';
import type { Handler, NextFunction, Request, Response } from 'express';
import expressStaticGzip from 'express-static-gzip';
import { linksAhead } from './pages-ahead.ts';

/** What the build keeps for itself. */
const INTERNAL = /-modules\.json(?:\.\w+)?$/;

/**
 * Serves the built pages, packed where they are. A file that a new build takes away while it is being sent ends that one answer only.
 * Hashed assets for ever, the index never cached, unknown API paths never as a page.
 */
export function webFiles(folder: string, sessionCookie: string): readonly Handler[] {
  if (!existsSync(join(folder, 'index.html'))) return [];
  const files = expressStaticGzip(folder, {
    enableBrotli: true,
    orderPreference: ['br', 'gz'],
    serveStatic: {
      cacheControl: false,
      setHeaders: (response, path) =>
        response.setHeader('Cache-Control', path.includes('/assets/') ? 'public, max-age=31536000, immutable' : 'no-cache'),
    },
  });
  const publicFiles: Handler = (request, response, next) => {
    if (INTERNAL.test(request.path) || request.path.startsWith('/api')) next();
    else files(request, response, next);
  };
  const ahead = linksAhead(folder, sessionCookie);
  const index = (request: Request, response: Response, next: NextFunction) => {
    const asks = request.method === 'GET' || request.method === 'HEAD';
    const isPage = asks && !/^\/(?:api|assets)\/|\.\w+$/.test(request.path) && request.accepts('html');
    if (!isPage) return next();
    const links = ahead(request);
    if (links !== undefined) response.setHeader('Link', links);
    request.url = '/index.html';
    files(request, response, next);
  };
  return [publicFiles, index];
}
