import { describe, expect, it } from 'vitest';
import type { GearFacts } from '../gear/gear-facts.ts';
import { lengthOf } from '../gear/traits.ts';
import { judge } from '../judgement/judge.ts';
import { teamStandard } from '../policy/team-standard.ts';
import type { Body, Rig } from '../rig/rig.ts';
import { applied, fillEdits } from '../rigging/fill-pieces.ts';
import { REGISTER_DAY, registerOf, siteOf } from '../testing/usable-register.ts';
import { assignBodies, layOnSite } from './lay-on-site.ts';
import type { Layout } from './layout.ts';
import { layouts } from './layouts.ts';

const changed = (site: Rig, change: (body: Body) => Body): Rig => ({ ...site, bodies: site.bodies.map(change) });

/** Sites that a team draws: as the layout's own scene, seen in a mirror, and with everything a fifth nearer or farther. */
const SITES: readonly (readonly [string, (site: Rig) => Rig])[] = [
  ['as the scene', (site) => site],
  [
    'seen in a mirror',
    (site) => ({
      ...changed(site, (body) => ({ ...body, xM: -body.xM, ...('headingRad' in body && { headingRad: -body.headingRad }) })),
      ground: { ...site.ground, uphillRad: -site.ground.uphillRad },
    }),
  ],
  [
    'nearer',
    (site) => ({
      ...changed(site, (body) => ({ ...body, xM: 0.8 * body.xM, yM: 0.8 * body.yM })),
      load: { ...site.load, ...(site.load.travelM !== undefined && { travelM: 0.8 * site.load.travelM }) },
    }),
  ],
  ['farther', (site) => changed(site, (body) => ({ ...body, xM: 1.2 * body.xM, yM: 1.2 * body.yM }))],
];

function laidAndFilled(layout: Layout, site: Rig) {
  const laid = layOnSite(layout, site, assignBodies(layout, site));
  const bag = registerOf(site);
  return { rig: applied(laid, fillEdits(laid, { pieces: bag, today: REGISTER_DAY })), gear: bag.map(({ facts }) => facts) };
}

const stopsOf = (layout: Layout, site: Rig): readonly string[] => {
  const report = judge({ kind: 'rig', name: layout.id, asOf: REGISTER_DAY, ...laidAndFilled(layout, site), policy: teamStandard });
  return report.findings
    .filter(({ severity, undecided }) => severity === 'stop' && !undecided)
    .map(({ code, subject }) => `${code} at ${subject.id}`);
};

/** What a site or the bag really lacks: room for the hook, a longer piece than the register's longest, a stronger line than its only long one. */
const REAL: { readonly [siteAndLayout: string]: readonly string[] } = {
  'nearer: spooling-under-tension': ['hook-reaches-fairlead at winch-fairlead.0'],
  'nearer: clearing-sideways': ['hook-reaches-pulley at line.1'],
  'farther: extension-in-the-anchor-leg': ['over-breaking-margin at line.rope.0'],
  'farther: back-anchored-to-vehicles': ['rope-too-short at second-back.1'],
  'farther: stretch-pull': ['rope-too-short at line.rope.0'],
  'farther: stretch-pull-joined': ['rope-too-short at line.rope.0'],
};

describe.each(SITES)('on a site %s, with a usable register', (name, drawn) => {
  it.each(layouts.map((layout) => [layout.id, layout] as const))('%s begins without a stop', (id, layout) => {
    expect(stopsOf(layout, drawn(siteOf(layout.build().rig)))).toEqual(REAL[`${name}: ${id}`] ?? []);
  });
});

describe('the pieces that are chosen by themselves', () => {
  const chosenFor = (layoutId: string, change: (site: Rig) => Rig = (site) => site) => {
    const layout = layouts.find(({ id }) => id === layoutId);
    if (!layout) throw new Error(layoutId);
    return laidAndFilled(layout, change(siteOf(layout.build().rig)));
  };
  const kindsOf = (
    { rig, gear }: ReturnType<typeof laidAndFilled>,
    uses: readonly { readonly role: string; readonly gearId?: string | undefined }[],
  ) =>
    uses
      .filter(({ role }) => role !== 'connector')
      .map(({ gearId }) => gear.find(({ id }) => id === gearId)?.kind ?? `nothing of ${rig.bodies.length}`);

  it('are stretch ropes for a run-up, and a static strap or rope without one', () => {
    const [one, two, steady] = ['stretch-pull', 'stretch-pull-joined', 'static-tow'].map((id) => chosenFor(id));
    expect(one && kindsOf(one, one.rig.lines[0]?.ropes ?? [])).toEqual(['stretch-rope']);
    expect(two && kindsOf(two, two.rig.lines[0]?.ropes ?? [])).toEqual(['stretch-rope', 'stretch-rope']);
    expect(steady && kindsOf(steady, steady.rig.lines[0]?.ropes ?? [])).not.toContain('stretch-rope');
  });
  it('are legs of a bridle alike, and a rope where a bridle runs in a ring', () => {
    const fixed = chosenFor('fixed-bridle');
    const lengths = fixed.rig.chains
      .filter(({ to }) => to?.kind === 'joint')
      .flatMap(({ pieces }) => pieces.filter(({ role }) => role === 'strap'))
      .map(({ gearId }) => lengthOf(fixed.gear.find(({ id }) => id === gearId) as GearFacts));
    expect(lengths).toHaveLength(2);
    expect(lengths[0]).toBe(lengths[1]);
    const running = chosenFor('running-bridle');
    const bridle = running.rig.lines.find(({ id }) => id === 'bridle');
    expect(running.gear.find(({ id }) => id === bridle?.ropes[0]?.gearId)?.attributes).toHaveProperty('ropeDiameterM');
  });
  it('begin a lowering with line for its whole way', () => {
    const rope = ({ rig, gear }: ReturnType<typeof laidAndFilled>) =>
      lengthOf(gear.find(({ id }) => id === rig.lines[0]?.ropes[0]?.gearId) as GearFacts) ?? 0;
    const saying = (travelM: number) => chosenFor('lowering-down-a-slope', (site) => ({ ...site, load: { ...site.load, travelM } }));
    // 23.9 m there and back and 2.7 m on the drum: the 30 m line has 3.4 m, for 1.7 m of a load on two parts.
    expect(rope(saying(1))).toBe(30);
    expect(rope(saying(3))).toBeGreaterThan(30);
  });
});
