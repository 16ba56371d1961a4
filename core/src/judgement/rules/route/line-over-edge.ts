import { rich } from '../../../quantity/format.ts';
import { type Answer, type Rule, ticked } from '../../rule.ts';

export const lineOverEdge: Rule = {
  code: 'line-over-edge',
  severity: 'fix',
  softenable: true,
  why: 'A line that runs over a plain edge is sawn through.',
  needs: 'bends of the line over edges',
  asks: 'Is the line sleeved where it runs over this edge?',
  check: (assessment) =>
    assessment.rig.lines.flatMap(({ id, via }) =>
      via.flatMap((bend, index): readonly Answer[] =>
        bend.kind === 'edge'
          ? [
              ticked(assessment, {
                code: 'line-over-edge',
                subject: { kind: 'point', id: bend.pointId },
                question: rich`Is ${id} sleeved where it runs over the edge at its bend ${String(index + 1)}?`,
                ifNo: { title: rich`The line runs bare over an edge`, detail: rich`Sleeve it, pad the edge, or hang a pulley there.` },
              }),
            ]
          : [],
      ),
    ),
};
