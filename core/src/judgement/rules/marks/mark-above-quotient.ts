import { force, rich } from '../../../quantity/format.ts';
import { rigRule } from '../../ask/rule.ts';
import { aboutUse, chosenUses, found, pieceName } from '../../ask/speak.ts';

export const markAboveQuotient = rigRule({
  code: 'mark-above-quotient',
  severity: 'caution',
  softenable: true,
  why: 'The marked working limit leaves less in hand than the team asks for, so the lower figure is used.',
  needs: ['use.piece', 'gear.marks', 'policy'],
  subjects: chosenUses,
  about: aboutUse,
  answer: ({ policy }, { piece, limit }) => {
    // A team that trusts marked limits has decided that already.
    if (policy.trustMarkedWll || limit?.kind !== 'rated' || !limit.limit.markAboveQuotient) return undefined;
    const { markedWll, mbsN, designFactor, wllN } = limit.limit;
    return found({ name: pieceName(piece), designFactor, markedN: markedWll?.readingN ?? 0, mbsN, wllN });
  },
  title: ({ name, designFactor }) => rich`${name}: its marked limit is above breaking strength ÷ ${String(designFactor)}`,
  detail: ({ markedN, mbsN, wllN }) => rich`Marked ${force(markedN)}, breaks at ${force(mbsN)}; ${force(wllN)} is used.`,
});
