import type { Report, Rig } from '@wainrope/core';
import { lazy, memo, type ReactNode, Suspense } from 'react';
import type { PlacedLabel } from './layout/place-labels.ts';
import type { SheetSize, View } from './layout/plan-sheet-layout.ts';
import type { RemoteReach } from './layout/remote-reaches.ts';
import { besideBar, COMPACT } from './layout/sheet-labels.ts';
import { ArrowKey, RemoteRims, SweptZones, Zones } from './SheetDangers.tsx';
import { Features } from './SheetFeatures.tsx';
import { Ground, North, ScaleBar, Tufts } from './SheetGround.tsx';
import { Labels } from './SheetLabels.tsx';

/** Fetched behind the drawing, which is looked at first. */
const KeepOutLine = lazy(async () => ({ default: (await import('./KeepOutLine.tsx')).KeepOutLine }));
const WayOnSheet = lazy(async () => ({ default: (await import('./WayOnSheet.tsx')).WayOnSheet }));

interface LayerProps {
  readonly view: View;
  readonly size: SheetSize;
}

interface GroundLayerProps extends LayerProps {
  readonly ground: Rig['ground'];
  readonly surface: Rig['situation']['surface'];
  readonly features: Rig['features'];
  readonly strands: Report['strands'];
  readonly labels: readonly PlacedLabel[];
}

/** What the ground is and what is drawn on it. */
export const GroundLayer = memo(function GroundLayer({ ground, surface, features, strands, labels, view, size }: GroundLayerProps) {
  return (
    <Layer size={size}>
      <Ground ground={ground} view={view} size={size} />
      <Tufts surface={surface} strands={strands} view={view} size={size} labels={labels} />
      <Features features={features} view={view} />
    </Layer>
  );
});

interface ZonesLayerProps extends LayerProps {
  readonly rig: Rig;
  readonly report: Report;
  readonly reaches: readonly RemoteReach[];
}

/** Where nobody stands, the line nobody crosses, the way of what is moved, and how far the remotes reach. */
export const ZonesLayer = memo(function ZonesLayer({ rig, report, reaches, view, size }: ZonesLayerProps) {
  return (
    <Layer size={size}>
      <SweptZones swept={report.swept} view={view} />
      <Zones zones={report.zones} view={view} />
      <Suspense fallback={null}>
        <KeepOutLine report={report} view={view} />
        <WayOnSheet rig={rig} reachedM={report.pull.reachedM} isRunUp={report.runUp !== undefined} view={view} />
      </Suspense>
      <RemoteRims reaches={reaches} view={view} />
    </Layer>
  );
});

interface WordsLayerProps extends LayerProps {
  readonly labels: readonly PlacedLabel[];
  readonly imperial: boolean;
  readonly hasArrows: boolean;
}

/** The sheet's words, north, the scale, and what the arrows mean. */
export const WordsLayer = memo(function WordsLayer({ labels, view, size, imperial, hasArrows }: WordsLayerProps) {
  return (
    <Layer size={size}>
      <Labels labels={labels} />
      <North x={size.width - 34} />
      <ScaleBar view={view} size={size} imperial={imperial} />
      {hasArrows && size.width >= COMPACT && <ArrowKey x={besideBar(view, size, imperial)} y={size.height - 15} />}
    </Layer>
  );
});

/** What lies under or over what is touched; in a layer of its own, so that it is not painted anew with what moves. */
function Layer({ size, children }: { readonly size: SheetSize; readonly children: ReactNode }) {
  return (
    <svg
      width={size.width}
      height={size.height}
      className="pointer-events-none absolute inset-0 select-none will-change-transform"
      aria-hidden="true"
    >
      {children}
    </svg>
  );
}
