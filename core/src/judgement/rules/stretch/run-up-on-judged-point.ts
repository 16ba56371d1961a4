import type { Policy } from '../../../policy/policy.ts';
import { rich } from '../../../quantity/format.ts';
import type { ResolvedUse } from '../../../resolved/parts.ts';
import { isLastResort, pointKindOf } from '../../../resolved/vehicle-point.ts';
import { rigRule } from '../../ask/rule.ts';
import { aboutUse, found, pieceName } from '../../ask/speak.ts';
import { runUps } from './run-ups.ts';

export const runUpOnJudgedPoint = rigRule({
  code: 'run-up-on-judged-point',
  severity: 'stop',
  softenable: false,
  why: 'A point that nobody rated may come off in a jerk, and then it is a missile.',
  needs: ['use.piece', 'use.judged', 'use.named', 'gear.marks', 'gear.pointKind', 'line.way', 'policy'],
  subjects: (rig) =>
    runUps(rig)
      .flatMap(({ line }) => [line.stops[0]?.chain, line.stops.at(-1)?.chain].flatMap((chain) => chain?.uses ?? []))
      .filter(({ use }) => use.role === 'point'),
  about: aboutUse,
  answer: ({ policy }, use) => (isJudged(use, policy) ? found({ name: use.piece ? pieceName(use.piece) : 'the point' }) : undefined),
  title: ({ name }) => rich`No run-up on ${name}`,
  detail: () => rich`It is not a rated recovery point. Pull steadily, or take a rated point.`,
});

/** Hooks and eyes that carry no mark of their own are judged too, whoever answers for them. */
function isJudged(use: ResolvedUse, policy: Policy): boolean {
  const kind = pointKindOf(use);
  const unmarked = use.limit?.kind !== 'rated' && (kind === 'factory-hook' || kind === 'tie-down-eye');
  return use.use.judged !== undefined || use.limit?.kind === 'judged' || unmarked || isLastResort(use, policy);
}
