import { type Body, type Figure, keepOutLine, pointPosition, type Report, type Rig } from '@wainrope/core';
import { leaderOf, type Point2 } from '../sheet/layout/place-labels.ts';
import { placed } from '../sheet/layout/placed.ts';
import {
  contours,
  fitView,
  type SheetSize,
  scaleBar,
  shownAt,
  toScreen,
  type View,
  vehicleCorners,
} from '../sheet/layout/plan-sheet-layout.ts';
import { sheetLabels } from '../sheet/layout/sheet-labels.ts';

interface DrawingInput {
  readonly rig: Rig;
  readonly report: Report;
  readonly size: SheetSize;
  readonly imperial: boolean;
  readonly figure: (figure: Figure) => string;
}

const INK = '#141a17';
const escaped = (text: string) => text.replaceAll('&', '&amp;').replaceAll('<', '&lt;').replaceAll('>', '&gt;').replaceAll('"', '&quot;');
const at = ({ x, y }: Point2) => `${x.toFixed(1)} ${y.toFixed(1)}`;
const path = (points: readonly Point2[]) => points.map((point, index) => `${index === 0 ? 'M' : 'L'}${at(point)}`).join('');

/** The plan as a drawing that stands alone: to scale, black on white, with its labels, north and scale bar. */
export function drawingSvg({ rig, report, size, imperial, figure }: DrawingInput): string {
  const view = fitView(rig, report, size);
  const place = (point: { readonly x: number; readonly y: number }) => toScreen(view, point);
  const bar = scaleBar(view, Math.min(220, size.width / 4), imperial);
  const labels = sheetLabels({ rig, report, view, size, figure });
  const parts = [
    ...contours(rig.ground, view, size).map(({ from, to }) => `<path d="${path([from, to])}" stroke="#cfc7b2" fill="none"/>`),
    ...(rig.features ?? []).map(
      ({ kind, points }) =>
        `<path d="${path(points.map(({ xM, yM }) => place({ x: xM, y: yM })))}" stroke="${INK}" stroke-width="${kind === 'obstacle' ? 4 : 1.4}" fill="none"/>`,
    ),
    ...keepOut(report, view),
    ...rig.bodies.map((body) => bodyMark(body, view, size)),
    ...(rig.backAnchors ?? []).map(({ vehiclePointId, anchorPointId }) => {
      const ends = [vehiclePointId, anchorPointId].flatMap((id) => {
        const point = rig.points.find((entry) => entry.id === id);
        return point ? [place(pointPosition(rig, point))] : [];
      });
      return `<path d="${path(ends)}" stroke="${INK}" stroke-width="3" stroke-dasharray="10 4" fill="none"/>`;
    }),
    ...report.pulleys.map(
      ({ root, at: tip }) => `<path d="${path([place(root), place(tip)])}" stroke="${INK}" stroke-width="3" fill="none"/>`,
    ),
    ...report.strands.map(
      ({ from, to }) =>
        `<path d="${path([place(from), place(to)])}" stroke="${INK}" stroke-width="4" fill="none"/><path d="${path([place(from), place(to)])}" stroke="#fff" stroke-width="1.2" stroke-dasharray="5 3" fill="none"/>`,
    ),
    ...report.pulleys.map(({ at: tip, strandAngleRad }) => {
      const { x, y } = place(tip);
      return `<circle cx="${x.toFixed(1)}" cy="${y.toFixed(1)}" r="${strandAngleRad === undefined ? 4 : 7}" fill="#fff" stroke="${INK}" stroke-width="2.4"/>`;
    }),
    ...labels.flatMap((label) => {
      const leader = leaderOf(label);
      return leader
        ? [
            `<path data-leader="${escaped(label.id)}" d="${path([leader.from, leader.to])}" stroke="${INK}" stroke-width="0.8" fill="none"/>`,
          ]
        : [];
    }),
    ...labels.flatMap((label) =>
      label.lines.map(
        ({ text, strong }, index) =>
          `<text x="${(label.x + label.width / 2).toFixed(1)}" y="${(label.y + 15 + index * 18).toFixed(1)}" font-size="15" text-anchor="middle" font-weight="${strong ? 'bold' : 'normal'}" fill="${INK}">${escaped(text)}</text>`,
      ),
    ),
    `<path d="M${size.width - 34} 18l7 28-7-6-7 6Z" fill="${INK}"/><text x="${size.width - 34}" y="63" font-size="14" text-anchor="middle" fill="${INK}">N</text>`,
    `<g transform="translate(22 ${size.height - 20})"><path d="M0 -7v7h${bar.pixels.toFixed(1)}v-7" fill="none" stroke="${INK}" stroke-width="1.6"/><text y="-12" font-size="14" fill="${INK}">0</text><text x="${bar.pixels.toFixed(1)}" y="-12" font-size="14" text-anchor="end" fill="${INK}">${bar.label}</text></g>`,
  ];
  return `<svg xmlns="http://www.w3.org/2000/svg" width="${size.width}" height="${size.height}" viewBox="0 0 ${size.width} ${size.height}" font-family="Roboto, sans-serif"><rect width="${size.width}" height="${size.height}" fill="#fff"/>${parts.join('')}</svg>`;
}

/** The line that nobody crosses, as far as it lies on the drawing. */
function keepOut({ zones, swept }: Report, view: View): readonly string[] {
  const line = keepOutLine([...zones, ...swept]).map(({ xM, yM }) => toScreen(view, { x: xM, y: yM }));
  return line.length === 0 ? [] : [`<path d="${path(line)}Z" stroke="${INK}" stroke-width="1.6" stroke-dasharray="14 8" fill="none"/>`];
}

function bodyMark(body: Body, view: View, size: SheetSize): string {
  const { x, y, offM, awayRad } = shownAt(body, view, size);
  if (body.kind === 'vehicle' || body.kind === 'load') {
    const corners = vehicleCorners(body).map((corner) => toScreen(view, corner));
    const nose = toScreen(view, {
      x: body.xM + (Math.sin(body.headingRad) * body.lengthM) / 2,
      y: body.yM + (Math.cos(body.headingRad) * body.lengthM) / 2,
    });
    return `<path d="${path(corners)}Z" fill="#e6e4da" stroke="${INK}" stroke-width="1.8"/><path d="${path([{ x, y }, nose])}" stroke="${INK}" stroke-width="1.2" fill="none"/>`;
  }
  if (body.kind === 'tree') {
    const r = Math.max(4, (body.trunkDiameterM / 2) * view.scale);
    return `<circle cx="${x.toFixed(1)}" cy="${y.toFixed(1)}" r="${(r + 6).toFixed(1)}" fill="none" stroke="${INK}" stroke-dasharray="2 4"/><circle cx="${x.toFixed(1)}" cy="${y.toFixed(1)}" r="${r.toFixed(1)}" fill="#8d8577" stroke="${INK}"/>`;
  }
  const round = body.kind === 'person' || body.kind === 'animal' || body.kind === 'crew';
  if (round) {
    const away = placed({ x, y }, awayRad);
    const beyond =
      offM === undefined
        ? ''
        : `<path data-beyond="${escaped(body.id)}" d="M${away(14, -6)}L${away(26, 0)}L${away(14, 6)}" stroke="${INK}" stroke-width="2" fill="none"/>`;
    return `<circle cx="${x.toFixed(1)}" cy="${y.toFixed(1)}" r="5" fill="#fff" stroke="${INK}" stroke-width="2"/>${beyond}`;
  }
  return `<path d="M${x - 7} ${y - 7}h14v14h-14Z" fill="#c9c4b6" stroke="${INK}" stroke-width="1.6"/>`;
}
