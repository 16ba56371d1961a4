import { force, percent, rich } from '../../../quantity/format.ts';
import { exceeds } from '../../../quantity/tolerance.ts';
import { layerDiameterM } from '../../../winch/drum-layers.ts';
import { answerWinches, type Rule } from '../../rule.ts';

export const winchOverRating: Rule = {
  code: 'winch-over-rating',
  severity: 'fix',
  softenable: false,
  why: 'Beyond its rating a winch heats, drains the battery and may stall; on upper layers it pulls less.',
  needs: 'planned line pull, rated pull on the working layer',
  check: (assessment) =>
    answerWinches(assessment, ({ drum, plannedN }) => {
      if (drum.kind === 'no-winch' || plannedN === undefined) return undefined;
      const load = plannedN / drum.ratedN;
      if (!exceeds(load, 1) || exceeds(load, drum.stallFactor)) return undefined;
      const layer = drum.kind === 'known' ? ` on layer ${drum.layer}` : '';
      const lower =
        drum.kind === 'known' &&
        drum.layer > 1 &&
        !exceeds(plannedN, (drum.ratedN * layerDiameterM(drum.drum, drum.layer)) / layerDiameterM(drum.drum, 1));
      const advice = lower
        ? 'On the first layer it would do: take more line out by a redirect, or add a part to the line.'
        : 'Take more line out, add a part to the line, or lower the pull first.';
      return {
        title: rich`The winch is beyond its rating`,
        detail: rich`It must pull ${force(plannedN)}; rated${layer} ${force(drum.ratedN)}: ${percent(load)}. ${advice}`,
      };
    }),
};
