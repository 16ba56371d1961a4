import { policyDifferences, policyPresets, readPolicy, teamStandard } from '@wainrope/core';
import { describe, expect, it } from 'vitest';
import { LEAF_LABELS } from './leaf-labels.ts';
import { policyLeaves, readLeaf, typedLeaf, withLeaf } from './policy-leaves.ts';
import { changeWords, groupWords, leafWords } from './policy-words.ts';

describe('the leaves of a policy', () => {
  it.each(policyPresets)('of “$name” can each be typed back without changing anything that is judged', (preset) => {
    for (const { path, value } of policyLeaves(preset)) {
      const read = readLeaf(value, typedLeaf(value));
      if (!read.ok) throw new Error(`${path}: ${read.message}`);
      const again = readPolicy(withLeaf(preset, path, read.value, 'typed again'));
      if (!again.ok) throw new Error(`${path}: ${again.faults[0]?.message}`);
    }
  });
  it('change one figure and nothing beside it, with the team as its source', () => {
    const changed = withLeaf(teamStandard, 'tree.footing.wet', 0.3, 'the team’s own');
    expect(policyDifferences(teamStandard, changed)).toEqual([{ path: 'tree.footing.wet.value', from: 0.4, to: 0.3 }]);
    expect(changed.tree.footing.wet.source).toBe('the team’s own');
    const curve = withLeaf(
      teamStandard,
      'bends.fibre.points',
      [
        { ratio: 1, value: 0.4 },
        { ratio: 8, value: 1 },
      ],
      'the team’s own',
    );
    expect(readPolicy(curve)).toMatchObject({ ok: true, value: { bends: { fibre: { source: 'the team’s own' } } } });
  });
  it('refuse what is no number, by its words', () => {
    expect(readLeaf(3, 'three')).toEqual({ ok: false, message: '“three” is not a number.' });
    expect(readLeaf([1, 2], '1; x').ok).toBe(false);
    expect(readLeaf([{ ratio: 1, value: 0.5 }], '1: 0,5; 8: 1')).toEqual({
      ok: true,
      value: [
        { ratio: 1, value: 0.5 },
        { ratio: 8, value: 1 },
      ],
    });
  });
  it('all have a group with its reason', () => {
    for (const { path } of policyLeaves(teamStandard)) expect(Object.keys(groupWords)).toContain(path.split('.')[0]);
  });
  it.each([
    ['tree.maxLeanDeg', 'A tree that leans more holds nothing', '°'],
    ['care.softGoodsYears', 'Soft goods go out of use after', 'years'],
    ['electric.burstS', 'A burst', 's'],
    ['effort.suctionPa.clay-or-bog', 'Suction, clay or bog', 'Pa'],
    ['anchors.picketsFailingN.3-2-1', 'What a picket line lets go at, 3-2-1', 'N'],
    ['stretch.laws.hmpe.massPerDiameterSquared', 'How ropes stretch, HMPE, mass per diameter squared', ''],
    ['designFactors.soft-good', 'Strap, soft shackle or extension', ''],
    ['exposure.mud', 'Mud', ''],
    ['condition.A', 'Grade A: as new', ''],
    ['schools.chain', 'Chain', ''],
  ])('are named: %s is “%s” in %s', (path, label, unit) => {
    expect(leafWords(path)).toEqual({ label, unit });
  });

  it('have labels that name a figure of the policy, or a table of several', () => {
    const paths = policyLeaves(teamStandard).map(({ path }) => path);
    for (const path of Object.keys(LEAF_LABELS))
      expect(
        paths.some((leaf) => leaf === path || leaf.startsWith(`${path}.`)),
        path,
      ).toBe(true);
  });

  it('are named by group and row where they differ', () => {
    expect(changeWords('designFactors.stretch.value')).toBe('Design factors, Stretch rope');
    expect(changeWords('wetPolyamide.value')).toBe('Wet polyamide');
  });
});
