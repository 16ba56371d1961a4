import type { NextFunction, Request, RequestHandler, Response } from 'express';
import { ProblemException } from './problem.ts';

/** Of one session, or of one address without a session: so many requests are answered at once, and so many that are heavy. */
const AT_ONCE = { light: 4, heavy: 1 } as const;
/** So many more wait for their turn, unread; whoever comes after is told so. */
const MOST_WAITING = 200;
/** A body of more bytes is heavy. */
const LIGHT_BYTES = 64_000;
/** What takes long whatever its body. */
const HEAVY = /^\/(?:bundle|gear\/export\.csv|gear\/import|policy\/preview)/;
/** A stream is open for as long as its page is. */
const STREAM = '/events';

interface Lane {
  running: number;
  readonly waiting: (() => void)[];
}

const tooMany = () =>
  new ProblemException({
    status: 429,
    title: 'Too many at once',
    detail: `More than ${MOST_WAITING} requests of yours are waiting. Nothing was saved; try again in a moment.`,
  });

function isHeavy({ method, path, headers }: Request): boolean {
  const sends = method !== 'GET' && method !== 'HEAD' && method !== 'DELETE';
  const bytes = Number(headers['content-length'] ?? (headers['transfer-encoding'] ? Number.POSITIVE_INFINITY : 0));
  return HEAVY.test(path) || (sends && bytes > LIGHT_BYTES);
}

/** Everybody’s requests take turns, so that nobody who sends many, or large ones, keeps the others waiting. */
export function fairShare(): RequestHandler {
  const lanes = new Map<string, Lane>();
  return (request: Request, response: Response, next: NextFunction) => {
    if (request.path === STREAM) return next();
    // Whoever went while it was looked up whose it is closes nothing any more, and would keep a turn for ever.
    if (response.closed) return;
    const kind = isHeavy(request) ? 'heavy' : 'light';
    const key = `${kind} ${request.session?.signedIn ? request.sessionID : request.ip}`;
    const lane = lanes.get(key) ?? { running: 0, waiting: [] };
    lanes.set(key, lane);
    const begin = () => {
      lane.running += 1;
      response.once('close', () => {
        lane.running -= 1;
        lane.waiting.shift()?.();
        if (lane.running === 0) lanes.delete(key);
      });
      next();
    };
    if (lane.running < AT_ONCE[kind]) return begin();
    if (lane.waiting.length >= MOST_WAITING) return next(tooMany());
    const turn = () => {
      response.removeListener('close', leave);
      begin();
    };
    const leave = () => {
      lane.waiting.splice(lane.waiting.indexOf(turn), 1);
    };
    response.once('close', leave);
    lane.waiting.push(turn);
  };
}
