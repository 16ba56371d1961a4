import { force, rich } from '../../../quantity/format.ts';
import { type Answer, notFound, type Rule } from '../../rule.ts';

export const vehicleSlidesAtGreatest: Rule = {
  code: 'vehicle-slides-at-greatest',
  severity: 'note',
  softenable: true,
  why: 'Before the winch stalls, its vehicle slides.',
  needs: 'mass, ground, slope, brakes and pull at every vehicle',
  check: ({ holds, greatestPullN, plannedPullN }) =>
    holds
      .filter(({ isLoad }) => !isLoad)
      .map(({ body, slidesFrom, backAnchorIds }): Answer => {
        const subject = { kind: 'body', id: body.id } as const;
        const fromN = slidesFrom === undefined || greatestPullN === undefined ? undefined : slidesFrom * greatestPullN;
        if (fromN === undefined || backAnchorIds.length > 0 || fromN <= (plannedPullN ?? 0)) return notFound(subject);
        return {
          kind: 'found',
          subject,
          title: rich`${body.label} would slide from ${force(fromN)} of line pull`,
          detail: rich`The winch can get to ${force(greatestPullN ?? 0)}. Watch its wheels; a slide is no relief for the line.`,
        };
      }),
};
