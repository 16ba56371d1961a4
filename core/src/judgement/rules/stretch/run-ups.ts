import type { ResolvedRig } from '../../../resolved/resolved-rig.ts';
import type { RunUpPlan } from '../../../shock/attempts.ts';
import { runUpDrive, type TowDrive } from '../../../shock/run-up-setup.ts';
import type { Judged } from '../../ask/judged.ts';
import type { About } from '../../ask/told.ts';

/** The tow that is made with a run-up, where there is one. */
export const runUps = (rig: ResolvedRig): readonly TowDrive[] => {
  const drive = runUpDrive(rig);
  return drive ? [drive] : [];
};

export const aboutTow = ({ line }: TowDrive): About => ({ subject: { kind: 'strand', id: `${line.line.id}.0` } });

export const planOf = ({ runUp }: Judged): RunUpPlan | undefined => (runUp?.kind === 'planned' ? runUp.plan : undefined);
