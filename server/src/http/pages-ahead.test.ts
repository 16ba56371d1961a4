import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { beforeAll, describe, expect, it } from 'vitest';
import { linksAhead } from './pages-ahead.ts';

const PLAN_ID = '0190a1b2-c3d4-7e5f-8a9b-0c1d2e3f4a5b';
const cookie = 'other=1; team=abc';
let ahead: ReturnType<typeof linksAhead>;
beforeAll(() => {
  const folder = mkdtempSync(join(tmpdir(), 'pages-'));
  const chunk = (file: string, imports: readonly string[], entry = false) => ({ file, entry, imports, modules: [] });
  writeFileSync(
    join(folder, 'page-modules.json'),
    JSON.stringify([
      chunk('assets/index-1.js', ['assets/first-1.js'], true),
      chunk('assets/first-1.js', []),
      chunk('assets/PlannerPage-1.js', ['assets/first-1.js', 'assets/rig-1.js']),
      chunk('assets/rig-1.js', ['assets/format-1.js', 'assets/first-1.js']),
      chunk('assets/format-1.js', ['assets/rig-1.js']),
      chunk('assets/GearPage-1.js', ['assets/format-1.js', 'assets/marks-1.js']),
      chunk('assets/marks-1.js', []),
    ]),
  );
  ahead = linksAhead(folder, 'team');
});
const links = (path: string, headers: { readonly cookie?: string } = { cookie }) => ahead({ path, headers })?.split(', ');

describe('what a page will ask for', () => {
  it('is, of a plan, its scripts that no page has yet, the session and what it reads', () => {
    const expected = [
      '</api/v1/session>; rel=preload; as=fetch; crossorigin',
      '</assets/PlannerPage-1.js>; rel=modulepreload; crossorigin',
      '</assets/rig-1.js>; rel=modulepreload; crossorigin',
      '</assets/format-1.js>; rel=modulepreload; crossorigin',
      `</api/v1/plans/${PLAN_ID}>; rel=preload; as=fetch; crossorigin`,
      '</api/v1/team>; rel=preload; as=fetch; crossorigin',
      '</api/v1/gear?limit=500>; rel=preload; as=fetch; crossorigin',
    ];
    expect(links(`/plans/${PLAN_ID}`)).toEqual(expected);
    expect(links(`/plans/${PLAN_ID}/`)).toEqual(expected);
  });
  it('is the session alone of any other page', () => {
    for (const path of ['/', '/plans', '/plans/new', '/plans/any>;x', `/gear/${PLAN_ID}`, '/joined'])
      expect(links(path), path).toEqual(['</api/v1/session>; rel=preload; as=fetch; crossorigin']);
  });
  it('is nothing for whoever brings no session, or an invitation', () => {
    expect(links(`/plans/${PLAN_ID}`, {})).toBeUndefined();
    expect(links(`/plans/${PLAN_ID}`, { cookie: 'other=1' })).toBeUndefined();
    expect(links('/join')).toBeUndefined();
    expect(links('/join/abc')).toBeUndefined();
  });
  it('is data alone where nobody has told what the pages are made of', () => {
    const bare = linksAhead(join(tmpdir(), 'nowhere'), 'team');
    expect(bare({ path: `/plans/${PLAN_ID}`, headers: { cookie } })).not.toContain('modulepreload');
  });
});
