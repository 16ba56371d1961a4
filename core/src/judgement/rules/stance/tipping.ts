import type { Assessment } from '../../../moment/assessment.ts';
import { percent, rich } from '../../../quantity/format.ts';
import { exceeds } from '../../../quantity/tolerance.ts';
import { type Answer, notFound } from '../../rule.ts';

/** Vehicles whose side pull × height lies above one share of what resists it and at most at another, on the planned pull. */
export function tippingOf({ holds }: Assessment, above: number, upTo: number): readonly Answer[] {
  return holds.map(({ body, planned }): Answer => {
    const subject = { kind: 'body', id: body.id } as const;
    if (planned === undefined || !exceeds(planned.tipping, above) || exceeds(planned.tipping, upTo)) return notFound(subject);
    if (!planned.trackKnown)
      return {
        kind: 'undecided',
        subject,
        question: rich`How wide is the track of ${body.label}? The line pulls it to one side with ${percent(planned.tipping)} of what would turn it over, by a guess from its width.`,
      };
    return {
      kind: 'found',
      subject,
      title: rich`The line may turn ${body.label} over`,
      detail: rich`Its side pull is ${percent(planned.tipping)} of what it takes. Hook on lower, pull more in line, or hold it from the other side.`,
    };
  });
}
