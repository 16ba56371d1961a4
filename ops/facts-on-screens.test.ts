import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { gearClasses, type RigFactId, rules } from '@wainrope/core';
import { describe, expect, it } from 'vitest';

/** Where somebody states a fact: a file of the pages and what in it states it. Every fact has one. */
const SCREENS: { readonly [id in RigFactId]: readonly [file: string, states: RegExp] } = {
  'ground.slope': ['site/SitePanel.tsx', /kind: 'change-ground'/],
  'body.mass': ['site/BodyFields.tsx', /'massKg'/],
  'body.size': ['site/BodyFields.tsx', /'lengthM'[\s\S]*'widthM'/],
  'body.stands': ['site/body-edits.ts', /kind: 'move-body'/],
  'body.heading': ['site/BodyFields.tsx', /headingRad: degrees/],
  'body.name': ['site/BodyFields.tsx', /label: event\.target\.value/],
  'vehicle.track': ['site/StandingFields.tsx', /\{ \.\.\.body, trackM \}/],
  'vehicle.axles': ['site/VehicleFigures.tsx', /wheelbaseM: metres[\s\S]*frontShare: percent/],
  'vehicle.receiver': ['site/VehicleFigures.tsx', /receiverM: millimetres/],
  'vehicle.stance': ['site/StandingFields.tsx', /stance/],
  'tree.trunk': ['site/TreeChoices.tsx', /trunkDiameterM/],
  'tree.stands': ['site/TreeChoices.tsx', /wood[\s\S]*footing[\s\S]*state[\s\S]*leanRad/],
  'anchor.judged': ['site/StatedFigures.tsx', /judged/],
  'anchor.ground': ['site/BodyFields.tsx', /pattern[\s\S]*soil/],
  'anchor.log': ['site/BodyFields.tsx', /'faceHeightM'[\s\S]*'depthM'/],
  'person.duty': ['site/PersonFields.tsx', /duty/],
  'person.shelter': ['site/PersonFields.tsx', /shelter/],
  'person.practised': ['site/PersonFields.tsx', /practised/],
  'crew.people': ['site/BodyFields.tsx', /people/],
  'point.mount': ['site/PointFields.tsx', /forwardM\) => put/],
  'use.piece': ['draft/workplace-edits.ts', /choosePieceEdits/],
  'use.role': ['outline/OutlinePanel.tsx', /tieBack/],
  'use.hitch': ['outline/UseFields.tsx', /\.\.\.use, hitch/],
  'use.bow-angle': ['outline/UseFields.tsx', /bowAngleRad: degrees/],
  'use.axis': ['outline/UseFields.tsx', /axis: 'minor'/],
  'use.named': ['outline/UseFields.tsx', /pointKind: kind[\s\S]*lastResort[\s\S]*agreedBy/],
  'use.judged': ['pieces/UnregisteredPoint.tsx', /judged/],
  'line.way': ['draft/route-words.ts', /draft/],
  'grip.place': ['outline/OutlinePanel.tsx', /addGrip/],
  'lanyard.tie': ['outline/LanyardRows.tsx', /gearId[\s\S]*to: tie\.to/],
  'line.edges': ['outline/EdgeFields.tsx', /changeEdge\(edge, \{ \.\.\.bend, radiusM/],
  'drive.faces': ['outline/DriveFields.tsx', /faces: way/],
  engine: ['site/StandingFields.tsx', /kind: 'state-engine'/],
  'tie.back': ['outline/OutlinePanel.tsx', /tieBack/],
  dampers: ['dampers.ts', /list: 'dampers'/],
  tools: ['outline/ToolFields.tsx', /kind: 'choose-tools'/],
  features: ['site/FeatureFields.tsx', /kind: 'put'/],
  origin: ['site/OriginFields.tsx', /kind: 'set-origin'/],
  purpose: ['site/WayFields.tsx', /kind: 'set-purpose'/],
  'load.travel': ['site/WayFields.tsx', /\.\.\.rig\.load, travelM/],
  'load.path': ['site/WayFields.tsx', /path: pathOf/],
  'load.drives': ['site/WayFields.tsx', /\.\.\.rig\.load, drivesAlong/],
  'tow.run-up': ['pull/RunUp.tsx', /runUp: \{[\s\S]*attempts: Math/],
  'load.task': ['outline/TaskFields.tsx', /rampRad: degrees/],
  sharing: ['outline/DriveFields.tsx', /kind: 'state-sharing'/],
  situation: ['site/SitePanel.tsx', /kind: 'change-situation'/],
  'pull.chosen': ['site/StatedFigures.tsx', /kind: 'choose-pull'/],
  limiter: ['site/StatedFigures.tsx', /kind: 'state-limiter'/],
  answers: ['findings/FindingsPanel.tsx', /kind: 'answer'/],
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
