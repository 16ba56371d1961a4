import { rich } from '../../../quantity/format.ts';
import { rigRule } from '../../ask/rule.ts';
import { aboutUse, chosenUses, found, openPiece, pieceName } from '../../ask/speak.ts';

export const lengthUnknown = rigRule({
  code: 'length-unknown',
  severity: 'note',
  softenable: true,
  why: 'A piece of unknown length is drawn as if it had none; the rope out shifts by as much.',
  needs: ['use.piece', 'gear.lengthM', 'gear.reachM'],
  subjects: chosenUses,
  about: aboutUse,
  answer: (_, { piece, lengthUnknown: unknown }) =>
    unknown ? found({ name: pieceName(piece) }, openPiece(piece, 'Enter its length')) : undefined,
  title: ({ name }) => rich`${name}: length not on record`,
  detail: () => rich`Counted as nothing in the layout.`,
});
