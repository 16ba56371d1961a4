import { grooveFit } from '../../../gear/fit.ts';
import { isRope } from '../../../gear/traits.ts';
import { rich, smallLength } from '../../../quantity/format.ts';
import type { ResolvedRig } from '../../../resolved/resolved-rig.ts';
import { momentRule } from '../../ask/rule.ts';
import { chooseAnother, found, openPiece, pieceName, undecided } from '../../ask/speak.ts';
import { aboutPulley, foundWhereItLies, type RopeOnPulley, ropesOnPulleys } from './ropes-on-pulleys.ts';

const fitOf = ({ rope, pulley }: RopeOnPulley) => grooveFit(rope.piece, pulley.piece);

export const narrowGroove = momentRule({
  code: 'narrow-groove',
  severity: 'stop',
  softenable: false,
  why: 'A rope wider than the groove rides on its edges and is pinched or jumps out.',
  needs: ['use.piece', 'gear.grooveWidthM', 'gear.ropeDiameterM', 'line.way', 'load.travel'],
  asks: 'Does the rope fit the groove?',
  subjects: (rig: ResolvedRig) => ropesOnPulleys(rig).filter((subject) => isRope(subject.rope.piece) && fitOf(subject) !== undefined),
  about: aboutPulley,
  margin: (moment, subject) => {
    const fits = fitOf(subject)?.fits;
    return foundWhereItLies(moment, subject, fits === undefined ? undefined : !fits);
  },
  answer: (_, subject) => {
    const { pulley, rope } = subject;
    const { sizeM, openingM } = fitOf(subject) ?? {};
    const names = { name: pieceName(pulley.piece), tag: rope.piece.tag };
    if (sizeM === undefined || openingM === undefined) {
      const missing = openPiece(sizeM === undefined ? rope.piece : pulley.piece, 'Enter the width');
      return undecided({ ...names, sizeM: 0, openingM: 0 }, missing);
    }
    return found({ ...names, sizeM, openingM }, chooseAnother(pulley));
  },
  title: ({ tag, name }) => rich`${tag} is too thick for ${name}`,
  detail: ({ sizeM, openingM }) => rich`Rope ${smallLength(sizeM)}, groove ${smallLength(openingM)}.`,
  question: ({ tag, name }) => rich`Does ${tag} fit the groove of ${name}? One of the two widths is not on record.`,
});
