import { describe, expect, it } from 'vitest';
import { judge } from '../judgement/judge.ts';
import type { Case } from '../rig/case.ts';
import { applyEdit, type Edit } from '../rig/edits.ts';
import { referenceFaults } from '../rig/references.ts';
import type { Rig } from '../rig/rig.ts';
import { layouts } from '../testing/layouts.ts';
import { addGrip } from './add-grip.ts';
import {
  addBridle,
  addLanyard,
  clearLines,
  extendChain,
  extendLine,
  insertPiece,
  removeBody,
  removeLine,
  removeUse,
  tieBack,
} from './rigging.ts';
import { type RouteStop, routeEdits, routeFault, routeOf } from './route-line.ts';

const caseOf = (file: string): Case => layouts.find((entry) => entry.file === file)?.build() as Case;
const apply = (rig: Rig, edits: readonly Edit[]) => edits.reduce((state, edit) => applyEdit(state, edit).rig, rig);
const sound = (rig: Rig) =>
  referenceFaults(rig, new Set(rig.chains.flatMap(({ pieces }) => pieces.map(({ gearId }) => gearId ?? ''))), '').filter(
    ({ message }) => !message.includes('piece'),
  );
const bodyOf = (rig: Rig, id: string) => {
  const body = rig.bodies.find((entry) => entry.id === id);
  if (!body) throw new Error(`no ${id}`);
  return body;
};

describe('a line run over bodies', () => {
  const place = caseOf('redirect-plus-double');
  const bare = apply(place.rig, clearLines(place.rig));
  const stops: readonly RouteStop[] = [
    { bodyId: 'ash', at: 'pulley' },
    { bodyId: 'otter', at: 'pulley' },
    { bodyId: 'oak', at: 'end' },
  ];

  it('lays from an empty site what the layout lays: the same strands, the same pull at the load', () => {
    const rig = apply(bare, routeEdits(bare, { lineId: 'line', fromBodyId: 'heron', stops }));
    expect(sound(rig)).toEqual([]);
    expect(rig.chains.map(({ pieces }) => pieces.map(({ role }) => role))).toEqual([
      ['tree-strap', 'connector', 'pulley'],
      ['point', 'connector', 'pulley'],
      ['tree-strap', 'connector', 'line-end'],
    ]);
    const [line] = rig.lines;
    expect(line && routeOf(rig, line)).toEqual({ lineId: 'line', fromBodyId: 'heron', stops });
    const report = judge({ ...place, rig, gear: [] });
    expect(report.strands).toHaveLength(3);
    expect(report.advantage?.frictionless).toBeCloseTo(judge(place).advantage?.frictionless ?? 0, 1);
  });
  it('keeps the pieces of what stays when the route changes, and drops what nothing holds', () => {
    const fewer = apply(
      place.rig,
      routeEdits(place.rig, {
        lineId: 'line',
        fromBodyId: 'heron',
        stops: [
          { bodyId: 'otter', at: 'pulley' },
          { bodyId: 'oak', at: 'end' },
        ],
      }),
    );
    expect(sound(fewer)).toEqual([]);
    expect(fewer.chains.map(({ id }) => id).sort()).toEqual(['at-oak', 'at-otter']);
    expect(fewer.chains.find(({ id }) => id === 'at-otter')).toEqual(place.rig.chains.find(({ id }) => id === 'at-otter'));
    expect(fewer.points.map(({ id }) => id).sort()).toEqual(['fairlead', 'nose', 'on-oak']);
  });
  it('makes another chain where a body serves another purpose', () => {
    const ends = apply(place.rig, routeEdits(place.rig, { lineId: 'line', fromBodyId: 'heron', stops: [{ bodyId: 'ash', at: 'end' }] }));
    expect(sound(ends)).toEqual([]);
    expect(ends.chains).toHaveLength(1);
    expect(ends.chains[0]?.pieces.at(-1)?.role).toBe('line-end');
  });
  it('is taken back by one undo each', () => {
    const edits = routeEdits(bare, { lineId: 'line', fromBodyId: 'heron', stops });
    let rig = bare;
    const back: Edit[] = [];
    for (const edit of edits) {
      const done = applyEdit(rig, edit);
      back.unshift(done.inverse);
      rig = done.rig;
    }
    expect(apply(rig, back)).toEqual(bare);
  });
});

