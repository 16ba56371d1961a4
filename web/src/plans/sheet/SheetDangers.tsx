import type { Report, Rig } from '@wainrope/core';
import { memo } from 'react';
import { toScreen, type View } from './layout/plan-sheet-layout.ts';
import type { RemoteReach } from './layout/remote-reaches.ts';

/** Washes with dotted rims round every end and pulley, a band along every strand, a wash inside every bend. */
export const Zones = memo(function Zones({ zones, view }: { readonly zones: Report['zones']; readonly view: View }) {
  const outline = (points: readonly { readonly x: number; readonly y: number }[]) =>
    points
      .map((point) => toScreen(view, point))
      .map(({ x, y }) => `${x},${y}`)
      .join(' ');
  return (
    <g pointerEvents="none">
      {zones.flatMap(({ lineId, circles, corridors, bends }) => [
        ...bends.map(({ apex, a, b }, index) => (
          <polygon key={`${lineId}-bend-${index}`} data-zone="bend" points={outline([apex, a, b])} fill="var(--rust)" fillOpacity="0.03" />
        )),
        ...corridors.map(({ corners }, index) => (
          <polygon
            key={`${lineId}-corridor-${index}`}
            data-zone="corridor"
            points={outline(corners)}
            fill="var(--rust)"
            fillOpacity="0.06"
            stroke="var(--rust)"
            strokeOpacity="0.28"
          />
        )),
        ...circles.map(({ centre, radiusM }, index) => {
          const { x, y } = toScreen(view, centre);
          return (
            <circle
              key={`${lineId}-circle-${index}`}
              data-zone="circle"
              cx={x}
              cy={y}
              r={radiusM * view.scale}
              fill="var(--rust)"
              fillOpacity="0.022"
              stroke="var(--rust)"
              strokeOpacity="0.7"
              strokeWidth="1.3"
              strokeDasharray="1.5 6"
              strokeLinecap="round"
            />
          );
        }),
      ])}
    </g>
  );
});

/** What is to be kept clear beside on the way: the rims of the circles alone, faint, so that the start stays readable. */
export const SweptZones = memo(function SweptZones({ swept, view }: { readonly swept: Report['swept']; readonly view: View }) {
  return (
    <g pointerEvents="none" fill="none" stroke="var(--rust)" strokeOpacity="0.22" strokeWidth="1" strokeDasharray="1 7">
      {swept.flatMap(({ circles, lineId }, moment) =>
        circles.map(({ centre, radiusM }, index) => {
          const { x, y } = toScreen(view, centre);
          // Moments have no names of their own; they are told apart by their order.
          return <circle key={`${lineId}-${moment}-${index}`} data-zone="swept" cx={x} cy={y} r={radiusM * view.scale} />;
        }),
      )}
    </g>
  );
});

/** How far the remotes reach: the operator stands inside. */
export const RemoteRims = memo(function RemoteRims({ reaches, view }: { readonly reaches: readonly RemoteReach[]; readonly view: View }) {
  return (
    <g pointerEvents="none" fill="none">
      {reaches.map(({ lineId, radiusM, ...at }) => {
        const { x, y } = toScreen(view, at);
        return (
          <circle
            key={lineId}
            data-remote={lineId}
            cx={x}
            cy={y}
            r={radiusM * view.scale}
            stroke="var(--moss)"
            strokeWidth="1.6"
            strokeDasharray="9 5"
          />
        );
      })}
    </g>
  );
});

interface FlightsProps {
  readonly breaks: Report['breaks'];
  readonly view: View;
  /** Only what is let go is shown: its ways stand out. */
  readonly far: boolean;
}

/** Where parts would leave to if what holds them let go. */
export const Flights = memo(function Flights({ breaks, view, far }: FlightsProps) {
  return (
    <g pointerEvents="none">
      {breaks.flatMap(({ lineId, flights }) =>
        flights.map(({ chainId, from, along }) => (
          <Flight key={`${lineId}-${chainId}`} from={toScreen(view, from)} dx={along.x} dy={-along.y} far={far} />
        )),
      )}
    </g>
  );
});

/** Rings round those who stand where something flies, whips or rolls. */
export function Endangered({ ids, rig, view }: { readonly ids: readonly string[]; readonly rig: Rig; readonly view: View }) {
  return (
    <g pointerEvents="none" fill="none" stroke="var(--rust)" strokeWidth="3">
      {rig.bodies.flatMap(({ id, xM, yM }) => {
        if (!ids.includes(id)) return [];
        const { x, y } = toScreen(view, { x: xM, y: yM });
        return [<circle key={id} data-endangered={id} cx={x} cy={y} r="20" />];
      })}
    </g>
  );
}

/** Length of the arrow that shows where a part would fly, and how far it keeps beside what it lies along, pixels. */
const FLIGHT_PX = 46;
const FAR_PX = 150;
const BESIDE = 8;

interface FlightProps {
  readonly from: { readonly x: number; readonly y: number };
  readonly dx: number;
  readonly dy: number;
  readonly far: boolean;
}

/** Which way a part leaves if what holds it lets go. */
function Flight({ from, dx, dy, far }: FlightProps) {
  const size = Math.hypot(dx, dy);
  if (size < 0.05) return null;
  const [ux, uy] = [dx / size, dy / size];
  const along = (px: number) => ({ x: from.x + px * ux + BESIDE * uy, y: from.y + px * uy - BESIDE * ux });
  const [start, tip] = [along(12), along(far ? FAR_PX : FLIGHT_PX)];
  const barb = (side: number) => `${tip.x - 9 * ux + side * 5 * -uy} ${tip.y - 9 * uy + side * 5 * ux}`;
  return (
    <path
      data-flight
      d={`M${start.x} ${start.y}L${tip.x} ${tip.y}M${barb(1)}L${tip.x} ${tip.y}L${barb(-1)}`}
      fill="none"
      stroke="var(--rust)"
      strokeWidth={far ? 4 : 2}
      strokeLinecap="round"
    />
  );
}

/** What the arrows mean. */
export function ArrowKey({ x, y }: { readonly x: number; readonly y: number }) {
  return (
    <g transform={`translate(${x} ${y})`} fontSize="14">
      <path d="M0 -5H22" stroke="var(--slate)" strokeWidth="3" />
      <path d="M28 -5L19 -9V-1Z" fill="var(--slate)" />
      <text x="34" fill="var(--ink)">
        pulls
      </text>
      <path d="M78 -5H104M95 -10L104 -5L95 0" fill="none" stroke="var(--rust)" strokeWidth="2" />
      <text x="110" fill="var(--ink)">
        would fly
      </text>
    </g>
  );
}
