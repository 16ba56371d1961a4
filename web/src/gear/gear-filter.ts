import { gearClasses } from '@wainrope/core';
import type { RegisterPiece } from '../register/use-register.ts';

export interface GearFilter {
  readonly search: string;
  readonly kind: string;
  readonly state: string;
  readonly kit: string;
}

/** The filter that a link carries. */
export function filterOf(params: URLSearchParams): GearFilter {
  return { search: params.get('q') ?? '', kind: params.get('class') ?? '', state: params.get('state') ?? '', kit: params.get('kit') ?? '' };
}

/** Pieces that hold every word searched for and fit the chosen class, state and kit. */
export function filterPieces(pieces: readonly RegisterPiece[], { search, kind, state, kit }: GearFilter): readonly RegisterPiece[] {
  const words = search.toLowerCase().split(/\s+/).filter(Boolean);
  return pieces.filter(({ gear, kit: kitName, vehicle }) => {
    if (kind !== '' && gear.kind !== kind) return false;
    if (state !== '' && gear.state !== state) return false;
    if (kit !== '' && kitName !== kit) return false;
    if (words.length === 0) return true;
    const text = [
      gear.tag,
      gear.name,
      gearClasses[gear.kind].label,
      gear.maker,
      gear.model,
      gear.batch,
      gear.owner,
      gear.note,
      kitName,
      vehicle,
      ...gear.marks.map(({ asWritten }) => asWritten),
    ]
      .join(' ')
      .toLowerCase();
    return words.every((word) => text.includes(word));
  });
}
