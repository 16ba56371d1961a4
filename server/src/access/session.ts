import connectPgSimple from 'connect-pg-simple';
import session from 'express-session';
import { LRUCache } from 'lru-cache';
import type pg from 'pg';
import { SESSION_COOKIE } from '../actor/route-access.ts';

declare module 'express-session' {
  interface SessionData {
    /** Who signed in; what they may do is looked up anew at every request. */
    signedIn: { readonly accountId: string; readonly teamId: string };
  }
}

const DAY_MS = 86_400_000;
/** A volunteer may be without a signal for weeks; each visit begins the time anew. */
const SESSION_DAYS = 30;

/** So seldom is it written that a session goes on; a read alone writes nothing. */
const NOTED_EVERY_MS = 3_600_000;
const MOST_KNOWN = 50_000;

/** A store that writes that a session goes on once an hour, not with every request. */
class QuietStore extends connectPgSimple(session) {
  private readonly noted = new LRUCache<string, true>({ max: MOST_KNOWN, ttl: NOTED_EVERY_MS });

  override touch(sid: string, data: session.SessionData, done?: () => void): void {
    if (this.noted.has(sid)) {
      done?.();
      return;
    }
    this.noted.set(sid, true);
    super.touch(sid, data, done);
  }
}

/** Sessions in the database, so that any number of servers behave as one. The cookie holds a random name and nothing else. */
export function sessions(
  pool: pg.Pool,
  publicUrl: string | undefined,
): { readonly handler: ReturnType<typeof session>; readonly close: () => void } {
  const secret = process.env.WAINROPE_SESSION_SECRET;
  if (!secret || secret.length < 32)
    throw new Error('WAINROPE_SESSION_SECRET is not set: at least 32 random characters that sign the session cookies.');
  const store = new QuietStore({ pool, tableName: 'sign_in_session', createTableIfMissing: false, pruneSessionInterval: 900 });
  const handler = session({
    store,
    secret,
    name: SESSION_COOKIE,
    resave: false,
    saveUninitialized: false,
    rolling: true,
    cookie: {
      httpOnly: true,
      sameSite: 'lax',
      secure: publicUrl?.startsWith('https:') === true,
      maxAge: SESSION_DAYS * DAY_MS,
    },
  });
  return { handler, close: () => store.close() };
}
