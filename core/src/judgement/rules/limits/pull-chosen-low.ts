import type { Effort } from '../../../effort/estimate-pull.ts';
import { force, rich } from '../../../quantity/format.ts';
import { fallsShort } from '../../../quantity/tolerance.ts';
import type { Rig } from '../../../rig/rig.ts';
import { holdsBack } from '../../../rig/site-geometry.ts';
import { rigRule } from '../../ask/rule.ts';
import { found, itself, wholeRig } from '../../ask/speak.ts';

export const pullChosenLow = rigRule({
  code: 'pull-chosen-low',
  severity: 'caution',
  softenable: false,
  why: 'A figure below every estimate makes a rig look stronger than it is.',
  needs: ['pull.chosen', 'situation', 'body.mass', 'ground.slope', 'load.task', 'purpose', 'policy'],
  subjects: wholeRig,
  about: itself,
  answer: ({ effort, rig }) => {
    if (rig.chosenPull === undefined || effort.kind !== 'estimated') return undefined;
    const { pullN, person } = rig.chosenPull;
    const lowN = lowEndN(effort, rig);
    return fallsShort(pullN, lowN)
      ? found({ person, pullN, lowN }, [
          { kind: 'edits', label: 'Go back to the estimate', edits: [{ kind: 'choose-pull', chosenPull: undefined }] },
        ])
      : undefined;
  },
  title: ({ pullN }) => rich`The chosen pull of ${force(pullN)} is below every estimate`,
  detail: ({ person, lowN }) =>
    rich`The lowest method gives ${force(lowN)}. Plan by it, or have ${person} say what was measured and with what.`,
});

/** The mildest of the estimates: of what is needed, or of what has to be held back where a rig holds. Newtons. */
const lowEndN = ({ lowN, highN }: Effort, rig: Rig): number => Math.max(0, holdsBack(rig) ? -highN : lowN);
