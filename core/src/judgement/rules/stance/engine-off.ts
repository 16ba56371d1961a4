import { rich } from '../../../quantity/format.ts';
import { rigRule } from '../../ask/rule.ts';
import { found, itself, undecided, wholeRig, winchDrives } from '../../ask/speak.ts';
import type { Fix } from '../../ask/told.ts';

const states = (label: string, running: boolean): Fix => ({ kind: 'edits', label, edits: [{ kind: 'state-engine', engine: { running } }] });

export const engineOff = rigRule({
  code: 'engine-off',
  severity: 'fix',
  softenable: true,
  why: 'With the engine off the battery alone feeds the winch; a hydraulic winch does nothing at all.',
  needs: ['engine'],
  asks: 'Is the engine of the winching vehicle running?',
  subjects: (rig) => (winchDrives(rig).length > 0 ? wholeRig() : []),
  about: itself,
  answer: ({ rig: { engine } }) => {
    if (engine === undefined) return undecided({}, [states('It runs', true)]);
    return engine.running ? undefined : found({}, [states('It runs now', true)]);
  },
  title: () => rich`The engine is off`,
  detail: () => rich`Start it: the battery alone feeds an electric winch, and a hydraulic one does nothing.`,
  question: () => rich`Is the engine of the winching vehicle running?`,
});
