import { legWords, lineWords, type Rig } from '@wainrope/core';

/** Which line, leg or back-anchor a figure belongs to, by its path; nothing where there is but one. */
export function whoseWords(path: string, rig: Rig): string | undefined {
  const id = /^(?:drives|strands|breaks)\[([^\]]+)\]/.exec(path)?.[1];
  if (id === undefined) return undefined;
  const strand = /\.(\d+)$/.exec(id)?.[1];
  const line = strand === undefined ? id : id.slice(0, -strand.length - 1);
  if (!rig.lines.some((each) => each.id === line)) return 'back-anchor';
  if (strand !== undefined) return legWords(rig, { lineId: line, index: Number(strand) });
  return rig.lines.length === 1 ? undefined : lineWords(rig, line);
}
