import { describe, expect, it } from 'vitest';
import { judge } from '../judgement/judge.ts';
import { momentAt } from '../moment/moment-at.ts';
import { resolveRig } from '../resolved/resolve-rig.ts';
import type { Case } from '../rig/case.ts';
import type { Body, Rig } from '../rig/rig.ts';
import { mark } from '../testing/example-case.ts';
import { layouts } from '../testing/layouts.ts';
import { closedFormPeakN } from './rope-train.ts';
import { planRunUp } from './run-up-plan.ts';

const layout = (file: string): Case => {
  const found = layouts.find((entry) => entry.file === file);
  if (!found) throw new Error(`no layout ${file}`);
  return found.build();
};
const stretch = layout('stretch-pull');
const withRig = (subject: Case, change: (rig: Rig) => Partial<Rig>): Case => ({
  ...subject,
  rig: { ...subject.rig, ...change(subject.rig) },
});
const runUp = (speedMPerS: number, slackM: number, attempts?: number): Case =>
  withRig(stretch, ({ lines }) => ({
    lines: lines.map((line) =>
      line.drive.kind === 'tow'
        ? { ...line, drive: { ...line.drive, runUp: { speedMPerS, slackM }, ...(attempts !== undefined && { attempts }) } }
        : line,
    ),
  }));
const heron = (change: object): Case =>
  withRig(stretch, ({ bodies }) => ({ bodies: bodies.map((body) => (body.id === 'heron' ? ({ ...body, ...change } as Body) : body)) }));
const planOf = (subject: Case) => {
  const outcome = planRunUp(momentAt(resolveRig(subject), { travelM: 0 }));
  if (outcome?.kind !== 'planned') throw new Error('not planned');
  return outcome.plan;
};
const KMH = 1 / 3.6;

