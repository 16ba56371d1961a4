import type { GearFacts } from '../gear/gear-facts.ts';
import { severities } from '../judgement/ask/told.ts';
import { judge } from '../judgement/judge.ts';
import { counted, type Finding } from '../judgement/report/finding.ts';
import type { Report } from '../judgement/report/report.ts';
import type { Case } from '../rig/case.ts';
import { applyEdit } from '../rig/edits.ts';
import type { Trial } from './answers.ts';

/**
 * Puts each piece in a place of the case, one after another, and judges the whole rig with it over its whole act: what fits and holds here is what
 * the judgement says, not another table. Pieces that do best come first.
 */
export function tryPieces(subject: Case, useId: string, pieces: readonly GearFacts[]): readonly Trial[] {
  const trials = pieces.map((piece) => trialOf(subject, useId, piece));
  return trials.sort((a, b) => rank(a) - rank(b) || (a.utilisation ?? 9) - (b.utilisation ?? 9));
}

function trialOf(subject: Case, useId: string, piece: GearFacts): Trial {
  const { rig } = applyEdit(subject.rig, { kind: 'choose-piece', useId, gearId: piece.id });
  const gear = subject.gear.some(({ id }) => id === piece.id) ? subject.gear : [...subject.gear, piece];
  const report = judge({ ...subject, rig, gear });
  const findings = report.findings.filter((finding) => isAbout(finding, report, useId));
  const here = report.places.filter((place) => place.subject.id === useId);
  const shares = here.flatMap(({ worst }) => worst?.utilisation ?? []);
  const joints = report.fits.filter((joint) => joint.innerUseId === useId || joint.outerUseId === useId).map(({ fits }) => fits);
  return {
    gearId: piece.id,
    worst: findings.map(counted).sort((a, b) => severities.indexOf(a) - severities.indexOf(b))[0],
    findings,
    utilisation: shares.length > 0 ? Math.max(...shares) : undefined,
    fits: joints.includes(false) ? false : joints.includes(undefined) ? undefined : true,
    verdict: report.verdict,
  };
}

function isAbout({ subject }: Finding, { places, fits }: Report, useId: string): boolean {
  if (subject.id === useId) return true;
  // That two pieces do not go together is told of the one that goes in.
  if (fits.some(({ innerUseId, outerUseId, fits: fit }) => innerUseId === subject.id && outerUseId === useId && fit !== true)) return true;
  return places.some((place) => place.subject.id === useId && place.id === subject.id);
}

function rank({ worst, fits }: Trial): number {
  return (worst === undefined ? severities.length : severities.indexOf(worst)) * -1 + (fits === false ? 10 : 0);
}
