import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { gearClasses, type RigFactId, rigFacts, rules } from '@wainrope/core';
import { describe, expect, it } from 'vitest';

/** Where somebody states a fact: a file of the pages and what in it states it; nothing where only a file or a layout can. */
const SCREENS: { readonly [id in RigFactId]: readonly [file: string, states: RegExp] | 'no-screen' } = {
  'ground.slope': ['SitePanel.tsx', /kind: 'change-ground'/],
  'body.mass': ['BodyFields.tsx', /'massKg'/],
  'body.size': ['BodyFields.tsx', /'lengthM'[\s\S]*'widthM'/],
  'body.stands': ['body-edits.ts', /kind: 'move-body'/],
  'body.heading': ['BodyFields.tsx', /headingRad: degrees/],
  'body.name': ['BodyFields.tsx', /label: event\.target\.value/],
  'vehicle.track': ['StandingFields.tsx', /\{ \.\.\.body, trackM \}/],
  'vehicle.axles': 'no-screen',
  'vehicle.stance': ['StandingFields.tsx', /stance/],
  'tree.trunk': ['TreeChoices.tsx', /trunkDiameterM/],
  'tree.stands': ['TreeChoices.tsx', /wood[\s\S]*footing[\s\S]*state[\s\S]*leanRad/],
  'anchor.judged': ['StatedFigures.tsx', /judged/],
  'anchor.ground': ['BodyFields.tsx', /pattern[\s\S]*soil/],
  'anchor.log': ['BodyFields.tsx', /'faceHeightM'[\s\S]*'depthM'/],
  'person.duty': ['PersonFields.tsx', /duty/],
  'person.shelter': ['PersonFields.tsx', /shelter/],
  'person.practised': ['PersonFields.tsx', /practised/],
  'crew.people': ['BodyFields.tsx', /people/],
  'point.mount': ['PointFields.tsx', /forwardM\) => put/],
  'use.piece': ['PlannerPage.tsx', /choosePieceEdits/],
  'use.role': ['OutlinePanel.tsx', /tieBack/],
  'use.hitch': 'no-screen',
  'use.bow-angle': 'no-screen',
  'use.axis': 'no-screen',
  'use.judged': ['UnregisteredPoint.tsx', /judged/],
  'line.way': ['route-words.ts', /draft/],
  'grip.place': ['OutlinePanel.tsx', /addGrip/],
  'lanyard.tie': 'no-screen',
  'tie.back': ['OutlinePanel.tsx', /tieBack/],
  dampers: ['PlannerPage.tsx', /list: 'dampers'/],
  tools: 'no-screen',
  features: ['FeatureFields.tsx', /kind: 'put'/],
  origin: ['OriginFields.tsx', /kind: 'set-origin'/],
  purpose: ['pull/WayFields.tsx', /kind: 'set-purpose'/],
  'load.travel': ['pull/WayFields.tsx', /\.\.\.rig\.load, travelM/],
  'load.path': ['pull/WayFields.tsx', /path: pathOf/],
  'load.drives': ['pull/WayFields.tsx', /\.\.\.rig\.load, drivesAlong/],
  'tow.run-up': ['pull/RunUp.tsx', /runUp: \{[\s\S]*attempts: Math/],
  'load.task': 'no-screen',
  sharing: 'no-screen',
  situation: ['SitePanel.tsx', /kind: 'change-situation'/],
  'pull.chosen': ['StatedFigures.tsx', /kind: 'choose-pull'/],
  limiter: ['StatedFigures.tsx', /kind: 'state-limiter'/],
  answers: ['FindingsPanel.tsx', /kind: 'answer'/],
};

/** Facts that no screen can state today. This list may only shrink. */
const KNOWN: readonly RigFactId[] = [
  'vehicle.axles',
  'use.hitch',
  'use.bow-angle',
  'use.axis',
  'lanyard.tie',
  'tools',
  'load.task',
  'sharing',
];
/** What states each of them, were there a screen. */
const WOULD_STATE: { readonly [id in RigFactId]?: RegExp } = {
  'vehicle.axles': /wheelbaseM:|frontShare:|, wheelbaseM \}/,
  'use.hitch': /hitch: '|, hitch \}/,
  'use.bow-angle': /bowAngleRad/,
  'use.axis': /axis: '(major|minor)/,
  'lanyard.tie': /list: 'lanyards'/,
  tools: /kind: 'choose-tools'/,
  'load.task': /load: \{ \.\.\.[\w.]+, task/,
  sharing: /kind: 'state-sharing'/,
};

const PLANS = join(import.meta.dirname, '../web/src/plans');
const source = (file: string) => readFileSync(join(PLANS, file), 'utf8');

describe('a fact that somebody has to state', () => {
  it.each(Object.entries(SCREENS).filter(([, screen]) => screen !== 'no-screen'))('%s is stated where it says', (_, screen) => {
    const [file, states] = screen as readonly [string, RegExp];
    expect(source(file)).toMatch(states);
  });
  it('has a screen, but for those known', () => {
    const without = (Object.keys(rigFacts) as RigFactId[]).filter((id) => SCREENS[id] === 'no-screen');
    expect(without.filter((id) => !KNOWN.includes(id))).toEqual([]);
    expect(KNOWN.filter((id) => !without.includes(id))).toEqual([]);
  });
  it.each(KNOWN)('%s is still without one; once it has one it leaves the list', (id) => {
    const states = WOULD_STATE[id];
    if (!states) throw new Error(`say what would state ${id}`);
    const files = readdirSync(PLANS).filter((file) => /\.tsx?$/.test(file) && !file.includes('.test.'));
    expect(files.filter((file) => states.test(source(file)))).toEqual([]);
  });
  it('of a piece is stated on its page, which asks for every field of its class', () => {
    const page = readFileSync(join(PLANS, '../gear/GearEditPage.tsx'), 'utf8');
    expect(page).toMatch(/Object\.entries<Field>\(gearClasses\[kind\]\.fields\)/);
    const fields = new Set(Object.values(gearClasses).flatMap((row) => Object.keys(row.fields)));
    const asked = rules.flatMap(({ needs }) => needs).filter((id) => id.startsWith('gear.'));
    const ofRecord = ['gear.class', 'gear.marks', 'gear.state', 'gear.inspection', 'gear.age'];
    expect(asked.filter((id) => !ofRecord.includes(id) && !fields.has(id.slice('gear.'.length)))).toEqual([]);
  });
  it('is what every rule says that it reads', () => {
    for (const { code, needs } of rules) expect(needs.length, code).toBeGreaterThan(0);
  });
});