describe('a pull with a run-up', () => {
  it('is judged at its peak, not at its steady pull: what a screen showed as 7 kN and 15 % is many times that', () => {
    const report = judge(stretch);
    const rope = report.places.find(({ id }) => id === 'line.rope.0:rope');
    expect(report.pullN).toBeLessThan(8000);
    expect(rope?.plannedN).toBeGreaterThan(40_000);
    expect(rope?.utilisation).toBeGreaterThan(0.95);
  });
  it.each([
    // A vehicle of 2,900 kg on its rope of 9 m: ½mv² = 11.2, 25.2, 44.8 kJ.
    [10, 26, 'watch'],
    [15, 43, 'watch'],
    [20, 61, 'stop'],
  ])('comes to at least the closed form: %i km/h, %i kN', (kmh, kilonewtons, verdict) => {
    const subject = runUp(kmh * KMH, 8);
    const [train] = planOf(subject).setup.trains;
    if (!train) throw new Error('no ropes');
    expect(Math.round(closedFormPeakN(train, 2900, kmh * KMH) / 1000)).toBe(kilonewtons);
    const report = judge(subject);
    expect(report.plannedPullN).toBeGreaterThanOrEqual(closedFormPeakN(train, 2900, kmh * KMH) * (1 - 1e-9));
    expect(report.verdict).toBe(verdict);
  });
  it('proposes the greatest speed whose peak just keeps every piece within its limit, and meets it within a thousandth', () => {
    const plan = planOf(stretch);
    expect(plan.boundBy).toBe('limit');
    const last = plan.attempts.at(-1);
    expect(last?.utilisation).toBeLessThanOrEqual(1);
    expect(last?.utilisation).toBeGreaterThan(0.999);
    expect(last?.breaking).toBeGreaterThanOrEqual(1.5);
    expect(plan.attempts.map(({ share }) => share)).toEqual([0.5, 0.75, 1]);
    expect(plan.beyond.share).toBeCloseTo(1.25, 12);
    expect(plan.beyond.verdict).toBe('stop');
    expect(judge(stretch).findings.map(({ code }) => code)).not.toContain('near-limit');
  });
  it('gives every attempt its slack, v² ÷ 2a, at 1.5 m/s²', () => {
    for (const { speedMPerS, slackM } of planOf(stretch).attempts) expect(slackM).toBeCloseTo((speedMPerS * speedMPerS) / 3, 9);
  });
  it('lowers the speed to what the rope laid back can give: 9 m less one, √(2 × 1.5 × 8) = 4.90 m/s', () => {
    const strong: Case = {
      ...stretch,
      gear: stretch.gear.map((facts) => ({ ...facts, marks: facts.marks.map(() => mark('MBS 60 t')) })),
    } as Case;
    const plan = planOf(strong);
    expect(plan.mostSlackM).toBeCloseTo(8, 9);
    expect(plan.boundBy).toBe('slack');
    expect(plan.proposedMPerS).toBeCloseTo(Math.sqrt(24), 6);
  });
  it('is bound by the greatest check where a piece breaks soon above its limit', () => {
    const brittle = {
      ...stretch,
      gear: stretch.gear.map((facts) => (facts.id === 'SS-A' ? { ...facts, marks: [mark('WLL 5 t'), mark('MBS 5.5 t')] } : facts)),
      policy: { ...stretch.policy, trustMarkedWll: true },
    } as Case;
    const plan = planOf(brittle);
    expect(plan.boundBy).toBe('breaking');
    expect(plan.attempts.at(-1)?.breaking).toBeGreaterThanOrEqual(1.5);
    expect(plan.attempts.at(-1)?.breaking).toBeLessThan(1.502);
  });
  it('runs up no faster than its wheels grip: on ice 0.1 g less rolling of 0.02 g', () => {
    const plan = planOf(heron({ stance: { ground: 'ice', brakes: 'none' } }));
    expect(plan.accelerationMPerS2).toBeCloseTo(0.08 * 9.80665, 6);
  });
  it('judges a chosen speed as chosen, says what it was told too much, and takes as many attempts as asked', () => {
    const report = judge(runUp(6, 8, 2));
    expect(report.runUp).toMatchObject({ chosen: true, slackM: 8 });
    expect(report.runUp?.attempts.map(({ share }) => share)).toEqual([0.5, 1]);
    expect(report.findings.map(({ code }) => code)).toEqual(
      expect.arrayContaining(['over-limit', 'run-up-too-fast', 'run-up-needs-slack']),
    );
    expect(report.findings.map(({ code }) => code)).not.toContain('run-up-proposed');
    expect(planOf(runUp(6, 8, 1)).attempts.map(({ share }) => share)).toEqual([1]);
  });
  it('takes an unstated mark for what pulls harder: as a working limit it is twice as stiff', () => {
    const unstated = {
      ...stretch,
      gear: stretch.gear.map((facts) => (facts.id === 'KR-A' ? { ...facts, marks: [mark('10 t')] } : facts)),
    } as Case;
    const plain = {
      ...unstated,
      gear: unstated.gear.map((facts) => (facts.id === 'KR-A' ? { ...facts, marks: [mark('MBS 10 t')] } : facts)),
    } as Case;
    const peak = (subject: Case) => planOf({ ...subject, rig: runUp(3, 8).rig }).attempts.at(-1)?.peakN ?? Number.NaN;
    expect(planOf(unstated).setup.trains).toHaveLength(2);
    expect(peak(unstated)).toBeGreaterThan(peak(plain) * 1.2);
  });
  it('shows gear that does not stretch with its peak after a metre of slack, and refuses it', () => {
    const still = {
      ...withRig(stretch, ({ lines }) => ({
        lines: lines.map((line) => ({ ...line, ropes: line.ropes.map((use) => ({ ...use, gearId: 'TR-1' })) })),
      })),
      gear: layout('static-tow').gear,
    };
    const report = judge(still);
    expect(report.verdict).toBe('stop');
    expect(report.findings.map(({ code }) => code)).toContain('static-with-run-up');
    // √(2 × 1.5 × 1) = 1.73 m/s.
    expect(report.runUp?.attempts.at(-1)?.speedMPerS).toBeCloseTo(Math.sqrt(3), 9);
    const [train] = planOf(still).setup.trains;
    if (!train) throw new Error('no ropes');
    expect(report.runUp?.attempts.at(-1)?.peakN).toBeGreaterThanOrEqual(closedFormPeakN(train, 2900, Math.sqrt(3)));
  });
  it('divides what holds the stuck vehicle by the cosine to its heading', () => {
    const turned = withRig(stretch, ({ bodies }) => ({
      bodies: bodies.map((body) =>
        body.id === 'otter' && body.kind === 'vehicle' ? { ...body, headingRad: body.headingRad + 0.4 } : body,
      ),
    }));
    const { stuck, offHeadingRad } = planOf(turned).setup;
    expect(stuck.breaksAwayN * Math.cos(offHeadingRad)).toBeCloseTo(judge(turned).pullN ?? Number.NaN, -2);
  });
});
