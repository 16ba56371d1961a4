import { cleanup } from '@testing-library/react';
import { afterEach, beforeEach, vi } from 'vitest';
import { baseApi } from '../api/base-api.ts';
import { store } from '../store.ts';

/** What a page has asked the server to do. */
export interface Sent {
  readonly method: string;
  readonly path: string;
  readonly query: string;
  readonly body: unknown;
}

/** An answer that is not plain data: a refusal as the server gives it. */
export class Refusal {
  readonly status: number;
  readonly more: object;
  constructor(status: number, more: object = {}) {
    this.status = status;
    this.more = more;
  }
}

export const faulty = (path: string, message: string) => new Refusal(422, { title: 'Not accepted', faults: [{ path, message }] });
export const stale = (current: unknown) => new Refusal(409, { title: 'Changed by somebody else', current });

type Answer = unknown | ((sent: Sent) => unknown);
/** Until all that is on its way within this page has gone; a test may have put a clock of its own in place. */
const { setTimeout: later } = globalThis;
const soon = () => new Promise((resolve) => later(resolve, 0));

/** By method and path, a path's last parts as `*`: `GET /api/v1/gear/*`. */
export type Routes = { readonly [route: string]: Answer };

/**
 * A server of a test's own under the page's real client: answers by route, and what was sent to it. What nobody answers is a failure
 * of the test, told by name.
 */
export function fakeServer() {
  const sent: Sent[] = [];
  const unanswered: string[] = [];
  let routes: Routes = {};
  const RealRequest = globalThis.Request;
  beforeEach(() => {
    routes = {};
    sent.length = 0;
    unanswered.length = 0;
    // A page asks by path; only a browser knows of which server. Its signal is of another world than the fetching one's.
    vi.stubGlobal(
      'Request',
      class extends RealRequest {
        constructor(address: string | URL | Request, { signal: _signal, ...init }: RequestInit = {}) {
          super(typeof address === 'string' ? new URL(address, 'http://wainrope.test') : address, init);
        }
      },
    );
    vi.stubGlobal('fetch', async (request: Request) => {
      const { pathname, search } = new URL(request.url);
      const text = await request.text();
      const asked: Sent = { method: request.method, path: pathname, query: search.slice(1), body: bodyOf(request, text) };
      if (request.method !== 'GET') sent.push(asked);
      return responseTo(asked);
    });
  });
  afterEach(async () => {
    // A page that still stands would ask anew for what the store forgets, and in the middle of the next test.
    cleanup();
    for (const query of store.dispatch(baseApi.util.getRunningQueriesThunk())) query?.abort();
    await soon();
    store.dispatch(baseApi.util.resetApiState());
    vi.unstubAllGlobals();
    if (unanswered.length > 0) throw new Error(`nothing answers ${[...new Set(unanswered)].join(', ')}`);
  });

  /** What was sent: a document, or a file as its text. */
  const bodyOf = ({ headers }: Request, text: string): unknown => {
    if (text === '') return undefined;
    return headers.get('Content-Type') === 'text/csv' ? text : JSON.parse(text);
  };

  async function responseTo(asked: Sent): Promise<Response> {
    const { method, path } = asked;
    const steps = path.split('/');
    const names = [path, [...steps.slice(0, -1), '*'].join('/'), [...steps.slice(0, -2), '*', steps.at(-1)].join('/')];
    const name = names.map((entry) => `${method} ${entry}`).find((entry) => entry in routes);
    if (name === undefined) {
      unanswered.push(`${method} ${path}`);
      return Response.json({ title: 'Not found', status: 404, detail: path, type: 'about:blank' }, { status: 404 });
    }
    const route = routes[name];
    const answer = await (typeof route === 'function' ? route(asked) : route);
    if (answer instanceof Refusal) {
      const { status, more } = answer;
      return Response.json({ type: 'about:blank', title: 'Refused', detail: 'Refused.', status, ...more }, { status });
    }
    return answer === undefined ? new Response(null, { status: 204 }) : Response.json(answer);
  }

  return {
    sent,
    /** The page forgets what it was answered, as if it were opened anew. */
    forget: () => void store.dispatch(baseApi.util.resetApiState()),
    /** The body of what was sent, by its number; there must be one. */
    body: <T>(index: number): T => {
      const found = sent[index];
      if (found === undefined) throw new Error(`only ${sent.length} requests were sent`);
      return found.body as T;
    },
    /** Adds answers to those that stand. */
    answers: (more: Routes) => {
      routes = { ...routes, ...more };
    },
  };
}
