import { rich } from '../../../quantity/format.ts';
import { actRule } from '../../ask/rule.ts';
import { itself, undecided, wholeRig } from '../../ask/speak.ts';

export const travelNotSaid = actRule({
  code: 'travel-not-said',
  severity: 'caution',
  softenable: false,
  why: 'How a pull ends depends on how far it goes.',
  needs: ['load.travel'],
  asks: 'How far does the load have to go?',
  subjects: wholeRig,
  about: itself,
  answer: ({ startOnly, rig }) => (startOnly === 'travel-not-said' ? undecided({ label: rig.load.body.label }) : undefined),
  title: ({ label }) => rich`How far does ${label} have to go until it is free?`,
  detail: () => rich``,
});
