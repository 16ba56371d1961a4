import type { BaseQueryFn, FetchArgs, FetchBaseQueryError, FetchBaseQueryMeta, QueryReturnValue } from '@reduxjs/toolkit/query/react';
import { addDays, differenceInCalendarDays, lightFormat, parseISO } from 'date-fns';
import { heard, keptShown, unheard } from './connection-slice.ts';
import type { KeptAnswer } from './kept-answers.ts';

type Query = BaseQueryFn<string | FetchArgs, unknown, FetchBaseQueryError, object, FetchBaseQueryMeta>;
type Asker = Pick<Parameters<Query>[1], 'dispatch' | 'queryCacheKey'>;
type Answer<T> = QueryReturnValue<T, FetchBaseQueryError, FetchBaseQueryMeta>;

/** What is no use tomorrow, too large, or made anew each time. */
const NOT_KEPT = /^\/api\/v1\/(events|bundle|photos|calendar|audit|health|tasks|gear\/export|gear\/pages)/;
/** A whole list is kept as one, not by its pages, which belong to each other. */
const WHOLE = ['wholeRegister', 'allPlans'];
/** What comes anew within so short a time is written once. */
const TOGETHER_MS = 5000;
/** So long a server may be silent before the device answers from what it keeps. */
const SILENT_MS = 20_000;
/** Why a question that was asked without a signal has no answer. */
export const NOT_READ_HERE = 'It was not read on this device before the signal went.';
export const NEVER_KEPT = 'It is not kept on a device.';

/** The device's own store loads after the page; where the browser has none, nothing is kept. */
export const deviceKeeps = () => (typeof indexedDB === 'undefined' ? undefined : import('./kept-answers.ts'));

/** The address that a reading question asks, with its query in order; nothing for what changes something. */
export function questionOf(args: string | FetchArgs): string | undefined {
  const { url, method = 'GET', params = {} } = typeof args === 'string' ? { url: args } : args;
  if (method !== 'GET') return undefined;
  const [path = '', search = ''] = url.split('?');
  const query = new URLSearchParams(search);
  for (const [name, value] of Object.entries(params as Readonly<Record<string, unknown>>))
    if (value !== undefined) query.set(name, String(value));
  query.sort();
  return query.size === 0 ? path : `${path}?${query}`;
}

const written = new Map<string, number>();
const waiting = new Map<string, KeptAnswer>();

/** Keeps an answer on the device, the newest of several that come within a few seconds. */
export function keep(answer: KeptAnswer): void {
  const { key } = answer;
  if (waiting.has(key)) {
    waiting.set(key, answer);
    return;
  }
  const since = Date.now() - (written.get(key) ?? Number.NEGATIVE_INFINITY);
  waiting.set(key, answer);
  setTimeout(() => void write(key), since >= TOGETHER_MS ? 0 : TOGETHER_MS - since);
}

// A page that goes takes nothing along that still waits to be written.
if (typeof document !== 'undefined')
  document.addEventListener('visibilitychange', () => {
    if (document.visibilityState === 'hidden') for (const key of waiting.keys()) void write(key);
  });

async function write(key: string): Promise<void> {
  const answer = waiting.get(key);
  waiting.delete(key);
  written.set(key, Date.now());
  if (!answer) return;
  try {
    await (await deviceKeeps())?.keepAnswer(answer);
  } catch (error) {
    // The page goes on; what it shows came from the server. The device's page says how full it is.
    console.warn(`Not kept for when there is no signal: ${key}:`, error);
  }
}

/** What the device kept goes with whoever signs out; what is still on its way is kept for nobody. */
export async function forgetKept(): Promise<void> {
  waiting.clear();
  await (await deviceKeeps())?.forgetAnswers();
}

/** What the device last read of a question. */
async function keptOf(key: string): Promise<KeptAnswer | undefined> {
  try {
    const device = await deviceKeeps();
    return (await device?.keptAnswer(key)) ?? (await keptWithin(key));
  } catch (error) {
    console.warn(`What this device kept cannot be read: ${key}:`, error);
    return undefined;
  }
}

