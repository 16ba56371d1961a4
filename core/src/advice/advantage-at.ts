import { judgeStart } from '../judgement/judge.ts';
import type { Case } from '../rig/case.ts';
import type { AdvantageAt } from './answers.ts';

/**
 * The advantage at the start with pulleys between ideal (`realness` 0: no friction) and as they are (1): the loss of each pulley and plain bend
 * is taken in that share and the rig solved anew. Nothing where the rig cannot be solved. `realness` 0…1, ends included.
 */
export function advantageAt(subject: Case, realness: number): AdvantageAt | undefined {
  const { friction } = subject.policy;
  const lessened = <K extends string>(
    rows: { readonly [P in K]: { readonly value: number; readonly source: string } },
    of: (value: number) => number,
  ) =>
    Object.fromEntries(
      Object.entries<{ readonly value: number; readonly source: string }>(rows).map(([key, row]) => [
        key,
        { ...row, value: of(row.value) },
      ]),
    ) as typeof rows;
  const policy: Case['policy'] = {
    ...subject.policy,
    friction: {
      ...friction,
      flatPerPulley: { ...friction.flatPerPulley, value: 1 - realness * (1 - friction.flatPerPulley.value) },
      pulleyEfficiency: lessened(friction.pulleyEfficiency, (value) => 1 - realness * (1 - value)),
      plainBendFriction: lessened(friction.plainBendFriction, (value) => realness * value),
    },
  };
  const { advantage, plannedPullN, places } = judgeStart({ ...subject, policy });
  if (!advantage || plannedPullN === undefined || plannedPullN <= 0) return undefined;
  const anchors = places.filter(({ kind, plannedN }) => kind === 'anchor' && plannedN !== undefined);
  return {
    atLoad: realness === 0 ? advantage.frictionless : advantage.hauling,
    atAnchors: anchors.map(({ subject: { id }, name, plannedN = 0 }) => ({ id, label: name, share: plannedN / plannedPullN })),
  };
}
