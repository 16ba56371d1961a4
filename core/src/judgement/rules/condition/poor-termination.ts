import { isRope } from '../../../gear/traits.ts';
import { percent, rich } from '../../../quantity/format.ts';
import { keyWords } from '../../../quantity/key-words.ts';
import { rigRule } from '../../ask/rule.ts';
import { aboutUse, chooseAnother, chosenUses, found, pieceName } from '../../ask/speak.ts';

const POOR = ['short-or-blunt-bury', 'figure-eight', 'bowline', 'other-knot'];

export const poorTermination = rigRule({
  code: 'poor-termination',
  severity: 'fix',
  softenable: false,
  why: 'A knot or a short bury gives away a third to more than half of a rope’s strength.',
  needs: ['use.piece', 'gear.endTermination', 'gear.material'],
  subjects: chosenUses,
  about: aboutUse,
  answer: ({ places }, use) => {
    const end = isRope(use.piece) ? use.piece.attributes.endTermination : undefined;
    if (end === undefined || !POOR.includes(end)) return undefined;
    const share = places.find(({ kind, owner }) => kind === 'end' && owner.kind === 'use' && owner.use === use)?.locals[0]?.factor ?? 0;
    return found({ name: pieceName(use.piece), end: keyWords(end), share }, chooseAnother(use));
  },
  title: ({ name, end }) => rich`The end of ${name} is weak: ${end}`,
  detail: ({ share }) => rich`${percent(share)} of its strength is left there. A long tapered splice is needed.`,
});
