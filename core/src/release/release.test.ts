import { describe, expect, it } from 'vitest';
import { ropeLawOf } from '../gear/traits.ts';
import { judgedStart } from '../judgement/judge.ts';
import type { Moment } from '../moment/moment.ts';
import { momentAt } from '../moment/moment-at.ts';
import { teamStandard } from '../policy/team-standard.ts';
import { resolveRig } from '../resolved/resolve-rig.ts';
import type { Case } from '../rig/case.ts';
import { mark, piece } from '../testing/example-case.ts';
import { layouts } from '../testing/layouts.ts';
import { lanyardStrength } from './lanyards.ts';
import { nominalStrengthN, stretchesOf } from './what-leaves.ts';

const layout = (file: string): Case => {
  const found = layouts.find((entry) => entry.file === file);
  if (!found) throw new Error(`no layout ${file}`);
  return found.build();
};
const start = (subject: Case): Moment => momentAt(resolveRig(subject), { travelM: 0 });
const TONNE = 9806.65;

describe('what leaves if a line parts', () => {
  it('takes the strength by which a rope’s stiffness goes from its highest mark, the largest reading, a basket halved', () => {
    const rope = (...texts: readonly string[]) =>
      piece({ id: 'L', kind: 'winch-line-synthetic', marks: texts.map((text) => mark(text)), attributes: {} });
    expect(nominalStrengthN(rope('MBS 8 t', 'MBS 9 t'))).toBeCloseTo(9 * TONNE, 3);
    expect(nominalStrengthN(rope('MBS basket 24 t'))).toBeCloseTo(12 * TONNE, 3);
    expect(nominalStrengthN(rope('WLL 2 t'))).toBeUndefined();
    expect(nominalStrengthN(rope())).toBeUndefined();
  });
  it('adds up the energy of all strands, each by its own law: E = MBS L ε p/(p + 1) s^((p + 1)/p)… as the rope tables give it', () => {
    const moment = start(layout('single-line-to-an-anchor'));
    const [broken] = judgedStart(layout('single-line-to-an-anchor')).release.breaks;
    const state = moment.states.greatest[0];
    const [line] = moment.rig.lines;
    if (!state || !line || !broken) throw new Error('not solved');
    const stretches = stretchesOf(line, state) ?? [];
    expect(stretches).toHaveLength(1);
    const [only] = stretches;
    expect(only?.tensionN).toBeCloseTo(state.scale, 6);
    // A straight line: what lies out is what the span is long.
    expect(only?.lengthM).toBeCloseTo(moment.shown?.balance.forces.spanLengthsM[0] ?? Number.NaN, 9);
    expect(broken.energyJ).toBeGreaterThan(0);
    expect(broken.stretchM).toBeGreaterThan(0);
  });
  it('is not told as a number where a rope has no strength on record, nor its mass where a piece has none', () => {
    const subject = layout('single-line-to-an-anchor');
    const unmarked = {
      ...subject,
      gear: subject.gear.map((facts) => (facts.kind === 'winch-line-synthetic' ? { ...facts, marks: [] } : facts)),
    };
    const [broken] = judgedStart(unmarked as Case).release.breaks;
    expect(broken).toBeDefined();
    expect(broken).not.toHaveProperty('energyJ');
    for (const flight of broken?.flights ?? []) expect(flight).not.toHaveProperty('momentumNs');
  });
  it('goes along the strand, away from the break', () => {
    const moment = start(layout('single-line-to-an-anchor'));
    const [flight] = judgedStart(layout('single-line-to-an-anchor')).release.breaks[0]?.flights ?? [];
    const tip = moment.shown?.balance.equilibrium.positions[0];
    if (!flight || !tip) throw new Error('nothing flies');
    expect(Math.hypot(flight.along.x, flight.along.y, flight.along.z)).toBeCloseTo(1, 9);
  });
});

describe('a lanyard', () => {
  const subject = layout('lanyard-to-a-fixed-anchor');
  it('is loaded up to the force at which its own stretch has taken up the energy of what it holds', () => {
    const act = judgedStart(subject);
    const { breaks } = act.release;
    const [lanyard] = act.rig.lanyards;
    if (!lanyard) throw new Error('no lanyard');
    const { arrestN, breaksN } = lanyardStrength(lanyard, breaks, act.rig);
    if (arrestN === undefined || breaksN === undefined || !lanyard.piece) throw new Error('not on record');
    // Back again: the energy under that force by its law, E = MBS·L·ε·s^((p + 1)/p)/(p + 1), is the piece's share of the line's.
    const kind = ropeLawOf(lanyard.piece);
    if (!kind) throw new Error('it does not stretch');
    const { exponent: p, elongation } = teamStandard.stretch.laws[kind];
    const lengthM = (lanyard.piece.attributes as { lengthM?: number }).lengthM ?? Number.NaN;
    const heldJ = (breaksN * lengthM * elongation * (arrestN / breaksN) ** ((p + 1) / p)) / (p + 1);
    const energies = breaks.map(({ energyJ = 0 }) => energyJ);
    expect(heldJ).toBeGreaterThan(0);
    expect(heldJ).toBeLessThanOrEqual(Math.max(...energies) * 1.000001);
  });
  it('twice as strong takes it up with more force, since it gives less', () => {
    const strength = (factor: number) => {
      const gear = subject.gear.map((facts) => {
        const own = subject.rig.lanyards?.some(({ gearId }) => gearId === facts.id);
        const marks = facts.marks.map((entry) => ({
          ...entry,
          readings: entry.readings.map((one) => ({ ...one, forceN: one.forceN * factor })),
        }));
        return own ? { ...facts, marks } : facts;
      });
      const act = judgedStart({ ...subject, gear } as Case);
      const [lanyard] = act.rig.lanyards;
      return lanyard ? lanyardStrength(lanyard, act.release.breaks, act.rig) : undefined;
    };
    expect(strength(2)?.breaksN).toBeCloseTo(2 * (strength(1)?.breaksN ?? Number.NaN), 6);
    expect(strength(2)?.arrestN).toBeGreaterThan(strength(1)?.arrestN ?? Number.NaN);
  });
});
