import { drumLoad, drumOf, plannedOf } from '../../../moment/drives.ts';
import type { DrumState } from '../../../moment/drum-state.ts';
import { force, percent, rich } from '../../../quantity/format.ts';
import { exceeds, leftBelow } from '../../../quantity/tolerance.ts';
import { layerDiameterM } from '../../../winch/drum-layers.ts';
import { momentRule } from '../../ask/rule.ts';
import { aboutDrive, found, winchDrives } from '../../ask/speak.ts';
import { stallFacts } from '../../ask/winch-facts.ts';

export const winchOverRating = momentRule({
  code: 'winch-over-rating',
  severity: 'fix',
  softenable: false,
  unless: ['winch-stalls'],
  why: 'Beyond its rating a winch heats, drains the battery and may stall; on upper layers it pulls less.',
  needs: [...stallFacts, 'line.way', 'situation'],
  subjects: winchDrives,
  about: aboutDrive,
  margin: (moment, drive) => {
    const drum = drumOf(moment, drive);
    const share = drumLoad(moment, drive);
    // Beyond the stall another rule speaks.
    return drum.kind === 'no-winch' || exceeds(share, drum.stallFactor) ? Number.POSITIVE_INFINITY : leftBelow(share, 1);
  },
  answer: (moment, drive) => {
    const drum = drumOf(moment, drive);
    if (drum.kind === 'no-winch') return undefined;
    const plannedN = plannedOf(moment, drive.index);
    const layer = drum.kind === 'known' ? drum.layer : undefined;
    return found({ plannedN, ratedN: drum.ratedN, share: plannedN / drum.ratedN, layer, firstWouldDo: firstLayerWouldDo(drum, plannedN) });
  },
  title: () => rich`The winch is beyond its rating`,
  detail: ({ plannedN, ratedN, share, layer, firstWouldDo }) => {
    const advice = firstWouldDo
      ? 'On the first layer it would do: take more line out by a redirect, or add a part to the line.'
      : 'Take more line out, add a part to the line, or lower the pull first.';
    const on = layer === undefined ? '' : ` on layer ${layer}`;
    return rich`It must pull ${force(plannedN)}; rated${on} ${force(ratedN)}: ${percent(share)}. ${advice}`;
  },
});

/** Whether the pull is within the rating of the first layer though not of the working one. */
function firstLayerWouldDo(drum: DrumState, plannedN: number): boolean {
  if (drum.kind !== 'known' || drum.layer <= 1) return false;
  return !exceeds(plannedN, (drum.ratedN * layerDiameterM(drum.drum, drum.layer)) / layerDiameterM(drum.drum, 1));
}
