import type { Assessment } from '../../moment/assessment.ts';
import type { DriveReport } from '../../moment/drives.ts';
import type { DrumReport } from '../../moment/drum-state.ts';
import type { WinchWork } from '../../moment/winch-work.ts';
import type { DriveFigures, DrumFigures, FitReport, HoldReport, WorkFigures } from './report.ts';

/** A field that is left out where it has no value. */
export function given<K extends string, V>(key: K, value: V | undefined): { readonly [P in K]?: V } {
  return (value === undefined ? {} : { [key]: value }) as { readonly [P in K]?: V };
}

export function drumFigures(drum: DrumReport | undefined): DrumFigures {
  if (drum === undefined || drum.kind === 'no-winch') return {};
  const pulls = {
    ratedN: drum.ratedN,
    greatestN: drum.greatestN,
    ...given('limitedBy', drum.limitedBy),
    ...given('lineOutM', drum.lineOutM),
  };
  if (drum.kind !== 'known') return pulls;
  return { ...pulls, layer: drum.layer, usableM: drum.usableM, wrapsLeft: drum.wrapsLeft, wrapsWanted: drum.wrapsWanted };
}

/** Every drive with its share of the planned pull and of the line-pull limit. */
export function driveFigures(assessment: Assessment, limitN: number | undefined): readonly DriveFigures[] {
  const { plannedPullN } = assessment;
  const work = new Map(assessment.work.map((entry) => [entry.drive, entry]));
  return assessment.drives.map((drive): DriveFigures => {
    const done = work.get(drive);
    return {
      ...drumFigures(drive.drum),
      lineId: drive.walk.line.id,
      kind: drive.kind,
      share: drive.share,
      ...given('ratedN', drive.ratedN),
      ...given('greatestN', drive.greatestN),
      ...given('plannedN', plannedPullN === undefined ? undefined : plannedPullN * drive.share),
      ...given('linePullLimitN', limitN === undefined ? undefined : limitN * drive.share),
      ...given('work', done && 'plan' in done ? workFigures(done.ropeM, done.plan) : undefined),
    };
  });
}

type Planned = Extract<WinchWork, { plan: unknown }>['plan'];

function workFigures(ropeM: number, plan: Planned): WorkFigures {
  if (plan.kind !== 'planned') return { ropeM, currentA: plan.currentA };
  const { bursts, minutes, firstBurstS, currentA, speedMPerS, hottestC, lowestChargeShare } = plan;
  return { ropeM, currentA, bursts, minutes, firstBurstS, speedMPerS, hottestC, ...given('lowestChargeShare', lowestChargeShare) };
}

export function holdReports({ holds, greatestPullN }: Assessment): readonly HoldReport[] {
  const pullAt = (share: number | undefined) => (share === undefined || greatestPullN === undefined ? undefined : share * greatestPullN);
  return holds.map(({ body, isLoad, backAnchorIds, planned, greatest, slidesFrom, tipsFrom }) => ({
    bodyId: body.id,
    isLoad,
    backAnchored: backAnchorIds.length > 0,
    ...given('plannedDemandN', planned?.demandN),
    ...given('plannedHoldN', planned?.holdN),
    ...given('plannedSlidesByN', planned?.slidesByN),
    ...given('greatestSlidesByN', greatest?.slidesByN),
    ...given('slidesFromN', pullAt(slidesFrom)),
    ...given('tipsFromN', pullAt(tipsFrom)),
    ...given('plannedTipping', planned?.tipping),
    ...given('greatestTipping', greatest?.tipping),
  }));
}

export function fitReports({ joints }: Assessment): readonly FitReport[] {
  return joints.map(({ kind, inner, outer, sizeM, openingM, fits }) => ({
    kind,
    innerUseId: inner.use.id,
    outerUseId: outer?.use.id,
    sizeM,
    openingM,
    fits,
  }));
}

/** The name of a drive as people say it. */
export function driveName({ kind, winch }: DriveReport): string {
  if (kind === 'winch') return winch ? `${winch.tag} ${winch.name}` : 'the winch';
  return kind === 'hand' ? 'the people at the rope' : 'the towing vehicle';
}
