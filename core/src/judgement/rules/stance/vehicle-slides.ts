import { force, rich } from '../../../quantity/format.ts';
import { leftBelow } from '../../../quantity/tolerance.ts';
import { momentRule } from '../../ask/rule.ts';
import { aboutBody, found, undecided } from '../../ask/speak.ts';

export const vehicleSlides = momentRule({
  code: 'vehicle-slides',
  severity: 'fix',
  softenable: true,
  why: 'A vehicle that slides takes its line, its load and whoever stands behind it along.',
  needs: ['body.mass', 'vehicle.stance', 'vehicle.axles', 'ground.slope', 'line.way', 'tie.back'],
  asks: 'What ground does this vehicle stand on, and what holds it?',
  // What tows drives on; its grip is asked for by another rule.
  subjects: ({ vehicles, drives }) =>
    vehicles.filter(
      ({ isLoad, ties, on }) => !isLoad && ties.length === 0 && !drives.some((drive) => drive.kind === 'tow' && drive.on === on),
    ),
  about: ({ body }) => aboutBody(body),
  margin: ({ holds }, { index }) => {
    const planned = holds[index]?.planned;
    if (planned === undefined) return Number.POSITIVE_INFINITY;
    return planned.slidesByN === undefined ? undefined : leftBelow(planned.demandN, planned.holdN ?? 0);
  },
  answer: ({ holds, rig }, { index, body: { label } }) => {
    const planned = holds[index]?.planned;
    if (planned === undefined) return undefined;
    const { demandN, holdN = 0, slidesByN } = planned;
    if (slidesByN === undefined) return undecided({ label, demandN, holdN, tieN: 0 });
    return found({ label, demandN, holdN, tieN: slidesByN * rig.policy.hold.backAnchorMargin.value });
  },
  title: ({ label }) => rich`${label} slides before the load moves`,
  detail: ({ demandN, holdN, tieN }) =>
    rich`${force(demandN)} pull at it, and ${force(holdN)} hold it. Tie it back to an anchor good for ${force(tieN)}, dig its wheels in, or find better ground.`,
  question: ({ label }) => rich`What ground does ${label} stand on, and what holds it?`,
});
