import { rich } from '../../../quantity/format.ts';
import { rigRule } from '../../ask/rule.ts';
import { aboutBody, found, winchDrives } from '../../ask/speak.ts';

export const wheelsHelp = rigRule({
  code: 'wheels-help',
  severity: 'caution',
  softenable: true,
  why: 'A vehicle that overtakes its own line runs over it, and then falls back into it with all its weight.',
  needs: ['load.drives', 'policy', 'line.way'],
  subjects: (rig) =>
    rig.rig.load.drivesAlong && winchDrives(rig).length > 0 && rig.policy.schools.wheelsHelp === 'never' ? [rig.load.body] : [],
  about: aboutBody,
  answer: ({ rig }, { label }) =>
    found({ label }, [
      { kind: 'edits', label: 'Let the winch do it all', edits: [{ kind: 'change-load', load: { ...rig.load, drivesAlong: false } }] },
    ]),
  title: ({ label }) => rich`${label} would drive along with the winch`,
  detail: () => rich`This team lets the winch do it all. Where wheels help, they turn slowly and never faster than the line.`,
});
