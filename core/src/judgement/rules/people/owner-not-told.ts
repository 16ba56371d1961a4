import { rich } from '../../../quantity/format.ts';
import { rigRule } from '../../ask/rule.ts';
import { itself, ticked, wholeRig, winchDrives } from '../../ask/speak.ts';

export const ownerNotTold = rigRule({
  code: 'owner-not-told',
  severity: 'fix',
  softenable: true,
  why: 'Damage is likely enough that its owner must have agreed to the risk first.',
  needs: ['answers', 'purpose'],
  asks: 'Has the owner been told of the risks and agreed?',
  subjects: (rig) => {
    const recoversItself = winchDrives(rig).some(({ on }) => on === rig.load.on);
    return rig.load.body.kind === 'vehicle' && !recoversItself && rig.rig.purpose !== 'respool' ? wholeRig() : [];
  },
  about: itself,
  answer: (rig) => ticked(rig, 'owner-not-told.rig', {}),
  title: () => rich`The owner has not been told`,
  detail: () => rich`Tell the owner what may break and who decides; write down the name and the time.`,
  question: () => rich`Has the owner of the stuck vehicle been told of the risks and agreed?`,
});
