import { rich } from '../../../quantity/format.ts';
import { aboutNamed, anotherFor, namedPieces } from '../../ask/named-pieces.ts';
import { rigRule } from '../../ask/rule.ts';
import { found, pieceName } from '../../ask/speak.ts';

export const overloadedSinceInspection = rigRule({
  code: 'overloaded-since-inspection',
  severity: 'fix',
  softenable: false,
  why: 'An overload or a shock leaves damage that only an inspection finds, and the last one was before it.',
  needs: ['use.piece', 'gear.inspection', 'lanyard.tie', 'dampers', 'tools'],
  subjects: namedPieces,
  about: aboutNamed,
  answer: (_, named) => {
    const { piece } = named;
    const times = piece.overloadsSinceInspection;
    return times > 0 ? found({ name: pieceName(piece), times }, anotherFor(named)) : undefined;
  },
  title: ({ name, times }) => rich`${name} was overloaded ${times === 1 ? 'once' : `${times} times`} since its last inspection`,
  detail: () => rich`Inspect it before it is loaded again, or take another.`,
});
