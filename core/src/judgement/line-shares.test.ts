import { describe, expect, it } from 'vitest';
import { layouts } from '../testing/layouts.ts';
import { judge } from './judge.ts';
import { countedShares, lineShares, type SharesOutcome } from './line-shares.ts';

const sharesOf = (outcome: SharesOutcome) => {
  if (outcome.kind !== 'shares') throw new Error(outcome.kind);
  return outcome;
};
const caseOf = (file: string) => {
  const found = layouts.find((layout) => layout.file === file);
  if (!found) throw new Error(`no layout ${file}`);
  return found.build();
};

describe('what pieces carry of the line where a gauge was', () => {
  it('is the line itself for its rope, and close to twice that for the pulley of a double line', () => {
    const subject = caseOf('double-line-to-a-separate-anchor');
    const lineId = subject.rig.lines[0]?.id ?? '';
    const { pieces, travelM } = sharesOf(lineShares(subject, { lineId, strand: 0 }));
    const classOf = (gearId: string) => subject.gear.find(({ id }) => id === gearId)?.kind;
    const rope = pieces.find(({ gearId }) => classOf(gearId)?.startsWith('winch-line'));
    const block = pieces.find(({ gearId }) => classOf(gearId) === 'snatch-block' || classOf(gearId) === 'recovery-ring');
    expect(rope?.shares[0]).toBeCloseTo(1, 9);
    expect(block?.shares[0]).toBeGreaterThan(1.8);
    expect(block?.shares[0]).toBeLessThanOrEqual(2 + 1e-9);
    expect(travelM[0]).toBe(0);
    expect(travelM.at(-1)).toBeCloseTo(subject.rig.load.travelM ?? 0, 9);
    for (const { shares } of pieces) expect(shares).toHaveLength(travelM.length);
    // Behind the pulley the rope carries less while it hauls: a gauge there stands for more at the winch.
    const behind = sharesOf(lineShares(subject, { lineId, strand: 1 })).pieces.find(({ gearId }) => gearId === rope?.gearId);
    expect(behind?.shares[0]).toBeGreaterThan(1);
  });
  it('changes on the way as the strands close', () => {
    const subject = caseOf('redirect-through-a-high-pulley');
    const { pieces } = sharesOf(lineShares(subject, { lineId: subject.rig.lines[0]?.id ?? '', strand: 0 }));
    expect(pieces.some(({ shares }) => Math.abs((shares[0] ?? 0) - (shares.at(-1) ?? 0)) > 0.1)).toBe(true);
  });
  it('of no such strand is not said', () => {
    const subject = caseOf('double-line-to-a-separate-anchor');
    const lineId = subject.rig.lines[0]?.id ?? '';
    expect(lineShares(subject, { lineId: 'elsewhere', strand: 0 })).toEqual({ kind: 'no-strand' });
    expect(lineShares(subject, { lineId, strand: 2 })).toEqual({ kind: 'no-strand' });
    expect(lineShares(subject, { lineId, strand: -1 })).toEqual({ kind: 'no-strand' });
  });
  it('is counted into bins of each piece’s own strength', () => {
    const outcome = { kind: 'shares', travelM: [0], pieces: [{ gearId: 'a', where: 'A', shares: [1] }] } as const;
    expect(countedShares(outcome, (gearId) => (gearId === 'a' ? 9 : undefined)).pieces).toEqual([{ gearId: 'a', shares: [1], mbsN: 9 }]);
  });
  const winched = layouts.filter(({ build }) => build().rig.lines.some(({ drive }) => drive.kind === 'winch'));
  it.each(winched.map(({ file, build }) => [file, build] as const))(
    'in %s is never less than the report’s own figures say',
    (_file, build) => {
      const subject = build();
      const { places, strands } = judge(subject);
      const line = subject.rig.lines.find(({ drive }) => drive.kind === 'winch');
      const gaugeN = strands.find(({ lineId, index }) => lineId === line?.id && index === 0)?.plannedN;
      const { pieces } = sharesOf(lineShares(subject, { lineId: line?.id ?? '', strand: 0 }));
      for (const { gearId, plannedN, kind } of places) {
        if (gearId === undefined || plannedN === undefined || gaugeN === undefined || kind === 'drum' || plannedN === 0) continue;
        const own = pieces.find((piece) => piece.gearId === gearId);
        if (own) expect((own.shares[0] ?? 0) * gaugeN).toBeGreaterThan(plannedN * 0.999);
      }
    },
  );
});
