import { type Case, formatFigure, readRigFile } from '@wainrope/core';
import { judge } from '@wainrope/core/judging';
import { describe, expect, it } from 'vitest';
import tiedBackFile from '../../../../../demo/plans/beck-crossing.json' with { type: 'json' };
import bogFile from '../../../../../demo/plans/bog-below-tarn-quarry.json' with { type: 'json' };
import { gravest, sheetMarks } from '../../findings/findings-at.ts';
import { byWeakest, pathColumns } from '../../load-path/load-path-columns.ts';
import { angleArcs, forceArrows } from './force-arrows.ts';
import { lengthInside, wordsOf } from './place-labels.ts';
import { fitView, shownAt } from './plan-sheet-layout.ts';
import { sheetLabels } from './sheet-labels.ts';

function caseOf(value: unknown): Case {
  const file = readRigFile(value);
  if (!file.ok) throw new Error(JSON.stringify(file.faults));
  return file.value.case;
}
const bog = caseOf(bogFile);
const report = judge(bog);
const size = { width: 855, height: 376 };
const view = fitView(bog.rig, report, size);

describe('marks on the sheet', () => {
  it('stand at the label of what they are about: a strap at its tree, a strand at itself', () => {
    const marks = sheetMarks(bog.rig, report);
    expect(marks.get('tree')).toEqual({ severity: 'stop', undecided: false });
    const [damper] = report.findings.filter(({ code }) => code === 'no-damper');
    expect(damper?.subject.kind).toBe('strand');
    const index = report.strands.findIndex(({ lineId, index: at }) => `${lineId}.${at}` === damper?.subject.id);
    expect(marks.has(`strand-${index}`)).toBe(true);
  });
  it('give way to what was found where something else is only asked, and notes mark nothing', () => {
    const [finding] = report.findings;
    if (!finding) throw new Error('no findings');
    const caution = { ...finding, severity: 'caution', undecided: false } as const;
    expect(gravest([{ ...caution, undecided: true }, caution])).toEqual({ severity: 'caution', undecided: false });
    expect(gravest([{ ...finding, severity: 'note', undecided: false }])).toBeUndefined();
  });
  it('make their label wider, never over another', () => {
    const figure = (value: Parameters<typeof formatFigure>[0]) => formatFigure(value, 'kN');
    const label = (findings: typeof report.findings) =>
      sheetLabels({ rig: bog.rig, report: { ...report, findings }, view, size, figure }).find(({ id }) => id === 'tree');
    expect(label(report.findings)?.mark).toEqual({ severity: 'stop', undecided: false });
    expect(label([])?.mark).toBeUndefined();
    expect(label(report.findings)?.width ?? 0).toBeGreaterThanOrEqual(label([])?.width ?? 0);
  });
});

describe('arrows of forces', () => {
  const far = ({ from, tip }: ReturnType<typeof forceArrows>[number]) => Math.hypot(tip.x - from.x, tip.y - from.y);

  it('point the way the force pulls, the greatest the longest, each at most as long as that', () => {
    const arrows = forceArrows({ ...report, rig: bog.rig }, view);
    const ring = report.pulleys.find(({ strandAngleRad }) => strandAngleRad !== undefined);
    const arrow = arrows.find(({ id }) => id === ring?.chainId);
    if (!arrow || !ring?.forceN) throw new Error('no arrow at the ring');
    const turn = (arrow.tip.x - arrow.from.x) * ring.forceN.x - (arrow.tip.y - arrow.from.y) * ring.forceN.y;
    expect(turn).toBeCloseTo(far(arrow) * Math.hypot(ring.forceN.x, ring.forceN.y), 6);
    expect(Math.max(...arrows.map(far))).toBeCloseTo(62, 9);
  });
  it('are none where nothing is worked out, and none for what all but hangs', () => {
    expect(forceArrows({ pulleys: [], pointLoads: [], rig: bog.rig }, view)).toEqual([]);
    const [first] = bog.rig.points;
    const hanging = { pointId: first?.id ?? '', forceN: { x: 0, y: 0, z: -500 }, sizeN: 500 };
    expect(forceArrows({ pulleys: [], pointLoads: [hanging], rig: bog.rig }, view)).toEqual([]);
  });
  it('have an arc between the strands where the angle is worth one', () => {
    const [strand] = report.strands;
    if (!strand) throw new Error('no strand');
    const corner = { x: 10, y: 0, z: 0 };
    const strands = [
      { ...strand, from: { x: 0, y: 0, z: 0 }, to: corner },
      { ...strand, from: corner, to: { x: 10, y: 8, z: 0 } },
    ];
    const pulley = (strandAngleRad: number) => ({ chainId: 'c', root: corner, at: corner, strandAngleRad });
    expect(angleArcs({ pulleys: [pulley(Math.PI / 2)], strands }, view)).toHaveLength(1);
    expect(angleArcs({ pulleys: [pulley(0.05)], strands }, view)).toEqual([]);
  });
});

describe('who stands beyond the edge', () => {
  it('is shown at the edge with the way and the distance', () => {
    const rig = caseOf(tiedBackFile).rig;
    const person = rig.bodies.find(({ kind }) => kind === 'person');
    if (!person) throw new Error('nobody');
    const east = shownAt({ ...person, xM: 500, yM: 0 }, { scale: 10, originX: 400, originY: 200 }, size);
    expect(east.awayRad).toBeCloseTo(0, 6);
    expect(east.offM).toBeGreaterThan(400);
    expect(shownAt({ ...person, xM: 1, yM: 1 }, { scale: 10, originX: 400, originY: 200 }, size)).not.toHaveProperty('awayRad');
  });
});

describe('the arrow beyond the edge', () => {
  it('has no words on it, whichever way it points', () => {
    const rig = caseOf(tiedBackFile).rig;
    const judged = judge(caseOf(tiedBackFile));
    const sheet = { width: 699, height: 382 };
    const figure = (value: Parameters<typeof formatFigure>[0]) => formatFigure(value, 'kN');
    const covered: string[] = [];
    for (let turn = 0; turn < 360; turn += 10) {
      const bearing = (turn * Math.PI) / 180;
      const moved = {
        ...rig,
        bodies: rig.bodies.map((body) =>
          body.label === 'Tomas Aldbrook' ? { ...body, xM: 80 * Math.sin(bearing), yM: 80 * Math.cos(bearing) } : body,
        ),
      };
      const seen = fitView(moved, judged, sheet);
      const away = moved.bodies.find(({ label }) => label === 'Tomas Aldbrook');
      if (!away) throw new Error('nobody');
      const { x, y, awayRad = Number.NaN } = shownAt(away, seen, sheet);
      const arrow = { from: { x, y }, to: { x: x + 32 * Math.cos(awayRad), y: y + 32 * Math.sin(awayRad) } };
      const labels = sheetLabels({ rig: moved, report: judged, view: seen, size: sheet, figure });
      covered.push(...labels.filter((label) => lengthInside(arrow, wordsOf(label)) > 0).map(({ id }) => `${turn}°: ${id}`));
    }
    expect(covered).toEqual([]);
  });
});

describe('the load path from the weakest down', () => {
  it('holds every column once, the weakest first, and begins no other line', () => {
    const columns = pathColumns(report);
    const sorted = byWeakest(columns);
    expect(sorted[0]?.weakest).toBe(true);
    expect(new Set(sorted.map(({ subjectId }) => subjectId))).toEqual(new Set(columns.map(({ subjectId }) => subjectId)));
    expect(sorted.some(({ begins }) => begins)).toBe(false);
  });
});
