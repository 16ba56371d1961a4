import { rich } from '../../../quantity/format.ts';
import { rigRule } from '../../ask/rule.ts';
import { aboutUse, pieceName, ticked, usesOfClass } from '../../ask/speak.ts';

export const knotPlacement = rigRule({
  code: 'knot-placement',
  severity: 'fix',
  softenable: true,
  why: 'A knot on the running side or underneath rubs, and a noose not seated can open.',
  needs: ['use.piece', 'answers'],
  asks: 'Is the noose seated, and the knot clear of running rope?',
  subjects: (rig) => usesOfClass(rig, 'soft-shackle'),
  about: aboutUse,
  answer: (rig, { use, piece }) => ticked(rig, `knot-placement.${use.id}`, { name: pieceName(piece) }),
  title: ({ name }) => rich`${name}: knot or noose badly placed`,
  detail: () => rich`Seat the noose and turn the knot away.`,
  question: ({ name }) => rich`Is the noose of ${name} seated behind its knot, and the knot clear of running rope?`,
});
