import { isLastResortPoint } from '../../../gear/vehicle-points.ts';
import { rich } from '../../../quantity/format.ts';
import type { ResolvedUse } from '../../../resolved/parts.ts';
import { rigRule } from '../../ask/rule.ts';
import { aboutUse, found, pieceName } from '../../ask/speak.ts';
import { runUps } from './run-ups.ts';

export const runUpOnJudgedPoint = rigRule({
  code: 'run-up-on-judged-point',
  severity: 'stop',
  softenable: false,
  why: 'A point that nobody rated may come off in a jerk, and then it is a shot.',
  needs: ['use.piece', 'use.judged', 'gear.marks', 'line.way'],
  subjects: (rig) =>
    runUps(rig)
      .flatMap(({ line }) => [line.stops[0]?.chain, line.stops.at(-1)?.chain].flatMap((chain) => chain?.uses ?? []))
      .filter(({ use }) => use.role === 'point'),
  about: aboutUse,
  answer: (_, use) => (isJudged(use) ? found({ name: use.piece ? pieceName(use.piece) : 'the point' }) : undefined),
  title: ({ name }) => rich`No run-up on ${name}`,
  detail: () => rich`It is not a rated recovery point. Pull steadily, or take a rated point.`,
});

function isJudged({ use, piece, limit }: ResolvedUse): boolean {
  return use.judged !== undefined || limit?.kind === 'judged' || (piece !== undefined && isLastResortPoint(piece));
}
