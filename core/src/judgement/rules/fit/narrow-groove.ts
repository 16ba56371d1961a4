import { grooveFit } from '../../../gear/fit.ts';
import { rich, smallLength } from '../../../quantity/format.ts';
import { rigRule } from '../../ask/rule.ts';
import { aboutUse, chooseAnother, found, openPiece, pieceName, undecided } from '../../ask/speak.ts';
import { ropesOnPulleys } from './ropes-on-pulleys.ts';

export const narrowGroove = rigRule({
  code: 'narrow-groove',
  severity: 'stop',
  softenable: false,
  why: 'A rope wider than the groove rides on its edges and is pinched or jumps out.',
  needs: ['use.piece', 'gear.grooveWidthM', 'gear.ropeDiameterM'],
  asks: 'Does the rope fit the groove?',
  subjects: ropesOnPulleys,
  about: ({ pulley }) => aboutUse(pulley),
  answer: (_, { pulley, rope }) => {
    const fit = grooveFit(rope, pulley.piece);
    if (fit === undefined || fit.fits === true) return undefined;
    const { sizeM, openingM } = fit;
    const names = { name: pieceName(pulley.piece), tag: rope.tag };
    if (sizeM === undefined || openingM === undefined)
      return undecided({ ...names, sizeM: 0, openingM: 0 }, openPiece(pulley.piece, 'Enter the groove width'));
    return found({ ...names, sizeM, openingM }, chooseAnother(pulley));
  },
  title: ({ tag, name }) => rich`${tag} is too thick for ${name}`,
  detail: ({ sizeM, openingM }) => rich`Rope ${smallLength(sizeM)}, groove ${smallLength(openingM)}.`,
  question: ({ tag, name }) => rich`Does ${tag} fit the groove of ${name}? One of the two widths is not on record.`,
});
