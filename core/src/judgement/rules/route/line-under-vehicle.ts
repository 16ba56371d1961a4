import { passesOver } from '../../../hazards/danger-zones.ts';
import { stopAt } from '../../../moment/rig-forces.ts';
import { rich } from '../../../quantity/format.ts';
import { outlineOf } from '../../../release/zones-of-rig.ts';
import { shownState } from '../../report/drawing-facts.ts';
import { type Answer, type Rule, ticked } from '../../rule.ts';

export const lineUnderVehicle: Rule = {
  code: 'line-under-vehicle',
  severity: 'fix',
  softenable: true,
  why: 'A line under a vehicle saws through hoses and wiring and is out of sight.',
  needs: 'the line’s path, the outline of every vehicle',
  asks: 'Is the line protected and clear of hoses where it passes under the vehicle?',
  check: (assessment) => {
    const state = shownState(assessment)?.state;
    if (state === undefined) return [];
    return assessment.network.lines.flatMap((walk) =>
      walk.spans.flatMap((_, span) => {
        const [from, to] = [stopAt(walk, span, state), stopAt(walk, span + 1, state)];
        return assessment.rig.bodies.flatMap((body): readonly Answer[] => {
          // A line that starts or ends on a vehicle's front or back crosses a corner of its outline without running under it.
          if (
            body.kind !== 'vehicle' ||
            !passesOver(from, to, outlineOf({ ...body, lengthM: body.lengthM * 0.8, widthM: body.widthM * 0.8 }))
          )
            return [];
          return [
            ticked(assessment, {
              code: 'line-under-vehicle',
              subject: { kind: 'strand', id: `${walk.line.id}.${span}` },
              question: rich`The line passes under ${body.label}: is it protected and clear of hoses, wiring and the exhaust?`,
              ifNo: {
                title: rich`The line runs unprotected under ${body.label}`,
                detail: rich`Lead it through a pulley or a sleeve, clear of everything that it could saw through.`,
              },
            }),
          ];
        });
      }),
    );
  },
};
