import { type Figure, force, type GearState, type PieceLimit } from '@wainrope/core';
import { day } from '../shell/days.ts';
import type { RegisterPiece } from './use-register.ts';

export const stateWords: { readonly [S in GearState]: string } = { 'in-use': 'In use', quarantined: 'Quarantined', retired: 'Retired' };

/** The limit in a few words for a list. */
export function limitWords(limit: PieceLimit, figure: (value: Figure) => string): string {
  if (limit.kind === 'rated') return figure(force(limit.wllN));
  return limit.kind === 'unrated' ? 'not rated' : '—';
}

/** Where a piece is: its kit, else its vehicle. */
export function whereWords({ gear, kit, vehicle }: RegisterPiece): string {
  if (gear.away) return `out: ${gear.away.holder}`;
  return [kit, vehicle && `on ${vehicle}`].filter(Boolean).join(', ') || 'not said';
}

/** Inspection in a few words, and whether it needs somebody. */
export function inspectionWords({ gear }: RegisterPiece, today: string): { readonly text: string; readonly due: boolean } {
  const { inspection } = gear;
  if (!inspection) return { text: 'never inspected', due: true };
  if (inspection.nextDue !== undefined && inspection.nextDue < today)
    return { text: `${inspection.grade}, overdue since ${day(inspection.nextDue)}`, due: true };
  return { text: `${inspection.grade}, due ${inspection.nextDue ? day(inspection.nextDue) : 'not set'}`, due: false };
}
