import { aboutUse } from '../../speak.ts';
import type { About } from '../../rule.ts';
import { pieceName } from '../../speak.ts';
import { type ResolvedLanyard, isChosen } from '../../../resolved/resolved-rig.ts';

/** A lanyard's finding is about the piece that it catches. */
export const aboutLanyard = ({ use, lanyard }: ResolvedLanyard): About => ({ ...aboutUse(use), place: lanyard.id });

export const caughtName = ({ use }: ResolvedLanyard): string => (isChosen(use) ? pieceName(use.piece) : 'the piece');
