import { rich } from '../../../quantity/format.ts';
import { aboutNamed, anotherFor, namedPieces } from '../../ask/named-pieces.ts';
import { rigRule } from '../../ask/rule.ts';
import { found, pieceName } from '../../ask/speak.ts';

export const outOfService = rigRule({
  code: 'out-of-service',
  severity: 'stop',
  softenable: false,
  why: 'A piece in quarantine failed a check; a retired one is finished.',
  needs: ['lanyard.tie', 'dampers', 'tools', 'use.piece', 'gear.state', 'gear.inspection'],
  subjects: namedPieces,
  about: aboutNamed,
  answer: (_, named) => {
    const { piece, use } = named;
    if (piece.state !== 'in-use') return found({ name: pieceName(piece), state: piece.state }, anotherFor(named));
    // In the load path it counts for nothing, which another rule says.
    return use === undefined && piece.inspection?.grade === 'D' ? found({ name: pieceName(piece), state: 'graded D' }) : undefined;
  },
  title: ({ name, state }) => rich`${name} is ${state}`,
  detail: () => rich`It must not be used until an inspection returns it.`,
});
