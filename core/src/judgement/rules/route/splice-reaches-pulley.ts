import { spanLengthM } from '../../../moment/rig-forces.ts';
import { ropePerTravel } from '../../../moment/winch-work.ts';
import { length, rich } from '../../../quantity/format.ts';
import { exceeds } from '../../../quantity/tolerance.ts';
import { ropeSpans } from '../../../resolved/rope-places.ts';
import { shownState } from '../../report/drawing-facts.ts';
import { type Answer, notFound, type Rule, useSubject } from '../../rule.ts';

export const spliceReachesPulley: Rule = {
  code: 'splice-reaches-pulley',
  severity: 'stop',
  softenable: false,
  why: 'A joint drawn into a pulley or the fairlead jams or breaks.',
  needs: 'extensions in the line, the load’s travel',
  check: (assessment) => {
    const { rig, network } = assessment;
    const state = shownState(assessment)?.state;
    const hauledM = rig.load.travelM * (ropePerTravel(assessment) ?? 0);
    if (state === undefined || rig.purpose === 'lower') return [];
    return network.lines.flatMap((walk) => {
      const lengths = walk.spans.map((_, span) => spanLengthM(walk, span, state));
      const wholeM = lengths.reduce((sum, length) => sum + length, 0);
      return ropeSpans(walk, assessment)
        .slice(1)
        .map(({ use, toEndM }): Answer => {
          // The joint sits where this rope begins; hauling draws it towards the drive, past every stop before it.
          const fromDriveM = wholeM - toEndM;
          const stops = lengths.map((_, span) => lengths.slice(0, span).reduce((sum, length) => sum + length, 0));
          const next = stops.filter((at) => at < fromDriveM).at(-1);
          const subject = useSubject(use);
          if (next === undefined || !exceeds(hauledM, fromDriveM - next)) return notFound(subject);
          return {
            kind: 'found',
            subject,
            title: rich`The joint before an extension reaches ${next === 0 ? 'the fairlead' : 'a pulley'}`,
            detail: rich`${length(hauledM)} of rope is hauled, and the joint is ${length(fromDriveM - next)} away. Put the extension in the anchor leg, or re-rig half-way.`,
          };
        });
    });
  },
};
