import { rich } from '../../../quantity/format.ts';
import { rigRule } from '../../ask/rule.ts';
import { aboutBody, found, winchDrives } from '../../ask/speak.ts';
import { operators } from './operators.ts';

export const operatorElsewhere = rigRule({
  code: 'operator-elsewhere',
  severity: 'note',
  softenable: true,
  why: 'A team that has agreed where the operator is finds them there when it matters.',
  needs: ['person.duty', 'person.shelter', 'policy'],
  subjects: (rig) => (winchDrives(rig).length > 0 && rig.policy.schools.operatorPlace !== 'as-asked' ? operators(rig) : []),
  about: aboutBody,
  answer: ({ policy }, { label, inVehicleId }) => {
    const cab = policy.schools.operatorPlace === 'cab';
    return cab === (inVehicleId !== undefined) ? undefined : found({ label, cab });
  },
  title: ({ label, cab }) => (cab ? rich`${label} should operate from the cab` : rich`${label} should operate from outside`),
  detail: ({ cab }) =>
    cab
      ? rich`By the team’s settings: behind the screen, with brake and steering at hand.`
      : rich`By the team’s settings: outside every circle and corridor, uphill of what may run.`,
});
