import { judge } from '../judgement/judge.ts';
import type { Policy } from '../policy/policy.ts';
import type { Case } from '../rig/case.ts';
import type { VehicleBody } from '../rig/rig.ts';
import { body, type Change, changed, load, person, point, policy, rig, withBody } from './changes.ts';
import { mark, piece } from './example-case.ts';

export const G = 9.80665;
export const DEGREE = Math.PI / 180;

/** A number of the policy, by its group and its name. */
export const set =
  <P extends 'limits' | 'sharing' | 'judging' | 'care' | 'hold' | 'electric' | 'hand' | 'respool' | 'runUp' | 'winch' | 'pull' | 'zones'>(
    group: P,
    name: keyof Policy[P],
  ) =>
  (value: number): Change =>
    policy((before) => ({ [group]: { ...before[group], [name]: { value, source: 'test' } } }));

/** A figure of what a rule says of the case. */
export const told =
  (code: string, figure: (data: Readonly<Record<string, number>>) => number, of?: string) =>
  (subject: Case): number => {
    const spoken = judge(subject).findings.find((entry) => entry.code === code && (of === undefined || entry.subject.id === of));
    if (spoken === undefined) throw new Error(`${code} is silent`);
    return figure(spoken.data as Readonly<Record<string, number>>);
  };
export const placed = (subject: Case, id: string) => {
  const found = judge(subject).places.find((entry) => entry.id === id);
  if (!found) throw new Error(`no place ${id}`);
  return found;
};

/**
 * Both vehicles on one line, east and west, the rope level half a metre up: from the fairlead at 2.3 m to the nose at 14.1 m lie
 * 11.8 m, of which a shackle takes 0.15 m and the end of the line 0.1 m. 7 354.99 N are planned.
 */
export const inLine = changed(
  body('heron', { headingRad: Math.PI / 2 }),
  body('otter', { headingRad: (3 * Math.PI) / 2, yM: 0 }),
  point('fairlead', { heightM: 0.5 }),
  point('nose', { leftM: 0 }),
);
export const ROPE_M = 11.55;
export const PLANNED_N = 7354.9875;
export const chosen = (pullN: number): Change => rig(() => ({ chosenPull: { pullN, person: 'Test', reason: 'load cell' } }));
export const standing: Change = load({ travelM: 0 });
export const single = { layout: 'single-line-to-a-vehicle', first: inLine } as const;
export const still = { layout: 'single-line-to-a-vehicle', first: changed(inLine, standing) } as const;
export const MUCH = [{ basis: 'mbs', forceN: 1e6 }];
export const helper = (xM: number, yM: number) => person('helper', xM, yM, { duty: 'helper' });
export const rock = (xM: number, yM: number): Change => withBody({ id: 'rock', kind: 'rock', label: 'Rock', xM, yM, diameterM: 0.6 });
export const heron = (subject: Case) => subject.rig.bodies.find(({ id }) => id === 'heron') as VehicleBody;
export const runUp = (speedMPerS: number, slackM: number): Change =>
  rig(({ lines }) => ({
    lines: lines.map((line) => (line.drive.kind === 'tow' ? { ...line, drive: { ...line.drive, runUp: { speedMPerS, slackM } } } : line)),
  }));
export const hook = (throatM: number) =>
  piece({
    id: 'HK-1',
    kind: 'winch-hook',
    marks: [mark('WLL 6 t'), mark('MBS 30 t')],
    attributes: { throatM, reachM: 0.12, latch: 'pin-locked' },
  });
export const mount = piece({
  id: 'RM-1',
  kind: 'receiver-mount',
  marks: [mark('WLL 5 t'), mark('MBS 20 t')],
  attributes: { receiverM: 0.05 },
});
