import { force, rich } from '../../../quantity/format.ts';
import { exceeds } from '../../../quantity/tolerance.ts';
import { type Answer, notFound, type Rule } from '../../rule.ts';

export const vehicleSlides: Rule = {
  code: 'vehicle-slides',
  severity: 'fix',
  softenable: true,
  why: 'A vehicle that slides takes its line, its load and whoever stands behind it along.',
  needs: 'mass, ground, slope, brakes and pull at every vehicle',
  asks: 'What ground does this vehicle stand on, and what holds it?',
  check: ({ holds, policy }) =>
    holds
      .filter(({ isLoad }) => !isLoad)
      .map(({ body, planned, backAnchorIds }): Answer => {
        const subject = { kind: 'body', id: body.id } as const;
        if (planned === undefined || backAnchorIds.length > 0) return notFound(subject);
        if (planned.slidesByN === undefined)
          return { kind: 'undecided', subject, question: rich`What ground does ${body.label} stand on, and what holds it?` };
        if (!exceeds(planned.demandN, planned.holdN ?? 0)) return notFound(subject);
        return {
          kind: 'found',
          subject,
          title: rich`${body.label} slides before the load moves`,
          detail: rich`${force(planned.demandN)} pull at it, and ${force(planned.holdN ?? 0)} hold it. Tie it back to an anchor good for ${force(planned.slidesByN * policy.hold.backAnchorMargin.value)}, dig its wheels in, or find better ground.`,
        };
      }),
};
