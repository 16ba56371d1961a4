import type { Report, Rig } from '@wainrope/core';
import { memo } from 'react';
import { angleArcs, forceArrows } from './layout/force-arrows.ts';
import { pointsOf } from './layout/placed.ts';
import type { View } from './layout/plan-sheet-layout.ts';

interface SheetForcesProps {
  readonly rig: Rig;
  readonly pulleys: Report['pulleys'];
  readonly strands: Report['strands'];
  readonly pointLoads: Report['pointLoads'];
  readonly view: View;
}

/** What pulls on every pulley and point, as long as it is strong, and the angle between the strands of a pulley. */
export const SheetForces = memo(function SheetForces({ view, ...report }: SheetForcesProps) {
  return (
    <g pointerEvents="none" fill="none">
      {angleArcs(report, view).map(({ chainId, d }) => (
        <path key={chainId} data-angle={chainId} d={d} stroke="var(--ink)" strokeOpacity="0.7" strokeWidth="1.2" />
      ))}
      {forceArrows(report, view).map(({ id, from, tip, barbs }) => (
        <g key={id} data-force={id}>
          <polyline points={pointsOf([from, tip])} stroke="var(--slate)" strokeWidth="3" />
          <polygon points={pointsOf([tip, ...barbs])} fill="var(--slate)" />
        </g>
      ))}
    </g>
  );
});
