import { rich } from '../../../quantity/format.ts';
import { type Answer, notFound, ownerName, ownerSubject, type Rule } from '../../rule.ts';
import { stronger } from '../limits/stronger-piece.ts';

export const noStrength: Rule = {
  code: 'no-strength',
  severity: 'stop',
  softenable: false,
  why: 'In its present state this counts for nothing, whatever is marked on it.',
  needs: 'condition grades, state of trees',
  check: ({ places, anchors, limits, rig }) =>
    places.map((place): Answer => {
      const subject = ownerSubject(place);
      if (place.capacity === undefined || place.capacity.wllN > 0) return notFound(subject);
      const tree =
        place.owner.kind === 'body' ? rig.points.find((point) => point.bodyId === subject.id && anchors.has(point.id)) : undefined;
      const limit = limits.get(subject.id);
      const reason = tree
        ? `the tree is ${anchors.get(tree.id)?.refusedFor}`
        : limit?.kind === 'rated'
          ? limit.condition.derate.reason
          : 'its limit is zero';
      return {
        kind: 'found',
        subject,
        title: rich`${ownerName(place)} must not be loaded`,
        detail: rich`Its limit is zero: ${reason}. ${tree ? 'Take another anchor.' : 'Take another piece.'}`,
        fixes: stronger(place),
      };
    }),
};
