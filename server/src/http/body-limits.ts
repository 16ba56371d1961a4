import type { IncomingMessage } from 'node:http';
import express, { type NextFunction, type Request, type RequestHandler, type Response } from 'express';
import { ProblemException } from './problem.ts';

interface Limits {
  readonly bytes: string;
  /** Values that follow another in lists and objects, which is what commas part. */
  readonly entries: number;
}

/** No document that goes over the wire is nested deeper. */
const DEPTH = 32;

const QUOTE = 0x22;
const BACKSLASH = 0x5c;
/** What each byte outside a text does to the depth. */
const STEPS = new Map([
  [0x5b, 1],
  [0x7b, 1],
  [0x5d, -1],
  [0x7d, -1],
]);
const COMMA = 0x2c;

/** Where a text that begins at a quote ends. */
function endOfText(bytes: Uint8Array, from: number): number {
  let at = from + 1;
  while (at < bytes.length && bytes[at] !== QUOTE) at += bytes[at] === BACKSLASH ? 2 : 1;
  return at;
}

/** Depth and entries of a JSON text, counted in one pass over its bytes before anything is made of them. */
export function sizeOfJson(bytes: Uint8Array): { readonly depth: number; readonly entries: number } {
  let [depth, deepest, entries] = [0, 0, 0];
  for (let at = 0; at < bytes.length; at++) {
    const byte = bytes[at] ?? 0;
    if (byte === QUOTE) at = endOfText(bytes, at);
    else if (byte === COMMA) entries++;
    else {
      depth += STEPS.get(byte) ?? 0;
      deepest = Math.max(deepest, depth);
    }
  }
  return { depth: deepest, entries };
}

const tooLarge = (detail: string) => new ProblemException({ status: 413, title: 'Too large', detail });

/** Reads JSON of a route up to what the route takes; what is larger is refused before it is parsed. */
export function jsonUpTo({ bytes, entries: most }: Limits): RequestHandler {
  const verify = (_request: IncomingMessage, _response: unknown, body: Buffer) => {
    const { depth, entries } = sizeOfJson(body);
    if (depth > DEPTH) throw tooLarge(`The request is nested ${depth} deep; at most ${DEPTH} are taken.`);
    if (entries > most) throw tooLarge(`The request has more than ${most} entries, which is more than this address takes.`);
  };
  return express.json({ limit: bytes, verify });
}

/** Addresses that answer somebody who is not signed in. */
const OPEN = /^\/(?:session(?:\/demo)?|invitations\/(?:look|accept|bundle)|health\/\w+)$/;

/** Nobody’s body is read before it is known whose it is. */
export function signedInFirst(request: Request, _response: Response, next: NextFunction): void {
  const sends = request.method !== 'GET' && request.method !== 'HEAD';
  const mayGoOn = !sends || request.session?.signedIn !== undefined || OPEN.test(request.path);
  next(
    mayGoOn
      ? undefined
      : new ProblemException({
          status: 401,
          title: 'Not signed in',
          detail: 'Sign in and try again; what you entered is still on this page.',
        }),
  );
}
