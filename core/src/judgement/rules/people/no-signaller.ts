import { rich } from '../../../quantity/format.ts';
import { notFound, type Rule, rigSubject } from '../../rule.ts';

export const noSignaller: Rule = {
  code: 'no-signaller',
  severity: 'note',
  softenable: true,
  why: 'When everyone signals, nobody is obeyed.',
  needs: 'people on the site',
  check: ({ rig }) => {
    const people = rig.bodies.filter((body) => body.kind === 'person');
    if (people.length === 0 || people.some(({ duty }) => duty === 'signaller')) return [notFound(rigSubject)];
    return [
      {
        kind: 'found',
        subject: rigSubject,
        title: rich`Nobody is named to signal`,
        detail: rich`One person signals, seen by the operator and the driver; anybody may call a stop.`,
      },
    ];
  },
};
