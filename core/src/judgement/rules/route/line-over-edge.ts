import { rich } from '../../../quantity/format.ts';
import { rigRule } from '../../ask/rule.ts';
import { ticked } from '../../ask/speak.ts';

export const lineOverEdge = rigRule({
  code: 'line-over-edge',
  severity: 'fix',
  softenable: true,
  why: 'A line that runs over a plain edge is sawn through.',
  needs: ['line.way', 'line.edges', 'answers'],
  asks: 'Is the line sleeved where it runs over this edge?',
  subjects: ({ rig }) =>
    rig.lines.flatMap(({ id, via }) => via.flatMap((bend, index) => (bend.kind === 'edge' ? [{ id, bend, index }] : []))),
  about: ({ id, bend, index }) => ({ subject: { kind: 'point', id: bend.pointId }, place: `${id}.${index}` }),
  answer: (rig, { id, bend, index }) => ticked(rig, `line-over-edge.${bend.pointId}`, { line: id, bend: index + 1 }),
  title: () => rich`The line runs bare over an edge`,
  detail: () => rich`Sleeve it, pad the edge, or hang a pulley there.`,
  question: ({ line, bend }) => rich`Is ${line} sleeved where it runs over the edge at its bend ${String(bend)}?`,
});
