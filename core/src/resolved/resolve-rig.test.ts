import { describe, expect, it } from 'vitest';
import { usesOf } from '../rig/references.ts';
import { layouts } from '../testing/layouts.ts';
import { resolveRig } from './resolve-rig.ts';

const layout = (file: string) => {
  const found = layouts.find((entry) => entry.file === file);
  if (!found) throw new Error(`no layout ${file}`);
  return resolveRig(found.build());
};

describe('a resolved rig', () => {
  it.each(layouts)('of $file follows every reference of its document', ({ build }) => {
    const subject = build();
    const rig = resolveRig(subject);
    expect(rig.uses.map(({ use }) => use.id)).toEqual(usesOf(subject.rig).map(({ use }) => use.id));
    rig.uses.forEach((use, index) => {
      expect(use.index).toBe(index);
      expect(rig.byId.use(use.use.id)).toBe(use);
      expect(use.piece?.id).toBe(use.use.gearId);
      expect(use.limit === undefined).toBe(use.piece === undefined);
    });
    for (const { uses, point, chain } of rig.chains) {
      uses.forEach((use, order) => {
        expect(use.seat).toMatchObject({ kind: 'chain', order });
        expect(use.inner).toBe(uses[order - 1]);
        expect(use.outer).toBe(uses[order + 1]);
      });
      expect(point?.point.id).toBe(chain.from.kind === 'point' ? chain.from.pointId : undefined);
      if (point) expect(point.on.body.id).toBe(point.point.bodyId);
    }
    for (const { drive, line } of rig.lines) expect(drive?.kind).toBe(line.drive.kind === 'held' ? undefined : line.drive.kind);
  });
  it.each(layouts)('of $file has places with ids of their own, each in its slot', ({ build }) => {
    const { places, byId } = resolveRig(build());
    expect(new Set(places.map(({ id }) => id)).size).toBe(places.length);
    places.forEach((place, index) => {
      expect(place.index).toBe(index);
      expect(byId.place(place.id)).toBe(place);
    });
  });
  it('has its places in the order of the load path: the drum, the line, bends from the drum on, what holds its end', () => {
    const { places, lines } = layout('double-line-self-recovery');
    expect(places[0]?.kind).toBe('drum');
    const line = lines[0]?.line.id;
    const order = places.filter(({ part }) => part === line).map(({ kind }) => kind);
    expect(order.indexOf('rope')).toBe(1);
    expect(order.indexOf('bend')).toBeGreaterThan(order.indexOf('rope'));
    expect(order.lastIndexOf('body')).toBeGreaterThan(order.indexOf('bend'));
  });
  it('splits a line among joined ropes from its end back: the extension at the end lies first', () => {
    const rig = layout('extension-in-the-return-leg');
    const reaches = rig.lines[0]?.reaches ?? [];
    expect(reaches).toHaveLength(2);
    const [first, extension] = reaches;
    expect(extension?.fromEndM).toBe(0);
    expect(extension?.toEndM).toBeGreaterThan(0);
    expect(first?.fromEndM).toBeCloseTo(extension?.toEndM ?? Number.NaN, 9);
  });
  it('changes nothing of the document and is the same when resolved again', () => {
    const subject = layouts[0]?.build();
    if (!subject) throw new Error('no layouts');
    const before = JSON.stringify(subject);
    const [one, two] = [resolveRig(subject), resolveRig(subject)];
    expect(JSON.stringify(subject)).toBe(before);
    expect(two.places.map(({ id, where }) => [id, where])).toEqual(one.places.map(({ id, where }) => [id, where]));
  });
});
