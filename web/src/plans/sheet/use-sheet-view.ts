import type { Report, Rig } from '@wainrope/core';
import { type RefObject, useMemo, useState } from 'react';
import { fitView, type SheetSize, standsAbout, type View } from './layout/plan-sheet-layout.ts';

const CLOSEST = 160;
const FURTHEST = 1.5;

/** The same view, nearer or further, with one point of the sheet standing still. */
export function zoomed(view: View, factor: number, about: { readonly x: number; readonly y: number }): View {
  const scale = Math.min(CLOSEST, Math.max(FURTHEST, view.scale * factor));
  const real = scale / view.scale;
  return { scale, originX: about.x - (about.x - view.originX) * real, originY: about.y - (about.y - view.originY) * real };
}

export const panned = (view: View, dx: number, dy: number): View => ({ ...view, originX: view.originX + dx, originY: view.originY + dy });

/** Pixels on the sheet as metres on the map, to the centimetre. */
export function toMap(
  { scale, originX, originY }: View,
  { x, y }: { readonly x: number; readonly y: number },
): { readonly xM: number; readonly yM: number } {
  const round = (value: number) => Math.round(value * 100) / 100;
  return { xM: round((x - originX) / scale), yM: round((originY - y) / scale) };
}

interface Shown {
  readonly rig: Rig;
  readonly report: Report | undefined;
  readonly size: SheetSize;
  /** Room in the upper left corner that something stands on. */
  readonly covered: SheetSize;
}

/** What the sheet shows: the whole rig until somebody zooms or pans; standing still while something is dragged. */
export function useSheetView({ rig, report, size, covered }: Shown, target: RefObject<HTMLElement | null>) {
  const [own, setOwn] = useState<View>();
  const [frozen, setFrozen] = useState<View>();
  const still = own ?? frozen;
  const view = useMemo(() => still ?? fitView(rig, report, size, covered), [still, rig, report, size, covered]);
  const middle = { x: size.width / 2, y: size.height / 2 };
  const zoom = (factor: number, about = middle) => setOwn(zoomed(view, factor, about));
  const pan = (dx: number, dy: number) => setOwn(panned(view, dx, dy));
  const within = (clientX: number, clientY: number) => {
    const box = target.current?.getBoundingClientRect();
    return { x: clientX - (box?.left ?? 0), y: clientY - (box?.top ?? 0) };
  };
  /** The whole rig; where that is shown already, everybody who stands about it too. */
  const fit = () => {
    const isWider = own === undefined && rig.bodies.some(standsAbout);
    setOwn(isWider ? fitView(rig, report, size, covered, 'everybody') : undefined);
  };
  return { view, show: setOwn, zoom, pan, fit, freeze: setFrozen, within };
}

export type SheetView = ReturnType<typeof useSheetView>;
