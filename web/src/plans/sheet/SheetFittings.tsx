import { pointPosition, type Report, type Rig } from '@wainrope/core';
import type { Point2 } from './layout/place-labels.ts';
import { type Placed, placed } from './layout/placed.ts';
import { toScreen, type View } from './layout/plan-sheet-layout.ts';

interface SheetFittingsProps {
  readonly rig: Rig;
  readonly report: Report;
  readonly view: View;
}

/** What hangs on the lines: a damper on its strand, a lanyard from what it catches to what holds it. */
export function SheetFittings({ rig, report, view }: SheetFittingsProps) {
  return (
    <g pointerEvents="none">
      {(rig.lanyards ?? []).flatMap(({ id, useId, to }) => {
        const ends = [caughtAt(rig, report, useId), to.kind === 'point' ? pointAt(rig, to.pointId) : strandMiddle(report, to)];
        const [from, end] = ends.map((end) => end && toScreen(view, end));
        return from && end ? [<Lanyard key={id} from={from} to={end} />] : [];
      })}
      {rig.dampers.flatMap(({ id, lineId, strand }) => {
        const span = report.strands.find((entry) => entry.lineId === lineId && entry.index === strand);
        if (!span) return [];
        const [a, b] = [toScreen(view, span.from), toScreen(view, span.to)];
        const at = { x: a.x + (b.x - a.x) * DAMPER_AT, y: a.y + (b.y - a.y) * DAMPER_AT };
        return [
          <path
            key={id}
            data-damper={id}
            d={damper(placed(at, Math.atan2(b.y - a.y, b.x - a.x)))}
            fill="var(--canvas)"
            stroke="var(--ink)"
            strokeWidth="1.3"
          />,
        ];
      })}
    </g>
  );
}

/** Where on its strand a damper is drawn, from the side of the drive. */
const DAMPER_AT = 0.72;

/** A bag over the line, with its folds. */
const damper = (at: Placed) =>
  [
    `M${at(-7, -3)}C${at(-9, 8)} ${at(-9, 10)} ${at(-4, 11)}L${at(4, 11)}C${at(9, 10)} ${at(9, 8)} ${at(7, -3)}Z`,
    ...[-3, 0, 3].map((x) => `M${at(x, 2)}L${at(x, 8)}`),
  ].join('');

interface Place {
  readonly x: number;
  readonly y: number;
}

function pointAt(rig: Rig, pointId: string): Place | undefined {
  const point = rig.points.find(({ id }) => id === pointId);
  return point && pointPosition(rig, point);
}

/** Where the piece is that a lanyard catches. */
function caughtAt(rig: Rig, report: Report, useId: string): Place | undefined {
  const chain = rig.chains.find(({ pieces }) => pieces.some(({ id }) => id === useId));
  return report.pulleys.find(({ chainId }) => chainId === chain?.id)?.at;
}

function strandMiddle(report: Report, { lineId, strand }: { readonly lineId: string; readonly strand: number }): Place | undefined {
  const span = report.strands.find((entry) => entry.lineId === lineId && entry.index === strand);
  return span && { x: (span.from.x + span.to.x) / 2, y: (span.from.y + span.to.y) / 2 };
}

function Lanyard({ from, to }: { readonly from: Point2; readonly to: Point2 }) {
  const [mx, my] = [(from.x + to.x) / 2, (from.y + to.y) / 2];
  const [dx, dy] = [to.x - from.x, to.y - from.y];
  // It hangs slack, so it is drawn with a bow in it.
  return (
    <path
      data-lanyard
      d={`M${from.x} ${from.y}Q${mx - dy * 0.18} ${my + dx * 0.18} ${to.x} ${to.y}`}
      fill="none"
      stroke="var(--moss)"
      strokeWidth="2"
      strokeDasharray="2 4"
      strokeLinecap="round"
    />
  );
}
