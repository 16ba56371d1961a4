import { traitsOf } from '../../../gear/traits.ts';
import { percent, rich } from '../../../quantity/format.ts';
import { aboutNamed, anotherFor, namedPieces } from '../../ask/named-pieces.ts';
import { rigRule } from '../../ask/rule.ts';
import { found, pieceName } from '../../ask/speak.ts';

export const neverInspected = rigRule({
  code: 'never-inspected',
  severity: 'caution',
  softenable: true,
  why: 'No inspection is on record, so it counts as worn.',
  needs: ['use.piece', 'gear.inspection', 'gear.age', 'lanyard.tie', 'policy'],
  subjects: namedPieces,
  about: aboutNamed,
  answer: ({ policy }, named) => {
    const { piece, use } = named;
    const rated = use?.limit?.kind === 'rated' ? use.limit.condition : undefined;
    if (rated?.basis === 'none-old') return found({ name: pieceName(piece), share: rated.derate.factor }, anotherFor(named));
    // Beside the load path it has no limit of its own; what is to catch something wants to have been looked at all the same.
    const catches = use === undefined && piece.inspection === undefined && traitsOf(piece).use !== 'none';
    return catches ? found({ name: pieceName(piece), share: policy.condition.noneOld.value }) : undefined;
  },
  title: ({ name }) => rich`${name} was never inspected`,
  detail: ({ share }) => rich`Counted at ${percent(share)} of its strength. Inspect it now.`,
});
