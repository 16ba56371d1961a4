import { existsSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import type { Request } from 'express';

interface Chunk {
  readonly file: string;
  readonly entry: boolean;
  readonly imports: readonly string[];
}

/** A plan's page: what it is made of, and what it reads as soon as it is there. */
const PLAN = /^\/plans\/([0-9a-f]{8}-[0-9a-f-]{27})\/?$/;
const PLAN_PAGE = /^assets\/PlannerPage-[^/]+\.js$/;
const planReads = (planId: string) => [`/api/v1/plans/${planId}`, '/api/v1/team', '/api/v1/gear?limit=500'];
/** Every page but that of an invitation, which makes a session of its own, asks first who it is. */
const SESSION = '/api/v1/session';
const WITHOUT_SESSION = /^\/join(?:\/|$)/;

/** The scripts of a page that its entry does not bring. */
function scriptsOf(folder: string, page: RegExp): readonly string[] {
  const file = join(folder, 'page-modules.json');
  if (!existsSync(file)) return [];
  const chunks = JSON.parse(readFileSync(file, 'utf8')) as readonly Chunk[];
  const found = new Set<string>();
  const add = (name: string, into: Set<string>) => {
    if (into.has(name)) return;
    into.add(name);
    for (const next of chunks.find((chunk) => chunk.file === name)?.imports ?? []) add(next, into);
  };
  const entry = new Set<string>();
  for (const chunk of chunks) if (chunk.entry) add(chunk.file, entry);
  for (const chunk of chunks) if (page.test(chunk.file)) add(chunk.file, found);
  return [...found].filter((name) => !entry.has(name));
}

/**
 * What a page will ask for, as a `Link` header, so that the browser fetches it beside the page's first scripts and not after them. Data
 * is named only to whoever brings a session; the page asks for it at once in any case, so that nothing fetched ahead is left to grow old.
 */
export function linksAhead(folder: string, sessionCookie: string): (request: Pick<Request, 'path' | 'headers'>) => string | undefined {
  const planPage = scriptsOf(folder, PLAN_PAGE);
  const script = (name: string) => `</${name}>; rel=modulepreload; crossorigin`;
  const read = (address: string) => `<${address}>; rel=preload; as=fetch; crossorigin`;
  return ({ path, headers }) => {
    if (WITHOUT_SESSION.test(path) || !headers.cookie?.includes(`${sessionCookie}=`)) return undefined;
    const planId = PLAN.exec(path)?.[1];
    return [read(SESSION), ...(planId === undefined ? [] : [...planPage.map(script), ...planReads(planId).map(read)])].join(', ');
  };
}
