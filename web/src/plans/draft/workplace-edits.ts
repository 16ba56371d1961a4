import { choosePieceEdits, type Edit, type PieceUse, type Rig, withPieces } from '@wainrope/core';
import type { RegisterPiece } from '../../register/use-register.ts';
import { consentEdits, type Said } from '../pieces/book-points.ts';
import { draftEdits } from './route-words.ts';

/** What is laid, with pieces that fit filled in; fetched when something is first laid. */
export const laidEdits = withPieces;

/** A line as far as it was run. */
export const runEdits = draftEdits;

interface Chosen {
  readonly piece: RegisterPiece;
  /** Who of the owner's side agreed to a last resort. */
  readonly consent: string | undefined;
  readonly said: Said;
}

/** A piece put into a place of the rig. */
export function chosenEdits(rig: Rig, use: PieceUse, { piece, consent, said }: Chosen): readonly Edit[] {
  const edits = choosePieceEdits(rig, use, piece.facts);
  return consent ? [...edits, ...consentEdits(use, piece.facts.id, consent, said)] : edits;
}