describe('rigging by hand', () => {
  const { rig } = caseOf('single-line-to-a-vehicle');
  const roles = (next: Rig, id: string) => next.chains.find((chain) => chain.id === id)?.pieces.map(({ role }) => role);

  it('puts pieces into a chain and takes them out', () => {
    const more = apply(rig, insertPiece(rig, 'at-otter', 'connector'));
    expect(roles(more, 'at-otter')).toEqual(['point', 'connector', 'connector', 'line-end']);
    expect(apply(more, removeUse(more, 'at-otter.more'))).toEqual(rig);
    expect(removeUse(rig, 'at-otter.2')).toEqual([]);
  });
  it('extends a chain with what joins it, and a line', () => {
    expect(roles(apply(rig, extendChain(rig, 'at-otter')), 'at-otter')).toEqual([
      'point',
      'connector',
      'extension',
      'connector',
      'line-end',
    ]);
    const long = apply(rig, extendLine(rig, 'line'));
    expect(long.lines[0]?.ropes.map(({ role }) => role)).toEqual(['winch-line', 'extension']);
    expect(apply(long, removeUse(long, 'line.extension'))).toEqual(rig);
  });
  it('ties a vehicle back, so that what slides is held', () => {
    const place = caseOf('back-anchored-to-a-tree');
    const { backAnchors: _none, ...loose } = place.rig;
    const tied = apply(loose, tieBack(loose, bodyOf(loose, 'heron'), bodyOf(loose, 'oak')));
    expect(sound(tied)).toEqual([]);
    const holds = (next: Rig) => judge({ ...place, rig: next }).holds.find(({ bodyId }) => bodyId === 'heron')?.backAnchored;
    expect([holds(loose), holds(tied)]).toEqual([false, true]);
  });
  it('shares a vehicle’s end between two points by a bridle that solves', () => {
    const place = caseOf('single-line-to-a-vehicle');
    const bridled = apply(place.rig, addBridle(place.rig, 'at-otter'));
    expect(sound(bridled)).toEqual([]);
    expect(bridled.joints).toHaveLength(1);
    const legs = bridled.chains.filter(({ to }) => to?.kind === 'joint');
    expect(legs.map(({ pieces }) => pieces.map(({ role }) => role))).toEqual([
      ['point', 'connector', 'strap'],
      ['point', 'connector', 'strap'],
    ]);
    expect(addBridle(bridled, 'at-otter')).toEqual([]);
  });
  it('holds the last strand by a grip that solves and carries', () => {
    const place = caseOf('held-by-a-grip');
    const { grips: _grips, ...rest } = place.rig;
    const loose = { ...rest, chains: rest.chains.filter(({ id }) => id !== 'holding') };
    const held = apply(loose, addGrip(loose, 'line', bodyOf(loose, 'rowan')));
    expect(sound(held)).toEqual([]);
    expect(held.grips).toMatchObject([{ lineId: 'line', strand: 1 }]);
    expect(held.chains.at(-1)?.pieces.map(({ role }) => role)).toEqual(['tree-strap', 'connector', 'grip']);
    const toEndM = held.grips?.[0]?.toEndM ?? 0;
    expect(Math.abs(toEndM - (place.rig.grips?.[0]?.toEndM ?? 0))).toBeLessThan(1.5);
    const pieces = place.rig.chains.find(({ id }) => id === 'holding')?.pieces ?? [];
    const geared = { ...held, chains: held.chains.map((chain) => (chain.to?.kind === 'grip' ? { ...chain, pieces } : chain)) };
    const codes = judge({ ...place, rig: geared }).findings.map(({ code }) => code);
    expect(codes).not.toContain('not-solved');
    expect(addGrip(loose, 'no-such-line', bodyOf(loose, 'rowan'))).toEqual([]);
  });
  it('hangs a lanyard on something that stands still', () => {
    const held = apply(rig, addLanyard(rig, 'at-otter.2', bodyOf(rig, 'heron')));
    expect(sound(held)).toEqual([]);
    expect(held.lanyards?.[0]).toMatchObject({ useId: 'at-otter.2', to: { kind: 'point' } });
  });
  it('takes a body off with what is fastened to it, and never the load', () => {
    const place = caseOf('back-anchored-to-a-tree').rig;
    expect(removeBody(place, 'otter')).toEqual([]);
    const without = apply(place, removeBody(place, 'oak'));
    expect(sound(without)).toEqual([]);
    expect(without.backAnchors ?? []).toEqual([]);
    expect(without.lines).toEqual(place.lines);
    const nothing = apply(place, removeBody(place, 'heron'));
    expect(sound(nothing)).toEqual([]);
    expect(nothing.lines).toEqual([]);
  });
  it('takes a line off with what only it uses', () => {
    const two = caseOf('two-winches').rig;
    const one = apply(two, removeLine(two, 'second'));
    expect(sound(one)).toEqual([]);
    expect(one.chains.map(({ id }) => id)).toEqual(['at-right']);
    expect(apply(one, removeLine(one, 'first')).lines).toEqual([]);
    const compound = caseOf('compound-by-winch').rig;
    expect(apply(compound, removeLine(compound, 'hauled')).chains).toEqual([]);
    expect(removeLine(two, 'nothing')).toEqual([]);
  });
});

