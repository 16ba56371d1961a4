import { existsSync } from 'node:fs';
import { join } from 'node:path';
import express, { type Handler, type NextFunction, type Request, type Response } from 'express';

/** Serves the built pages: hashed assets for ever, the index never cached, unknown API paths never as a page. */
export function webFiles(folder: string): readonly Handler[] {
  if (!existsSync(join(folder, 'index.html'))) return [];
  const assets = express.static(join(folder, 'assets'), { immutable: true, maxAge: '365d', index: false, fallthrough: false });
  const files = express.static(folder, { index: false, maxAge: 0 });
  const index = (request: Request, response: Response, next: NextFunction) => {
    const page = (request.method === 'GET' || request.method === 'HEAD') && !request.path.startsWith('/api') && request.accepts('html');
    if (!page) return next();
    response.setHeader('Cache-Control', 'no-cache');
    response.sendFile(join(folder, 'index.html'));
  };
  const mounted: Handler = (request, response, next) => {
    if (!request.path.startsWith('/assets/')) return next();
    request.url = request.url.replace(/^\/assets/, '');
    return assets(request, response, next);
  };
  return [mounted, files, index];
}
