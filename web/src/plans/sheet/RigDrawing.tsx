import {
  type Body,
  bodyOfChain,
  type GearFacts,
  pointPosition,
  type Report,
  type Rig,
  type TreeBody,
  type VehicleBody,
} from '@wainrope/core';
import { Fragment, memo, type SVGProps } from 'react';
import { useHeld } from '../draft/shown-plans.ts';
import type { Point2 } from './layout/place-labels.ts';
import { box, disc, onScreen, outline, pointsOf } from './layout/placed.ts';
import { type CoveredSheet, strapOutline, toScreen, type View } from './layout/plan-sheet-layout.ts';
import { OtherBody } from './OtherBody.tsx';
import { useAhead } from './use-ahead.ts';

interface RigDrawingProps {
  readonly rig: Rig;
  readonly report: Report;
  readonly view: View;
  readonly size: CoveredSheet;
  readonly gear: ReadonlyMap<string, GearFacts>;
  readonly selectedSubjectId: string | undefined;
  readonly select: (placeId: string) => void;
  /** Another moment than the start is shown. */
  readonly isPlayed: true | undefined;
}

/** Where a point of the rig stands on the map. */
function placeOfPoint(rig: Rig, pointId: string) {
  const point = rig.points.find(({ id }) => id === pointId);
  return point ? pointPosition(rig, point) : { x: 0, y: 0 };
}

/** A rope that lies slack: in a bend to either side, as it never would under tension. */
function slackLine(a: Point2, b: Point2): string {
  const [dx, dy] = [(b.x - a.x) / 4, (b.y - a.y) / 4];
  return `M${a.x} ${a.y}C${a.x + dx - dy} ${a.y + dy + dx} ${b.x - dx + dy} ${b.y - dy - dx} ${b.x} ${b.y}`;
}

/** Vehicles, trees, ropes and gear, drawn to scale. */
export function RigDrawing({ rig, report, view, size, gear, selectedSubjectId, select, isPlayed }: RigDrawingProps) {
  const at = (point: { readonly x: number; readonly y: number }) => toScreen(view, point);
  const placeOf = (subjectId: string) => report.places.find(({ subject }) => subject.id === subjectId)?.id;
  const pick = (subjectId: string | undefined) => {
    const place = subjectId === undefined ? undefined : placeOf(subjectId);
    if (place) select(place);
  };
  return (
    <g>
      {rig.bodies.map((body) => (
        <DrawnBody key={body.id} body={body} view={view} size={size} selected={body.id === selectedSubjectId} />
      ))}
      {(rig.backAnchors ?? []).map(({ id, vehiclePointId, anchorPointId, pieces }) => (
        <BackAnchor
          key={id}
          points={pointsOf([at(placeOfPoint(rig, vehiclePointId)), at(placeOfPoint(rig, anchorPointId))])}
          lit={pieces.some((use) => use.id === selectedSubjectId)}
          onPick={() => pick(pieces[0]?.id)}
        />
      ))}
      {report.pulleys.map(({ chainId, root, at: tip }) => {
        const chain = rig.chains.find(({ id }) => id === chainId);
        if (!chain) return null;
        const tree = bodyOfChain(rig, chain);
        const strap = tree?.kind === 'tree' ? strapOutline(tree, chain, { root, tip }, gear) : undefined;
        const lit = chain.pieces[0]?.id === selectedSubjectId;
        return (
          <Fragment key={chainId}>
            {strap && tree?.kind === 'tree' && (
              <Strap tree={tree} outline={strap} view={view} lit={lit} onPick={() => pick(chain.pieces[0]?.id)} />
            )}
            <polyline points={pointsOf([at(strap?.apex ?? root), at(tip)])} stroke="var(--ink)" strokeWidth="4" strokeLinecap="round" />
          </Fragment>
        );
      })}
      {report.strands.map((strand, index) => (
        <RopeStrand
          key={`${strand.lineId}.${strand.index}`}
          from={at(strand.from)}
          to={at(strand.to)}
          isSlack={isPlayed === true && strand.plannedN === 0}
          index={index}
          onPick={() => pick(rig.lines.find(({ id }) => id === strand.lineId)?.ropes[0]?.id)}
        />
      ))}
      {report.pulleys.map(({ chainId, at: tip, strandAngleRad }) => {
        const middle = at(tip);
        const chain = rig.chains.find(({ id }) => id === chainId);
        const last = chain?.pieces.at(-1);
        const big = strandAngleRad !== undefined;
        return (
          <g key={chainId} onPointerDown={() => pick(last?.id)} className="cursor-pointer">
            <path
              data-node={chainId}
              d={disc(middle, big ? 9 : 5)}
              fill="var(--sheet)"
              stroke={last?.id === selectedSubjectId ? 'var(--rust)' : 'var(--ink)'}
              strokeWidth="2.6"
            />
            {big && (
              <polyline
                points={pointsOf([middle, middle])}
                stroke="var(--ink)"
                strokeWidth="4.8"
                strokeLinecap="round"
                pointerEvents="none"
              />
            )}
          </g>
        );
      })}
    </g>
  );
}

interface DrawnBodyProps {
  readonly body: Body;
  readonly view: View;
  readonly size: CoveredSheet;
  readonly selected: boolean;
}

