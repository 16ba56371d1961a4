import { drumOf, plannedOf } from '../moment/drives.ts';
import type { Moment } from '../moment/moment.ts';
import { leftAbove, leftBelow } from '../quantity/tolerance.ts';
import type { ResolvedRig } from '../resolved/resolved-rig.ts';
import type { Margins } from './margins.ts';
import { contactM, obstacles } from './outlines.ts';
import { fittingsTowardsPulleys, nextStop, pulleysTowardsPulleys, roomM, splices, towardsFairleads } from './stops.ts';

/** What ends a pull. All but the first end it early, before the load is where it has to go. */
export const endKinds = [
  'travel-done',
  'upright',
  'no-balance',
  'pulls-no-longer',
  'stalls',
  'reaches-fairlead',
  'reaches-pulley',
  'blocks-meet',
  'splice-reaches',
  'load-touches',
  'wraps-run-out',
] as const;
export type EndKind = (typeof endKinds)[number];

/** What ends a pull, in words. */
export const endWords: { readonly [K in EndKind]: string } = {
  'travel-done': 'The load is where it has to go',
  upright: 'The load comes over its edge and stands up by itself',
  'no-balance': 'No balance of forces is found any more',
  'pulls-no-longer': 'The line no longer pulls the load the way it has to go',
  stalls: 'The winch stalls',
  'reaches-fairlead': 'A hook or pulley comes to the fairlead',
  'reaches-pulley': 'A fitting comes to a pulley',
  'blocks-meet': 'Two pulleys meet',
  'splice-reaches': 'A joint in the rope comes to a pulley or the fairlead',
  'load-touches': 'The load meets something in its way',
  'wraps-run-out': 'The wraps on the drum run down to those that must stay',
};

/** Whether a pull ended where it was meant to. */
export const isDone = (end: EndKind): boolean => end === 'travel-done' || end === 'upright';

/** What would end a pull early: margins of one kind. */
export interface Ending extends Margins {
  readonly kind: EndKind;
}

function ending<S>(kind: EndKind, subjects: readonly S[], margin: (moment: Moment, subject: S) => number): Ending {
  return { kind, count: subjects.length, at: (moment, index) => margin(moment, subjects[index] as S) };
}

/** Everything that can end the pull of a rig early. */
export function endingsOf(rig: ResolvedRig): readonly Ending[] {
  const { fairleadRoomM, sheaveRoomM, rimGapM } = rig.policy.pull;
  const winches = rig.winches;
  const all = [
    ending('no-balance', [rig], ({ failure }) => (failure === undefined ? 1 : -1)),
    ending('pulls-no-longer', [rig], ({ advantage, pullN, plannedPullN }) =>
      advantage === undefined || pullN === undefined || plannedPullN !== undefined ? 1 : -1,
    ),
    ending('stalls', winches, (moment, drive) => {
      const drum = drumOf(moment, drive);
      return drum.kind === 'no-winch' ? Number.NaN : leftBelow(plannedOf(moment, drive.index), drum.ratedN * drum.stallFactor);
    }),
    ending('reaches-fairlead', towardsFairleads(rig), (moment, approach) => leftAbove(roomM(moment, approach), fairleadRoomM.value)),
    ending('reaches-pulley', fittingsTowardsPulleys(rig), (moment, approach) => leftAbove(roomM(moment, approach), sheaveRoomM.value)),
    ending('blocks-meet', pulleysTowardsPulleys(rig), (moment, approach) => leftAbove(roomM(moment, approach), rimGapM.value)),
    ending('splice-reaches', splices(rig), (moment, splice) => spliceMargin(moment, splice)),
    ending('load-touches', obstacles(rig), contactM),
    // A rig that hauls takes rope in: too few wraps are told, but do not end it.
    ending('wraps-run-out', rig.rig.purpose === 'lower' ? winches : [], (moment, drive) => {
      const drum = drumOf(moment, drive);
      if (drum.kind === 'too-short') return -1;
      return drum.kind === 'known' ? leftAbove(drum.wrapsLeft, drum.wrapsWanted) : Number.NaN;
    }),
  ];
  return all.filter(({ count }) => count > 0);
}

/** What a joint has left before the stop that it is drawn to; below 0 within the room that is to stay. */
export function spliceMargin(moment: Moment, splice: Parameters<typeof nextStop>[1]): number {
  const { fairleadRoomM, sheaveRoomM } = moment.rig.policy.pull;
  const next = nextStop(moment, splice);
  return leftAbove(next.roomM, (next.fairlead ? fairleadRoomM : sheaveRoomM).value);
}
