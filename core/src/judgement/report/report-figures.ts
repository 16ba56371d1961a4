import type { DrumState } from '../../moment/drum-state.ts';
import { breakingRatioAt, stopRatio, utilisationAt } from '../../moment/margins.ts';
import type { Moment } from '../../moment/moment.ts';
import { joinedSpan } from '../../moment/places.ts';
import type { WinchWork } from '../../moment/winch-work.ts';
import type { WorstOfPlace } from '../../pull/act.ts';
import { ownerPiece, type Place } from '../../resolved/place.ts';
import type { ResolvedRig } from '../../resolved/resolved-rig.ts';
import type { Judged } from '../ask/judged.ts';
import { ownerName, ownerSubject } from '../ask/speak.ts';
import type { DriveFigures, DrumFigures, FitReport, HoldReport, PlaceReport, WorkFigures, WorstFigures } from './report.ts';

export function drumFigures(drum: DrumState | undefined): DrumFigures {
  if (drum === undefined || drum.kind === 'no-winch') return {};
  const { ratedN, greatestN, limitedBy, lineOutM } = drum;
  if (drum.kind !== 'known') return { ratedN, greatestN, limitedBy, lineOutM };
  const { layer, usableM, wrapsLeft, wrapsWanted } = drum;
  return { ratedN, greatestN, limitedBy, lineOutM, layer, usableM, wrapsLeft, wrapsWanted };
}

/** Every drive with its share of the planned pull and of the line-pull limit. */
export function driveFigures({ start, work }: Judged, limitN: number | undefined): readonly DriveFigures[] {
  const { plannedPullN } = start;
  return start.drives.map((state): DriveFigures => {
    const { drive, share, drum, ratedN, greatestN } = state;
    const done = work.find((entry) => entry.state === state);
    return {
      ...drumFigures(drum),
      lineId: drive.line.line.id,
      kind: drive.kind,
      share,
      ratedN,
      greatestN,
      plannedN: plannedPullN === undefined ? undefined : plannedPullN * share,
      linePullLimitN: limitN === undefined ? undefined : limitN * share,
      work: done && 'plan' in done ? workFigures(done) : undefined,
    };
  });
}

function workFigures({ ropeM, plan }: Extract<WinchWork, { plan: unknown }>): WorkFigures {
  if (plan.kind !== 'planned') return { ropeM, currentA: plan.currentA };
  const { bursts, minutes, firstBurstS, currentA, speedMPerS, hottestC, lowestChargeShare } = plan;
  return { ropeM, currentA, bursts, minutes, firstBurstS, speedMPerS, hottestC, lowestChargeShare };
}

export function holdReports({ holds, greatestPullN }: Moment): readonly HoldReport[] {
  const pullAt = (share: number | undefined) => (share === undefined || greatestPullN === undefined ? undefined : share * greatestPullN);
  return holds.map(({ vehicle: { body, isLoad, ties }, planned, greatest, slidesFrom, tipsFrom }) => ({
    bodyId: body.id,
    isLoad,
    backAnchored: ties.length > 0,
    plannedDemandN: planned?.demandN,
    plannedHoldN: planned?.holdN,
    plannedSlidesByN: planned?.slidesByN,
    greatestSlidesByN: greatest?.slidesByN,
    slidesFromN: pullAt(slidesFrom),
    tipsFromN: pullAt(tipsFrom),
    plannedTipping: planned?.tipping,
    greatestTipping: greatest?.tipping,
  }));
}

export function fitReports({ fits }: ResolvedRig): readonly FitReport[] {
  return fits.map(({ kind, inner, outer, sizeM, openingM, fits: goes }) => ({
    kind,
    innerUseId: inner.use.id,
    outerUseId: outer?.use.id,
    sizeM,
    openingM,
    fits: goes,
  }));
}

/** Every place that is there, in load-path order. */
export function placeReports({ rig, start, places }: Judged): readonly PlaceReport[] {
  return rig.places.flatMap((place) => {
    const worst = places[place.index];
    const present = start.places.present[place.index] === 1;
    if (!present && worst?.planned === undefined && worst?.greatest === undefined) return [];
    return [{ ...placeReport(start, place), ...(worst && { worst: worstFigures(worst, place) }) }];
  });
}

/** A place where it is worst on the way; nothing where it never carries anything that is known. */
function worstFigures({ planned, greatest }: WorstOfPlace, place: Place): WorstFigures {
  const { index } = place;
  return {
    ...(planned && {
      plannedN: known(planned.places.plannedN[index]),
      wllN: known(planned.places.wllN[index]),
      utilisation: known(utilisationAt(planned, place)),
      plannedAtM: planned.travelM,
    }),
    ...(greatest && {
      greatestN: known(greatest.places.greatestN[index]),
      mbsN: known(greatest.places.mbsN[index]),
      breakingRatio: known(breakingRatioAt(greatest, place)),
      greatestAtM: greatest.travelM,
    }),
  };
}

const known = (value: number | undefined): number | undefined => (value === undefined || Number.isNaN(value) ? undefined : value);

function placeReport(moment: Moment, place: Place): PlaceReport {
  const { places, rig } = moment;
  const piece = ownerPiece(place);
  return {
    id: place.id,
    part: place.part,
    kind: place.kind,
    subject: ownerSubject(place),
    gearId: piece?.id,
    tag: piece?.tag,
    name: piece?.name ?? ownerName(place),
    where: whereOf(moment, place),
    plannedN: known(places.plannedN[place.index]),
    greatestN: known(places.greatestN[place.index]),
    wllN: known(places.wllN[place.index]),
    mbsN: known(places.mbsN[place.index]),
    utilisation: known(utilisationAt(moment, place)),
    breakingRatio: known(breakingRatioAt(moment, place)),
    stopRatio: stopRatio(rig, place),
    judged: place.judged,
    strands: spansOf(moment, place),
  };
}

/** Where on a piece a place is, in words; a drum with the layer that works. */
export function whereOf({ drives }: Moment, { strength, where }: Place): string {
  const drum = strength.kind === 'drum' ? drives[strength.drive.index]?.drum : undefined;
  return drum?.kind === 'known' ? `${where}, layer ${drum.layer}` : where;
}

/** The spans that pull at a place, numbered through all lines. */
function spansOf({ rig, balances }: Moment, { load, spans }: Place): readonly number[] {
  const line = 'line' in load ? rig.lines[load.line] : undefined;
  if (line === undefined || balances === undefined) return spans;
  switch (load.kind) {
    case 'span':
      return [line.firstSpan + load.span];
    case 'bend':
      return [line.firstSpan + load.span, line.firstSpan + load.span + 1];
    case 'joined':
      return [line.firstSpan + joinedSpan(line, load.order, balances.hauling)];
    default:
      return spans;
  }
}
