import type { NextFunction, Request, Response } from 'express';
import { ProblemException } from '../http/problem.ts';

const SAFE = ['GET', 'HEAD', 'OPTIONS'];

/**
 * Refuses a change that another site's page sends with this site's cookie. Browsers say where a request comes from
 * (`Origin`, `Sec-Fetch-Site`) and pages cannot forge it; programs that are no browser send neither and carry no foreign cookie.
 */
export function sameOriginOnly(publicUrl: string | undefined) {
  const allowed = publicUrl && new URL(publicUrl).origin;
  return (request: Request, _response: Response, next: NextFunction): void => {
    if (SAFE.includes(request.method) || comesFromHere(request, allowed)) next();
    else
      next(
        new ProblemException({
          status: 403,
          title: 'Not from this site',
          detail: 'The change came from another site’s page and was refused. Open Wainrope itself and try again.',
        }),
      );
  };
}

function comesFromHere(request: Request, allowed: string | undefined): boolean {
  const origin = request.get('origin');
  if (origin !== undefined) return origin === (allowed ?? `${request.protocol}://${request.get('host')}`);
  const site = request.get('sec-fetch-site');
  return site === undefined || site === 'same-origin' || site === 'none';
}
