import { isChosen, type ResolvedLanyard } from '../../../resolved/parts.ts';
import { aboutUse, pieceName } from '../../ask/speak.ts';
import type { About } from '../../ask/told.ts';

/** A lanyard's finding is about the piece that it catches. */
export const aboutLanyard = ({ use, lanyard }: ResolvedLanyard): About => ({ ...aboutUse(use), place: lanyard.id });

export const caughtName = ({ use }: ResolvedLanyard): string => (isChosen(use) ? pieceName(use.piece) : 'the piece');
