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
/** No object of any has more keys; what reads bodies takes time by their square. */
const KEYS = 1000;

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
const COLON = 0x3a;

/** Where a text that begins at a quote ends. */
function endOfText(bytes: Uint8Array, from: number): number {
  let at = from + 1;
  while (at < bytes.length && bytes[at] !== QUOTE) at += bytes[at] === BACKSLASH ? 2 : 1;
  return at;
}

interface Size {
  readonly depth: number;
  readonly entries: number;
  /** Of the object that has the most. */
  readonly keys: number;
}

/** Depth, entries and keys of a JSON text, counted in one pass over its bytes before anything is made of them. */
export function sizeOfJson(bytes: Uint8Array): Size {
  let [depth, deepest, entries, most] = [0, 0, 0, 0];
  /** Keys so far of the object at each depth; what is deeper than is taken is not counted. */
  const keys = new Uint32Array(DEPTH + 1);
  for (let at = 0; at < bytes.length; at++) {
    const byte = bytes[at] ?? 0;
    if (byte === QUOTE) at = endOfText(bytes, at);
    else if (byte === COMMA) entries++;
    else if (byte === COLON) {
      keys[depth] = (keys[depth] ?? 0) + 1;
      most = Math.max(most, keys[depth] ?? 0);
    } else {
      const step = STEPS.get(byte) ?? 0;
      depth += step;
      deepest = Math.max(deepest, depth);
      if (step > 0) keys[depth] = 0;
    }
  }
  return { depth: deepest, entries, keys: most };
}

const tooLarge = (detail: string) => new ProblemException({ status: 413, title: 'Too large', detail });

/** Reads JSON of a route up to what the route takes; what is larger is refused before it is parsed. */
export function jsonUpTo({ bytes, entries: most }: Limits): RequestHandler {
  const verify = (_request: IncomingMessage, _response: unknown, body: Buffer) => {
    const { depth, entries, keys } = sizeOfJson(body);
    if (depth > DEPTH) throw tooLarge(`The request is nested ${depth} deep; at most ${DEPTH} are taken.`);
    if (keys > KEYS) throw tooLarge(`An object of the request has ${keys} keys; at most ${KEYS} are taken.`);
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
