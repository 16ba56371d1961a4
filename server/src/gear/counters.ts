import type { GearView } from '@wainrope/contract';
import { gearClasses } from '@wainrope/core';
import type { FieldFault } from '../http/problem.ts';

type Counted = Pick<GearView, 'tag' | 'kind' | 'overloadsSinceInspection' | 'attributes'>;

/** The pulls that a rope has logged; undefined where its class counts none. */
export function pullsOf({ kind, attributes }: Pick<Counted, 'kind' | 'attributes'>): number | undefined {
  if (gearClasses[kind].carriesOn !== 'pulls') return undefined;
  const { pullsUsed } = attributes as { readonly pullsUsed?: number };
  return pullsUsed ?? 0;
}

/**
 * Counters that a plain change would turn back, by the path of their field. They rise by what happened; overloads are settled by a full
 * inspection, and anything else is a correction by name, with its reason.
 */
export function turnedBack(before: Counted, after: Counted): readonly FieldFault[] {
  const faults: FieldFault[] = [];
  const words = (logged: string, lower: number) =>
    `${before.tag} has ${logged} logged, ${lower} would be fewer. Correct the counter on the piece’s page, with the reason.`;
  if (after.overloadsSinceInspection < before.overloadsSinceInspection)
    faults.push({
      path: 'overloadsSinceInspection',
      message: words(`${before.overloadsSinceInspection} overloads`, after.overloadsSinceInspection),
    });
  const [was, is] = [pullsOf(before), pullsOf(after)];
  if (was !== undefined && is !== undefined && is < was) faults.push({ path: 'attributes.pullsUsed', message: words(`${was} pulls`, is) });
  if (was !== undefined && was > 0 && is === undefined)
    faults.push({
      path: 'kind',
      message: `${before.tag} has ${was} pulls logged, and another class would lose them. Correct the counter on the piece’s page first, with the reason.`,
    });
  return faults;
}
