import { type Edit, freeIdIn, type Rig, type RouteStop, routeEdits } from '@wainrope/core';
import type { RouteDraft } from './planner-slice.ts';

const labelOf = (rig: Rig, bodyId: string) => rig.bodies.find(({ id }) => id === bodyId)?.label ?? 'nothing';

/** A line as it is led, said in words. */
export function routeWords(rig: Rig, { fromBodyId, bodyIds }: RouteDraft): string {
  const stops = bodyIds.map((id, index) => (index === bodyIds.length - 1 ? `to ${labelOf(rig, id)}` : `over ${labelOf(rig, id)}`));
  return [`From ${labelOf(rig, fromBodyId)}`, ...stops].join(', ');
}

/** Edits that lay the line that was led: over a pulley at every body but the last, where it ends. One winch drives one line. */
export function draftEdits(rig: Rig, { fromBodyId, bodyIds }: RouteDraft): readonly Edit[] {
  if (bodyIds.length === 0) return [];
  const own = rig.lines.find(
    ({ drive }) => drive.kind === 'winch' && rig.points.find(({ id }) => id === drive.pointId)?.bodyId === fromBodyId,
  );
  const stops = bodyIds.map((bodyId, index): RouteStop => ({ bodyId, at: index === bodyIds.length - 1 ? 'end' : 'pulley' }));
  return routeEdits(rig, { lineId: own?.id ?? (rig.lines.length === 0 ? 'line' : freeIdIn(rig, 'line')), fromBodyId, stops });
}
