import { roleWords } from '../../../gear/classes/roles.ts';
import { servesAs, traitsOf } from '../../../gear/traits.ts';
import { rich } from '../../../quantity/format.ts';
import { rigRule } from '../../ask/rule.ts';
import { aboutUse, chooseAnother, chosenUses, found, pieceName } from '../../ask/speak.ts';

export const cannotServeHere = rigRule({
  code: 'cannot-serve-here',
  severity: 'stop',
  softenable: false,
  why: 'A piece used for what it was not made for has no limit anybody knows.',
  needs: ['use.piece', 'use.role', 'gear.class'],
  subjects: chosenUses,
  about: aboutUse,
  answer: (_, use) => {
    const { label, refusedBy } = traitsOf(use.piece);
    if (servesAs(use.piece, use.use.role) || refusedBy === 'a-rule-of-its-own') return undefined;
    return found({ name: pieceName(use.piece), role: roleWords[use.use.role], label: label.toLowerCase() }, chooseAnother(use));
  },
  title: ({ name, role }) => rich`${name} cannot serve as ${role}`,
  detail: ({ label }) => rich`It is a ${label}.`,
});
