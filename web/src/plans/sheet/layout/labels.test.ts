import { formatFigure, layOnSite, layouts, type Report, type Rig, teamStandard } from '@wainrope/core';
import { describe, expect, it } from 'vitest';
import { judge } from '../../../testing/judged.ts';
import { crosses, lengthInside, overlaps, wordsOf } from './place-labels.ts';
import { fitView, type SheetSize, shownAt, toScreen } from './plan-sheet-layout.ts';
import { barBox, outlineOf, sheetLabels } from './sheet-labels.ts';

const figure = (value: Parameters<typeof formatFigure>[0]) => formatFigure(value, 'kN');

/** The drawing at 1280×800, 820×1180 and 390×844 with what stands over its corner; on the field card; exported. */
const SHEETS: readonly (readonly [string, SheetSize, SheetSize | undefined])[] = [
  ['desk', { width: 934, height: 553 }, { width: 652, height: 112 }],
  ['tablet', { width: 820, height: 610 }, { width: 652, height: 112 }],
  ['phone', { width: 390, height: 600 }, { width: 310, height: 92 }],
  ['card', { width: 699, height: 382 }, undefined],
  ['full card', { width: 699, height: 255 }, undefined],
  ['exported', { width: 1000, height: 800 }, undefined],
];

function collisions(rig: Rig, report: Report, size: SheetSize, covered: SheetSize | undefined): readonly string[] {
  const view = fitView(rig, report, size, covered);
  const labels = sheetLabels({ rig, report, view, size, figure, ...(covered && { covered }) });
  expect(labels.length).toBeGreaterThan(1);
  const ropes = report.strands.map(({ from, to }) => ({ from: toScreen(view, from), to: toScreen(view, to) }));
  const hidden = rig.bodies.flatMap((body) => {
    const at = shownAt(body, view, size);
    return covered && at.x < covered.width && at.y < covered.height ? [`${body.id} under the tools`] : [];
  });
  const onLabels = labels.flatMap((label, index) => [
    ...labels
      .slice(index + 1)
      .filter((other) => overlaps(label, other))
      .map((other) => `${label.id} on ${other.id}`),
    ...(crosses(label, labels) ? [`the stroke of ${label.id} on another`] : []),
    ...ropes.flatMap((rope, strand) => (lengthInside(rope, wordsOf(label)) > 0 ? [`${label.id} on rope ${strand}`] : [])),
    ...(overlaps(wordsOf(label), barBox(size)) ? [`${label.id} on the scale bar`] : []),
    ...rig.bodies.flatMap((body) =>
      outlineOf(body, (point) => toScreen(view, point)).some((edge) => lengthInside(edge, wordsOf(label)) > 0)
        ? [`${label.id} on ${body.id}`]
        : [],
    ),
    ...(covered && overlaps(label, { x: 0, y: 0, ...covered }) ? [`${label.id} under the tools`] : []),
    ...(label.x < 0 || label.y < 0 || label.x + label.width > size.width || label.y + label.height > size.height
      ? [`${label.id} beyond the edge`]
      : []),
  ]);
  return [...hidden, ...onLabels];
}

describe('labels of every layout', () => {
  it.each(layouts.map((layout) => [layout.id, layout] as const))('%s: none on a rope or on another, at every size', (_id, layout) => {
    const rig = layOnSite(layout, undefined, {});
    const report = judge({ kind: 'rig', name: 'x', asOf: '2026-06-01', rig, gear: [], policy: teamStandard });
    const found = SHEETS.flatMap(([sheet, size, covered]) => collisions(rig, report, size, covered).map((words) => `${sheet}: ${words}`));
    expect(found).toEqual([]);
  });
});