/** What was never opened by itself stands in the list that was read. */
const WITHIN = [
  { one: /^\/api\/v1\/gear\/([^/?]+)$/, list: 'wholeRegister', id: 'gearId' },
  { one: /^\/api\/v1\/outings\/([^/?]+)$/, list: '/api/v1/outings', id: 'outingId' },
] as const;

async function keptWithin(key: string): Promise<KeptAnswer | undefined> {
  for (const { one, list, id } of WITHIN) {
    const wanted = one.exec(key)?.[1];
    const whole = wanted === undefined ? undefined : await (await deviceKeeps())?.keptAnswer(list);
    if (!whole) continue;
    const { data } = whole as { readonly data: readonly Row[] | { readonly items: readonly Row[] } };
    const found = ('items' in data ? data.items : data).find((row) => row[id] === wanted);
    if (found) return { key, data: found, at: whole.at };
  }
  return undefined;
}

interface Row {
  readonly [column: string]: unknown;
}

/** An answer of another day: what was due then is due all the more, so its day goes on by as many as have passed on this device. */
export function asOfNow({ key, data, at }: KeptAnswer, now: Date): unknown {
  if (key !== '/api/v1/team') return data;
  const team = data as { readonly today: string };
  const days = differenceInCalendarDays(now, parseISO(at));
  return days > 0 ? { ...team, today: lightFormat(addDays(parseISO(team.today), days), 'yyyy-MM-dd') } : team;
}

/** No answer at all, or one that is not our server's: a page of a network that wants a sign-in, a gateway that finds nobody behind it. */
function nobodyAnswered({ error, meta }: Answer<unknown>): boolean {
  if (error?.status === 'FETCH_ERROR') return true;
  const type = meta?.response?.headers.get('Content-Type') ?? '';
  return meta?.response !== undefined && (type.includes('html') || ([502, 504].includes(meta.response.status) && !type.includes('json')));
}

/** Answers a question from the device where the server does not, and keeps what the server answers. */
export async function keptRead<T>(key: string, api: Asker, ask: () => PromiseLike<Answer<T>> | Answer<T>): Promise<Answer<T>> {
  const question = api.queryCacheKey ?? key;
  const answer = await ask();
  if (!nobodyAnswered(answer)) {
    api.dispatch(heard(question));
    if (answer.data !== undefined) keep({ key, data: answer.data, at: new Date().toISOString() });
    return answer;
  }
  api.dispatch(unheard());
  const kept = await keptOf(key);
  if (!kept) return { error: { status: 'FETCH_ERROR', error: NOT_READ_HERE } };
  api.dispatch(keptShown({ question, at: kept.at }));
  return { data: asOfNow(kept, new Date()) as T };
}

/** The query of every question: what reads is kept and, without a signal, answered from the device. */
export const keepingReads =
  (query: Query): Query =>
  async (args, api, extra) => {
    const key = questionOf(args);
    if (key !== undefined && !NOT_KEPT.test(key) && !WHOLE.includes(api.endpoint)) return keptRead(key, api, () => query(args, api, extra));
    const answer = await query(args, api, extra);
    const silent = nobodyAnswered(answer);
    api.dispatch(silent ? unheard() : heard(undefined));
    return silent
      ? { error: { status: 'FETCH_ERROR', error: key === undefined ? 'No answer' : NEVER_KEPT }, ...(answer.meta && { meta: answer.meta }) }
      : answer;
  };

/** Fetches; a reading question that the device has an answer to does not wait for a silent server for ever. */
export async function patientFetch(input: RequestInfo | URL, init?: RequestInit): Promise<Response> {
  const request = input as Request;
  const key = request.method === 'GET' ? questionOf(request.url.replace(/^[a-z]+:\/\/[^/]+/, '')) : undefined;
  if (key === undefined || NOT_KEPT.test(key) || typeof indexedDB === 'undefined') return fetch(input, init);
  const silent = new AbortController();
  const timer = setTimeout(async () => void ((await keptOf(key)) && silent.abort()), SILENT_MS);
  try {
    return await fetch(request, { ...init, signal: AbortSignal.any([request.signal, silent.signal]) });
  } finally {
    clearTimeout(timer);
  }
}
