import { bendFactorAt, bendName } from '../../../moment/places.ts';
import { percent, rich } from '../../../quantity/format.ts';
import { LIMIT_TOLERANCE } from '../../../quantity/tolerance.ts';
import { momentRule } from '../../ask/rule.ts';
import { aboutPlace, found, ownerName, undecided } from '../../ask/speak.ts';

export const tightBend = momentRule({
  code: 'tight-bend',
  severity: 'caution',
  softenable: true,
  why: 'Rope bent tightly carries its load on its outer strands alone.',
  needs: ['use.piece', 'gear.treadDiameterM', 'gear.ropeDiameterM', 'line.way', 'line.edges', 'policy'],
  asks: 'How wide are rope and tread at this bend?',
  subjects: ({ places }) => places.filter(({ kind }) => kind === 'bend'),
  about: aboutPlace,
  margin: ({ rig, balances, places }, place) => {
    if (places.present[place.index] !== 1 || balances === undefined) return Number.POSITIVE_INFINITY;
    const { bend } = place;
    if (bend === undefined) return undefined;
    return bendFactorAt({ rig, bend, hauling: balances.hauling }) > rig.policy.judging.tightBend.value * (1 + LIMIT_TOLERANCE) ? 1 : -1;
  },
  answer: ({ rig, balances }, place) => {
    const { bend, where } = place;
    const name = ownerName(place);
    if (bend === undefined || balances === undefined) return undecided({ name, where, bend: '', share: 0 });
    return found({ name, where, bend: bendName(bend), share: bendFactorAt({ rig, bend, hauling: balances.hauling }) });
  },
  title: ({ name }) => rich`${name} is bent tightly`,
  detail: ({ where, bend, share }) => rich`At the ${where} (${bend}) ${percent(share)} of its strength is left. Use a wider ring or block.`,
  question: ({ where }) => rich`How wide are the rope and the tread at the ${where}? Without both the bend cannot be judged.`,
});
