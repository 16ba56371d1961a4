import { SKETCH_SIZE as SIZE, type Sketch } from '@wainrope/core';
import type { Point2 } from '../sheet/layout/place-labels.ts';

const path = (points: readonly Point2[]) =>
  points.map(({ x, y }, index) => `${index === 0 ? 'M' : 'L'}${x.toFixed(1)} ${y.toFixed(1)}`).join('');

/** A rig as a small drawing: what stands where, which way the line runs and the load goes. */
export function RigSketch({ sketch }: { readonly sketch: Sketch }) {
  const { bodies, ropes, straps, pulleys, joins, grips, lanyards, way, isStretched, spool, deck, downhillDeg } = sketch;
  return (
    <svg viewBox={`0 0 ${SIZE.width} ${SIZE.height}`} className="w-full bg-map" aria-hidden="true">
      {downhillDeg !== undefined && <Slope turnDeg={downhillDeg} />}
      {bodies.map((body) => (
        <Mark key={body.id} body={body} isDeck={body.id === deck} />
      ))}
      {straps.map((points) => (
        <path key={path(points)} d={path(points)} fill="none" stroke="var(--moss)" strokeWidth="2.2" strokeDasharray="6 2" />
      ))}
      {lanyards.map((points) => (
        <path key={path(points)} d={path(points)} fill="none" stroke="var(--rust)" strokeWidth="1.8" strokeDasharray="2 2.5" />
      ))}
      {ropes.map((points) => (
        <g key={path(points)} fill="none" strokeLinejoin="round">
          <path d={isStretched ? waves(points) : path(points)} stroke="var(--ink)" strokeWidth="3.4" />
          <path d={isStretched ? waves(points) : path(points)} stroke="var(--rope)" strokeWidth="2" />
        </g>
      ))}
      {joins.map(({ x, y }) => (
        <path key={`${x}-${y}`} d={`M${x - 4} ${y - 4}l8 8m0 -8l-8 8`} stroke="var(--ink)" strokeWidth="2.4" />
      ))}
      {grips.map(({ x, y }) => (
        <path key={`${x}-${y}`} d={`M${x - 9} ${y - 6}h8v12h-8z`} fill="var(--signal)" stroke="var(--ink)" strokeWidth="1.8" />
      ))}
      {pulleys.map(({ x, y, isHigh }) => (
        <g key={`${x}-${y}`} fill="none" stroke="var(--ink)" strokeWidth="1.6">
          <circle cx={x} cy={y} r="3.6" fill="var(--sheet)" />
          {isHigh && <path d={`M${x} ${y - 5}v-13m-4 5 4 -5 4 5`} />}
        </g>
      ))}
      {spool && (
        <path d={`M${spool.x} ${spool.y}m-7 0a7 7 0 1 1 7 7a4.5 4.5 0 1 1 4 -6.5`} fill="none" stroke="var(--ink)" strokeWidth="1.8" />
      )}
      <Way way={way} />
    </svg>
  );
}

/** Lines across the slope, closer together downhill. */
function Slope({ turnDeg }: { readonly turnDeg: number }) {
  return (
    <g transform={`translate(${SIZE.width / 2} ${SIZE.height / 2}) rotate(${turnDeg})`} stroke="var(--contour)" strokeWidth="1.4">
      {[-70, -40, -14, 9, 29, 46, 60].map((x) => (
        <path key={x} d={`M${x} -100V100`} />
      ))}
    </g>
  );
}

/** Which way the load goes; a bar where it is only held, a bow where it comes over. */
function Way({ way: { kind, at, turnDeg } }: Pick<Sketch, 'way'>) {
  const d = {
    goes: 'M3 0H17M11 -5 18 0 11 5',
    held: 'M5 -7V7M9 -7V7',
    upright: 'M2 8A11 11 0 0 0 10 -8M4 -8 10.5 -8.5 11 -2',
  }[kind];
  return <path transform={`translate(${at.x} ${at.y}) rotate(${turnDeg})`} d={d} fill="none" stroke="var(--moss)" strokeWidth="2.4" />;
}

const WAVE = { long: 9, high: 3 };

/** A rope that stretches, as a wave along its way. */
function waves(points: readonly Point2[]): string {
  return points
    .slice(1)
    .map((to, index) => {
      const from = points[index] ?? to;
      const [dx, dy] = [to.x - from.x, to.y - from.y];
      const size = Math.max(1, Math.hypot(dx, dy));
      const count = Math.max(2, Math.round(size / WAVE.long));
      const along = (share: number, off: number) =>
        `${(from.x + dx * share - (dy / size) * off).toFixed(1)} ${(from.y + dy * share + (dx / size) * off).toFixed(1)}`;
      const bows = Array.from(
        { length: count },
        (_, bow) => `Q${along((bow + 0.5) / count, (bow % 2 ? -2 : 2) * WAVE.high)} ${along((bow + 1) / count, 0)}`,
      );
      return `M${along(0, 0)}${bows.join('')}`;
    })
    .join('');
}

interface MarkProps {
  readonly body: Sketch['bodies'][number];
  readonly isDeck: boolean;
}

function Mark({ body: { kind, at, turnDeg, long, wide, isLoad }, isDeck }: MarkProps) {
  if (kind === 'vehicle' || kind === 'load') {
    const [l, w] = [Math.max(12, long), Math.max(6, wide)];
    return (
      <g transform={`translate(${at.x} ${at.y}) rotate(${turnDeg})`}>
        <path
          d={`M${-l / 2} ${-w / 2}H${l * 0.36}L${l / 2} 0L${l * 0.36} ${w / 2}H${-l / 2}Z`}
          fill={isLoad ? 'var(--ink)' : 'var(--vehicle)'}
          stroke="var(--ink)"
        />
        {isDeck && (
          <path
            d={`M${-l / 2 - 14} ${-w / 2 - 3}H${l * 0.2}V${w / 2 + 3}H${-l / 2 - 14}`}
            fill="none"
            stroke="var(--ink)"
            strokeWidth="1.6"
            strokeDasharray="3 2"
          />
        )}
      </g>
    );
  }
  if (kind === 'tree')
    return <circle cx={at.x} cy={at.y} r="5" fill="var(--trunk)" stroke="var(--crown)" strokeWidth="5" strokeOpacity="0.8" />;
  if (kind === 'crew')
    return (
      <path
        d={`M${at.x - 5} ${at.y + 4}v-5a2.4 2.4 0 0 1 4.8 0v5M${at.x + 1} ${at.y + 4}v-5a2.4 2.4 0 0 1 4.8 0v5`}
        fill="none"
        stroke="var(--ink)"
        strokeWidth="1.6"
      />
    );
  return <path d={`M${at.x} ${at.y - 6}v9M${at.x - 5} ${at.y + 1}q5 7 10 0`} fill="none" stroke="var(--ink)" strokeWidth="1.8" />;
}
