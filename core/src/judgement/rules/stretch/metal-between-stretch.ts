import { isClass, servesAs, traitsOf } from '../../../gear/traits.ts';
import { rich } from '../../../quantity/format.ts';
import { type ChosenUse, isChosen } from '../../../resolved/parts.ts';
import type { ResolvedRig } from '../../../resolved/resolved-rig.ts';
import { rigRule } from '../../ask/rule.ts';
import { aboutUse, chooseAnother, found, pieceName } from '../../ask/speak.ts';

export const metalBetweenStretch = rigRule({
  code: 'metal-between-stretch',
  severity: 'stop',
  softenable: false,
  why: 'A shackle between two stretch ropes becomes a missile when one of them parts.',
  needs: ['use.piece', 'gear.class', 'line.way'],
  subjects: betweenStretch,
  about: aboutUse,
  answer: (_, use) => {
    const joins = servesAs(use.piece, 'connector') || servesAs(use.piece, 'line-end');
    return joins && !traitsOf(use.piece).soft
      ? found({ name: pieceName(use.piece) }, chooseAnother(use, 'Choose a soft shackle'))
      : undefined;
  },
  title: ({ name }) => rich`${name} joins two stretch ropes`,
  detail: () => rich`Use a soft shackle, or loop them through each other with a soft spacer.`,
});

/** What lies between two stretch ropes of one line. */
function betweenStretch({ lines }: ResolvedRig): readonly ChosenUse[] {
  return lines.flatMap(({ ropes }) =>
    ropes.flatMap((use, index) => {
      const around = [ropes[index - 1], ropes[index + 1]];
      return isChosen(use) && around.every((other) => isClass(other?.piece, 'stretch-rope')) ? [use] : [];
    }),
  );
}
