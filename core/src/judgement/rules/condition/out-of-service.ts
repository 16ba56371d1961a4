import { rich } from '../../../quantity/format.ts';
import { rigRule } from '../../ask/rule.ts';
import { aboutUse, chooseAnother, chosenUses, found, pieceName } from '../../ask/speak.ts';

export const outOfService = rigRule({
  code: 'out-of-service',
  severity: 'stop',
  softenable: false,
  why: 'A piece in quarantine failed somebody’s look at it; a retired one is finished.',
  needs: ['use.piece', 'gear.state'],
  subjects: chosenUses,
  about: aboutUse,
  answer: (_, use) =>
    use.piece.state === 'in-use' ? undefined : found({ name: pieceName(use.piece), state: use.piece.state }, chooseAnother(use)),
  title: ({ name, state }) => rich`${name} is ${state}`,
  detail: () => rich`It must not be used until an inspection returns it.`,
});