const DrawnBody = memo(function DrawnBody({ body: stands, view, size, selected }: DrawnBodyProps) {
  const body = useAhead(useHeld(stands));
  if (body.kind === 'tree') return <Tree tree={body} view={view} selected={selected} />;
  if (body.kind === 'vehicle') return <Vehicle vehicle={body} view={view} />;
  return <OtherBody body={body} view={view} size={size} selected={selected} />;
});

interface RopeStrandProps {
  readonly from: Point2;
  readonly to: Point2;
  readonly isSlack: boolean;
  readonly index: number;
  readonly onPick: () => void;
}

function RopeStrand({ from, to, isSlack, index, onPick }: RopeStrandProps) {
  const drawn = isSlack ? { d: slackLine(from, to) } : { points: pointsOf([from, to]) };
  return (
    <g onPointerDown={onPick} className="cursor-pointer" fill="none">
      <Rope {...drawn} stroke="var(--ink)" strokeWidth="7" />
      <Rope {...drawn} data-strand={index} stroke="var(--rope)" strokeWidth="5" />
      <Rope {...drawn} stroke="var(--rope-shade)" strokeWidth="5" strokeDasharray="2.5 5" />
    </g>
  );
}

const Rope = (drawn: SVGProps<SVGPathElement> & SVGProps<SVGPolylineElement>) =>
  drawn.points === undefined ? <path {...drawn} /> : <polyline {...drawn} />;

/** What ties a winching vehicle back: a strap, straight to its anchor. */
function BackAnchor({ points, lit, onPick }: { readonly points: string; readonly lit: boolean; readonly onPick: () => void }) {
  return (
    <polyline
      data-back-anchor
      points={points}
      stroke={lit ? 'var(--rust)' : 'var(--moss)'}
      strokeWidth={lit ? 5 : 4}
      strokeDasharray="14 3"
      fill="none"
      onPointerDown={onPick}
      className="cursor-pointer"
    />
  );
}

interface StrapProps {
  readonly tree: TreeBody;
  readonly outline: { readonly apex: Point2; readonly touches: readonly [Point2, Point2] };
  readonly view: View;
  readonly lit: boolean;
  readonly onPick: () => void;
}

function Strap({ tree, outline, view, lit, onPick }: StrapProps) {
  const [apex, a, b] = [outline.apex, ...outline.touches].map((point) => toScreen(view, point)) as [Point2, Point2, Point2];
  const r = (tree.trunkDiameterM / 2) * view.scale;
  return (
    <path
      d={`M${apex.x} ${apex.y}L${a.x} ${a.y}A${r} ${r} 0 1 0 ${b.x} ${b.y}Z`}
      fill="none"
      stroke={lit ? 'var(--rust)' : 'var(--moss)'}
      strokeWidth={lit ? 5 : 4}
      strokeLinejoin="round"
      onPointerDown={onPick}
      className="cursor-pointer"
    />
  );
}

function Tree({ tree, view, selected }: { readonly tree: TreeBody; readonly view: View; readonly selected: boolean }) {
  const at = toScreen(view, { x: tree.xM, y: tree.yM });
  const r = (tree.trunkDiameterM / 2) * view.scale;
  return (
    <g>
      <path d={disc(at, Math.max(26, r * 3))} fill="var(--crown)" fillOpacity="0.55" />
      <path
        data-trunk={tree.id}
        data-diameter={tree.trunkDiameterM}
        d={disc(at, r)}
        fill="var(--trunk)"
        stroke={selected ? 'var(--rust)' : 'var(--ink)'}
        strokeWidth={selected ? 3 : 1.5}
      />
    </g>
  );
}

/** A vehicle from above: frame, bonnet, glass, bed, wheels that stand out a little. Its outline is to scale. */
function Vehicle({ vehicle, view }: { readonly vehicle: VehicleBody; readonly view: View }) {
  const at = toScreen(view, { x: vehicle.xM, y: vehicle.yM });
  const [l, w] = [vehicle.lengthM * view.scale, vehicle.widthM * view.scale];
  const turn = onScreen(vehicle.headingRad);
  const wheels = [
    [0.3, -0.5],
    [0.3, 0.5],
    [-0.3, -0.5],
    [-0.3, 0.5],
  ];
  return (
    <g>
      {wheels.map(([a = 0, b = 0]) => (
        <polygon key={`${a}${b}`} points={box(at, turn, [a * l, b * w, l * 0.17, w * 0.18])} fill="var(--ink)" />
      ))}
      <polygon
        data-vehicle={vehicle.id}
        data-length={vehicle.lengthM}
        points={outline(at, turn, [
          [-l / 2, -w / 2],
          [l * 0.42, -w / 2],
          [l / 2, -w * 0.36],
          [l / 2, w * 0.36],
          [l * 0.42, w / 2],
          [-l / 2, w / 2],
        ])}
        fill="var(--vehicle)"
        stroke="var(--ink)"
        strokeWidth="1.8"
      />
      <polygon points={box(at, turn, [l * -0.26, 0, l * 0.36, w * 0.76])} fill="none" stroke="var(--ink)" strokeOpacity="0.6" />
      <polygon
        points={outline(at, turn, [
          [l * 0.09, -w * 0.38],
          [l * 0.2, -w * 0.32],
          [l * 0.2, w * 0.32],
          [l * 0.09, w * 0.38],
        ])}
        fill="var(--glass)"
        stroke="var(--ink)"
        strokeOpacity="0.7"
      />
    </g>
  );
}
