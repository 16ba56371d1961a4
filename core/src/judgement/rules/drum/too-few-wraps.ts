import { ropePerTravel } from '../../../moment/winch-work.ts';
import { length, rich } from '../../../quantity/format.ts';
import { fallsShort } from '../../../quantity/tolerance.ts';
import { drumState } from '../../../winch/drum-layers.ts';
import { answerWinches, type Rule } from '../../rule.ts';

export const tooFewWraps: Rule = {
  code: 'too-few-wraps',
  severity: 'stop',
  softenable: false,
  why: 'The wraps on the drum hold the line, not its fixing; with too few it slips or tears off.',
  needs: 'drum and rope sizes, the layout, wraps to leave',
  check: (assessment) =>
    answerWinches(assessment, ({ drum }) => {
      if (drum.kind !== 'known') return undefined;
      const paidOutM = assessment.rig.purpose === 'lower' ? assessment.rig.load.travelM * Math.abs(ropePerTravel(assessment) ?? 0) : 0;
      const after = drumState(drum.drum, drum.lineOutM + paidOutM);
      const wraps = after?.wrapsLeft ?? 0;
      if (!fallsShort(wraps, drum.wrapsWanted)) return undefined;
      const when = paidOutM > 0 ? ' when it is down' : '';
      return {
        title: rich`Only ${wraps.toFixed(1)} wraps stay on the drum${when}`,
        detail: rich`${String(drum.wrapsWanted)} are asked for: ${length(drum.usableM)} of line may be out, and ${length(drum.lineOutM + paidOutM)} is${when}. Take a nearer anchor, or put an extension in the anchor leg.`,
      };
    }),
};
