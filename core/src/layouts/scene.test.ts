import { describe, expect, it } from 'vitest';
import { layouts } from './layouts.ts';
import { atHeight, onFrame, onTrunk } from './scene.ts';

describe('what the points of a layout are called', () => {
  it('goes by where they are, not by the names that the bodies have before they are laid on a site', () => {
    expect(onTrunk('low-on-oak', 'oak').label).toBe('low on the trunk');
    expect(onFrame('badger-nose', 'badger', 2, 0, 0.5).label).toBe('nose');
    expect(onFrame('tail-right', 'otter', -2, -0.5, 0.5).label).toBe('tail right');
    expect(atHeight('at-anchor', 'anchor', 0.1).label).toBe('at the anchor');
  });
  it('is in plain words in every layout', () => {
    for (const { id, build } of layouts) {
      const { points, bodies } = build().rig;
      for (const { label } of points) {
        expect(label, id).not.toMatch(/[-_]/);
        for (const body of bodies.filter(({ kind }) => kind === 'tree' || kind === 'vehicle'))
          expect(label.split(' '), `${id}: ${label}`).not.toContain(body.id);
      }
    }
  });
});
