import { respoolAdvice } from '../../../effort/respool.ts';
import { angle, force, percent, rich } from '../../../quantity/format.ts';
import { fallsShort } from '../../../quantity/tolerance.ts';
import { travelDirection } from '../../../rig/site-geometry.ts';
import { slopeAlong } from '../../../statics/ground.ts';
import { rigRule } from '../../ask/rule.ts';
import { aboutBody, found } from '../../ask/speak.ts';

export const respoolTooLight = rigRule({
  code: 'respool-too-light',
  severity: 'fix',
  softenable: true,
  why: 'A line spooled too loosely dives into itself at the next pull.',
  needs: ['purpose', 'body.mass', 'ground.slope', 'situation'],
  subjects: ({ rig, load }) => (rig.purpose === 'respool' ? [load.body] : []),
  about: aboutBody,
  answer: ({ rig, policy }, helper) => {
    const slopeRad = Math.max(0, slopeAlong(rig.ground, travelDirection(rig)));
    const { surface, lockedShare: brakeShare } = rig.situation;
    const advice = respoolAdvice({ massKg: helper.massKg, slopeRad, surface, brakeShare }, policy);
    if (!fallsShort(advice.tensionN, advice.wantedN)) return undefined;
    const { tensionN, wantedN, slopeRad: wantedSlopeRad, brakeShare: wantedShare } = advice;
    return found({ label: helper.label, tensionN, wantedN, slopeRad: wantedSlopeRad, brakeShare: wantedShare });
  },
  title: ({ label }) => rich`${label} spools the line too loosely`,
  detail: ({ tensionN, wantedN, slopeRad, brakeShare }) => {
    const ways = [
      slopeRad === undefined ? undefined : rich`draw it up a slope of ${angle(slopeRad)}`,
      brakeShare === undefined ? undefined : rich`brake it by ${percent(brakeShare)} of its weight`,
    ].filter((entry) => entry !== undefined);
    const [one, other] = ways;
    const how =
      one === undefined
        ? rich`This helper cannot do it: choose a heavier one.`
        : rich`To reach it, ${other === undefined ? one : rich`${one}, or ${other}`}.`;
    return rich`It gives ${force(tensionN)}, and ${force(wantedN)} is asked for. ${how}`;
  },
});
