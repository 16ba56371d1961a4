import { rich } from '../../../quantity/format.ts';
import { plainEdges } from '../../../rigging/plain-edges.ts';
import { rigRule } from '../../ask/rule.ts';
import { ticked } from '../../ask/speak.ts';

export const lineOverEdge = rigRule({
  code: 'line-over-edge',
  severity: 'fix',
  softenable: true,
  why: 'A line that runs over a plain edge is sawn through.',
  needs: ['line.way', 'line.edges', 'answers'],
  asks: 'Is the line sleeved where it runs over this edge?',
  subjects: ({ rig }) => plainEdges(rig),
  about: ({ line, bend, order }) => ({ subject: { kind: 'point', id: bend.pointId }, place: `${line.id}.${order}` }),
  answer: (rig, { bend, point }) => ticked(rig, `line-over-edge.${bend.pointId}`, { over: point.label }),
  title: ({ over }) => rich`The line runs bare over ${over}`,
  detail: () => rich`Sleeve it, pad the edge, or hang a pulley there.`,
  question: ({ over }) => rich`Is the line sleeved where it runs over ${over}?`,
});
