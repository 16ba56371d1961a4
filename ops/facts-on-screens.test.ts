import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { gearClasses, type RigFactId, rules } from '@wainrope/core';
import { describe, expect, it } from 'vitest';

/** Where somebody states a fact: a file of the pages and what in it states it. Every fact has one. */
const SCREENS: { readonly [id in RigFactId]: readonly [file: string, states: RegExp] } = {
  'ground.slope': ['SitePanel.tsx', /kind: 'change-ground'/],
  'body.mass': ['BodyFields.tsx', /'massKg'/],
  'body.size': ['BodyFields.tsx', /'lengthM'[\s\S]*'widthM'/],
  'body.stands': ['body-edits.ts', /kind: 'move-body'/],
  'body.heading': ['BodyFields.tsx', /headingRad: degrees/],
  'body.name': ['BodyFields.tsx', /label: event\.target\.value/],
  'vehicle.track': ['StandingFields.tsx', /\{ \.\.\.body, trackM \}/],
  'vehicle.axles': ['outline/VehicleFigures.tsx', /wheelbaseM: metres[\s\S]*frontShare: percent/],
  'vehicle.receiver': ['outline/VehicleFigures.tsx', /receiverM: millimetres/],
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
  'use.hitch': ['outline/UseFields.tsx', /\.\.\.use, hitch/],
  'use.bow-angle': ['outline/UseFields.tsx', /bowAngleRad: degrees/],
  'use.axis': ['outline/UseFields.tsx', /axis: 'minor'/],
  'use.named': ['outline/UseFields.tsx', /pointKind: kind[\s\S]*lastResort[\s\S]*agreedBy/],
  'use.judged': ['UnregisteredPoint.tsx', /judged/],
  'line.way': ['route-words.ts', /draft/],
  'grip.place': ['OutlinePanel.tsx', /addGrip/],
  'lanyard.tie': ['outline/LanyardRows.tsx', /gearId[\s\S]*to: tie\.to/],
  'line.edges': ['outline/EdgeFields.tsx', /changeEdge\(edge, \{ \.\.\.bend, radiusM/],
  'drive.faces': ['outline/DriveFields.tsx', /faces: way/],
  engine: ['StandingFields.tsx', /kind: 'state-engine'/],
  'tie.back': ['OutlinePanel.tsx', /tieBack/],
  dampers: ['PlannerPage.tsx', /list: 'dampers'/],
  tools: ['outline/ToolFields.tsx', /kind: 'choose-tools'/],
  features: ['FeatureFields.tsx', /kind: 'put'/],
  origin: ['OriginFields.tsx', /kind: 'set-origin'/],
  purpose: ['pull/WayFields.tsx', /kind: 'set-purpose'/],
  'load.travel': ['pull/WayFields.tsx', /\.\.\.rig\.load, travelM/],
  'load.path': ['pull/WayFields.tsx', /path: pathOf/],
  'load.drives': ['pull/WayFields.tsx', /\.\.\.rig\.load, drivesAlong/],
  'tow.run-up': ['pull/RunUp.tsx', /runUp: \{[\s\S]*attempts: Math/],
  'load.task': ['outline/TaskFields.tsx', /rampRad: degrees/],
  sharing: ['outline/DriveFields.tsx', /kind: 'state-sharing'/],
  situation: ['SitePanel.tsx', /kind: 'change-situation'/],
  'pull.chosen': ['StatedFigures.tsx', /kind: 'choose-pull'/],
  limiter: ['StatedFigures.tsx', /kind: 'state-limiter'/],
  answers: ['FindingsPanel.tsx', /kind: 'answer'/],
};

const PLANS = join(import.meta.dirname, '../web/src/plans');
const source = (file: string) => readFileSync(join(PLANS, file), 'utf8');

describe('a fact that somebody has to state', () => {
  it.each(Object.entries(SCREENS))('%s is stated where it says', (_, [file, states]) => {
    expect(source(file)).toMatch(states);
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