describe('what may not be', () => {
  const { rig } = caseOf('single-line-to-a-vehicle');
  const person: Rig['bodies'][number] = {
    id: 'mirren',
    kind: 'person',
    label: 'Mirren',
    xM: 3,
    yM: 4,
    duty: 'helper',
    inVehicleId: 'heron',
  };
  const peopled: Rig = { ...rig, bodies: [...rig.bodies, person] };

  it('is a line from anything but a vehicle, or to people', () => {
    expect(routeFault(bodyOf(peopled, 'heron'), 'drive')).toBeUndefined();
    expect(routeFault({ kind: 'tree', label: 'Oak' }, 'drive')).toContain('Oak is not one');
    expect(routeFault(person, 'stop')).toContain('Mirren cannot hold a line');
    expect(routeEdits(peopled, { lineId: 'line', fromBodyId: 'heron', stops: [{ bodyId: 'mirren', at: 'end' }] })).toEqual([]);
    expect(routeEdits(peopled, { lineId: 'line', fromBodyId: 'mirren', stops: [{ bodyId: 'otter', at: 'end' }] })).toEqual([]);
  });
  it('is a back-anchor or a lanyard on people, or a vehicle tied to itself', () => {
    expect(tieBack(peopled, bodyOf(peopled, 'heron'), person)).toEqual([]);
    expect(tieBack(peopled, bodyOf(peopled, 'heron'), bodyOf(peopled, 'heron'))).toEqual([]);
    expect(addLanyard(peopled, 'at-otter.2', person)).toEqual([]);
  });
  it('is a seat in a vehicle that is gone', () => {
    const without = apply(peopled, removeBody(peopled, 'heron'));
    expect(without.bodies.find(({ id }) => id === 'mirren')).not.toHaveProperty('inVehicleId');
  });
});

describe('every act on every layout', () => {
  it.each(layouts.map(({ file, build }) => [file, build] as const))(
    '%s stays a rig that can be read and saved, and is taken back whole',
    (_file, build) => {
      const { rig } = build();
      const damped: Rig = {
        ...rig,
        dampers: rig.lines.flatMap((line) =>
          line.via.map((_, strand) => ({ id: `d-${line.id}-${strand}`, lineId: line.id, strand: strand + 1, gearId: 'D' })),
        ),
        lanyards: [
          ...(rig.lanyards ?? []),
          ...rig.chains.map(({ id, pieces }) => ({
            id: `l-${id}`,
            useId: pieces[0]?.id ?? '',
            to: { kind: 'point' as const, pointId: rig.points[0]?.id ?? '' },
          })),
        ],
      };
      const [first, second] = damped.bodies;
      const acts: readonly (readonly Edit[])[] = [
        ...damped.bodies.map(({ id }) => removeBody(damped, id)),
        ...damped.lines.map(({ id }) => removeLine(damped, id)),
        ...damped.lines.map(({ id }) => extendLine(damped, id)),
        ...damped.lines.flatMap(({ id }) => damped.bodies.map((body) => addGrip(damped, id, body))),
        ...damped.chains.flatMap(({ id, pieces }) => [
          insertPiece(damped, id, 'connector'),
          extendChain(damped, id),
          addBridle(damped, id),
          ...pieces.map((use) => removeUse(damped, use.id)),
        ]),
        ...(first && second ? [tieBack(damped, first, second), tieBack(damped, second, first)] : []),
        ...damped.lines.flatMap((line) => {
          const route = routeOf(damped, line);
          return route ? damped.bodies.map(({ id }) => routeEdits(damped, { ...route, stops: [{ bodyId: id, at: 'end' }] })) : [];
        }),
      ];
      for (const edits of acts) {
        expect(sound(apply(damped, edits))).toEqual([]);
        const undo = edits.reduce<{ readonly rig: Rig; readonly back: readonly Edit[] }>(
          (state, edit) => {
            const done = applyEdit(state.rig, edit);
            return { rig: done.rig, back: [done.inverse, ...state.back] };
          },
          { rig: damped, back: [] },
        );
        expect(apply(undo.rig, undo.back)).toEqual(damped);
      }
    },
  );
});
