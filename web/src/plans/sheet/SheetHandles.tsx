import type { Report, Rig } from '@wainrope/core';
import { BodyHandles } from './BodyHandles.tsx';
import { FeatureHandles } from './FeatureHandles.tsx';
import type { CoveredSheet, View } from './layout/plan-sheet-layout.ts';
import { type MapPoint, Measured, RouteTrace } from './SheetMarks.tsx';

interface SheetHandlesProps {
  readonly rig: Rig;
  readonly report: Report;
  readonly view: View;
  readonly size: CoveredSheet;
  readonly freeze: (view: View | undefined) => void;
  readonly points: readonly MapPoint[];
  readonly isClosed: boolean;
}

/** All that is taken hold of on the sheet, and what is being drawn on it. */
export function SheetHandles({ rig, report, view, size, freeze, points, isClosed }: SheetHandlesProps) {
  return (
    <>
      <FeatureHandles features={rig.features} view={view} />
      <BodyHandles bodies={rig.bodies} places={report.places} view={view} size={size} freeze={freeze} />
      <RouteTrace rig={rig} view={view} />
      <Measured points={points} view={view} closed={isClosed} />
    </>
  );
}
