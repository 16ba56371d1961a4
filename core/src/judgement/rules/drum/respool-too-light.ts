import { respoolAdvice } from '../../../effort/respool.ts';
import { angle, force, percent, rich } from '../../../quantity/format.ts';
import { fallsShort } from '../../../quantity/tolerance.ts';
import { loadBody, slopeAlong, travelDirection } from '../../../rig/site-geometry.ts';
import { notFound, type Rule } from '../../rule.ts';

export const respoolTooLight: Rule = {
  code: 'respool-too-light',
  severity: 'fix',
  softenable: true,
  why: 'A line spooled too loosely dives into itself at the next pull.',
  needs: 'mass of the helper, slope, brake share',
  check: ({ rig, policy }) => {
    if (rig.purpose !== 'respool') return [];
    const helper = loadBody(rig);
    const subject = { kind: 'body', id: helper.id } as const;
    const slopeRad = Math.max(0, slopeAlong(rig.ground, travelDirection(rig)));
    const advice = respoolAdvice(
      { massKg: helper.massKg, slopeRad, surface: rig.situation.surface, brakeShare: rig.situation.lockedShare },
      policy,
    );
    if (!fallsShort(advice.tensionN, advice.wantedN)) return [notFound(subject)];
    const ways = [
      advice.slopeRad === undefined ? undefined : rich`draw it up a slope of ${angle(advice.slopeRad)}`,
      advice.brakeShare === undefined ? undefined : rich`brake it by ${percent(advice.brakeShare)} of its weight`,
    ].filter((entry) => entry !== undefined);
    const how =
      ways.length === 0
        ? rich`This helper cannot: take a heavier one.`
        : rich`To reach it, ${ways.length === 1 ? (ways[0] ?? []) : rich`${ways[0] ?? []}, or ${ways[1] ?? []}`}.`;
    return [
      {
        kind: 'found',
        subject,
        title: rich`${helper.label} spools the line too loosely`,
        detail: rich`It gives ${force(advice.tensionN)}, and ${force(advice.wantedN)} is asked for. ${how}`,
      },
    ];
  },
};
