import { formatFigure, layOnSite, layouts, readRigFile, type Schools, teamStandard } from '@wainrope/core';
import { describe, expect, it } from 'vitest';
import hollow from '../../../../demo/plans/sand-hollow-stretch-pull.json' with { type: 'json' };
import { judge } from '../../testing/judged.ts';
import { cardSteps } from './card-steps.ts';

const stepsOf = (id: string, schools: Partial<Schools> = {}): string => {
  const layout = layouts.find((entry) => entry.id === id);
  if (!layout) throw new Error(`no layout ${id}`);
  const rig = layOnSite(layout, undefined, {});
  return cardSteps({
    rig,
    report: { drives: [] },
    schools: { ...teamStandard.schools, ...schools },
    figure: (figure) => formatFigure(figure, 'kN'),
  }).join('\n');
};
const HELD = 'out of gear, all brakes on, wheels chocked';
const FREE = 'brakes released';

describe('the steps on the card', () => {
  it.each(['single-line-to-an-anchor', 'double-line-self-recovery', 'compound-by-winch'])(
    '%s: a vehicle that pulls itself is never told to be held while it pulls',
    (id) => {
      expect(stepsOf(id)).not.toContain(HELD);
      expect(stepsOf(id)).toContain(FREE);
    },
  );
  it.each(['single-line-to-a-vehicle', 'redirect-plus-double', 'back-anchored-to-a-tree'])(
    '%s: the vehicle that winches is held by all it has, the stuck one rolls',
    (id) => {
      expect(stepsOf(id)).toContain(HELD);
      expect(stepsOf(id)).toContain('Otter: chocked and braked while the rig is built. For the pull out of gear, brakes released');
    },
  );
  it('tie back first where something is tied back', () => {
    const steps = stepsOf('back-anchored-to-a-tree');
    expect(steps.indexOf('Tie the winching vehicle back')).toBeLessThan(steps.indexOf('Build from the anchors'));
  });
  it('keep a steady tow steady, and a stretch rope to three attempts', () => {
    expect(stepsOf('static-tow')).toContain('no run-up');
    expect(stepsOf('stretch-pull')).toContain('No run-up before it is known what it comes to');
    const file = readRigFile(hollow);
    if (!file.ok) throw new Error('the demo plan is not read');
    const subject = file.value;
    const steps = cardSteps({
      rig: subject.case.rig,
      report: judge(subject.case),
      schools: subject.case.policy.schools,
      figure: (figure) => formatFigure(figure, 'kN'),
    }).join('\n');
    expect(steps).toMatch(/3 rising attempts, never faster than 1\d\.\d km\/h with \d\.\d m of slack; 5 minutes of rest/);
    for (const id of ['static-tow', 'stretch-pull']) expect(stepsOf(id)).not.toContain('Free-spool');
  });
  it('take the last metre in by pulses and the power off in order where a winch spools, and only there', () => {
    for (const id of ['single-line-to-an-anchor', 'back-anchored-to-a-tree']) {
      expect(stepsOf(id)).toContain('The last metre onto the drum in short pulses');
      expect(stepsOf(id)).toContain('Then the lead out, and the winch isolated.');
    }
    expect(stepsOf('lowering-down-a-slope')).not.toContain('The last metre onto the drum');
    expect(stepsOf('static-tow')).not.toContain('The last metre');
    expect(stepsOf('compound-by-hand')).not.toContain('the lead out');
  });
  it('begin with gloves on and end with what is put back', () => {
    const steps = stepsOf('triple-line').split('\n');
    expect(steps[0]).toContain('Gloves and eye protection on.');
    expect(steps.at(-1)).toContain('Count every piece back.');
  });
  it('never let go of what is held or lowered', () => {
    expect(stepsOf('lowering-down-a-slope')).toContain('never in free spool');
    for (const id of ['lowering-down-a-slope', 'holding-on-a-slope']) {
      expect(stepsOf(id)).not.toContain(FREE);
      expect(stepsOf(id)).toContain('until the line holds it');
    }
  });
  it('send no vehicle rolling that lies on its side, and wrap no rope round a hand', () => {
    expect(stepsOf('righting')).not.toContain(FREE);
    expect(stepsOf('compound-by-hand')).toContain('nobody wraps a rope round a hand');
  });
  it.each([
    ['pinBackOff', 'quarter-turn', 'then back a quarter of a turn'],
    ['winchHeldBy', 'park-and-brakes', 'never park alone'],
    ['stuckDriver', 'drives-at-once', 'driving gently from first tension'],
    ['stuckDriver', 'drives-once-risen', 'once it has risen'],
    ['dampers', 'one-a-line', 'Hang a damper on every line'],
    ['damperPlace', 'mid-leg', 'half-way along it'],
  ] as const)('say what the team holds with: %s %s', (school, way, words) => {
    expect(stepsOf('single-line-to-a-vehicle')).not.toContain(words);
    expect(stepsOf('single-line-to-a-vehicle', { [school]: way })).toContain(words);
  });
});
