import type { NextFunction, Request, Response } from 'express';
import { ProblemException } from '../http/problem.ts';

const THIS_MACHINE = ['localhost', '127.0.0.1', '[::1]'];

/** The name in an address or a `Host` header, without its port, in lower case. */
const nameOf = (host: string): string => host.toLowerCase().replace(/:\d+$/, '');

/**
 * Answers only those who ask for this server by a name of its own: this machine’s, the one it listens on, and the one that people type.
 * A page elsewhere whose name is made to lead here is refused.
 */
export function knownHosts(publicUrl: string | undefined) {
  const listensOn = process.env.WAINROPE_HOST;
  const known = new Set([
    ...THIS_MACHINE,
    ...(listensOn ? [nameOf(listensOn.includes(':') ? `[${listensOn}]` : listensOn)] : []),
    ...(publicUrl ? [nameOf(new URL(publicUrl).host)] : []),
  ]);
  return (request: Request, _response: Response, next: NextFunction): void => {
    if (known.has(nameOf(request.get('host') ?? ''))) next();
    else
      next(
        new ProblemException({
          status: 421,
          title: 'Not this server',
          detail: 'This server does not answer to the name that was used. Its address is set by WAINROPE_PUBLIC_URL.',
        }),
      );
  };
}
