import { describe, expect, it } from 'vitest';
import { layouts } from '../testing/layouts.ts';
import { judge } from './judge.ts';

/** Every pulley of every layout, each hung in the air in its turn. */
const hungInTheAir = layouts.flatMap(({ file, build }) => {
  const plain = build();
  const over = new Set(plain.rig.lines.flatMap(({ via }) => via.flatMap((bend) => (bend.kind === 'pulley' ? [bend.chainId] : []))));
  return plain.rig.chains
    .filter(({ id, to, from }) => over.has(id) && to === undefined && from.kind === 'point')
    .map(({ id: hung }) => {
      const chains = plain.rig.chains.map((chain) =>
        chain.id === hung ? { ...chain, from: { kind: 'joint' as const, jointId: 'in-the-air' } } : chain,
      );
      const joints = [...(plain.rig.joints ?? []), { id: 'in-the-air', label: 'in the air' }];
      return [`${file}, ${hung}`, { ...plain, rig: { ...plain.rig, chains, joints } }] as const;
    });
});

describe('a pulley that nothing holds', () => {
  it('is tried in many places', () => expect(hungInTheAir.length).toBeGreaterThan(12));
  it.each(hungInTheAir)('%s: is never called solved', (_, subject) => {
    const { findings, verdict } = judge(subject);
    expect(verdict).toBe('stop');
    expect(findings.map(({ code }) => code)).toContain('not-solved');
  });
});
