import type { LightestBag } from '@wainrope/core';
import { describe, expect, it, vi } from 'vitest';
import compoundFile from '../../../../demo/cases/compound-with-one-rope.json' with { type: 'json' };
import heldFile from '../../../../demo/cases/held-by-a-grip.json' with { type: 'json' };
import { caseOfFile } from '../../testing/case-of-file.ts';
import { judge } from '../../testing/judged.ts';
import { press, render } from '../../testing/render.tsx';
import { HandHauls } from './HandHauls.tsx';

const answer = vi.hoisted(() => ({ bag: undefined as unknown, asked: 0 }));
vi.mock('../../register/use-register.ts', () => ({ useRegister: () => ({ pieces: [] }) }));
vi.mock('../solver/questions.ts', () => ({
  useLightestBag: (subject: unknown) => {
    if (subject) answer.asked += 1;
    return { value: subject ? answer.bag : undefined, failed: false };
  },
}));

const held = caseOfFile(heldFile);
const compound = caseOfFile(compoundFile);
const far = { ...compound, rig: { ...compound.rig, load: { ...compound.rig.load, travelM: 6 } } };
const show = (subject: typeof held, apply = vi.fn()) =>
  render(<HandHauls rig={subject.rig} subject={subject} report={judge(subject)} apply={apply} locked={false} />);

const piece = (tag: string, massKg: number | undefined) => ({ gearId: tag, tag, name: 'rope', massKg });
const bag = (massKg: number, ...names: string[]) => ({
  pieces: [piece('HR-1', massKg), piece('SS-A', undefined)],
  massKg,
  unweighed: ['SS-A'],
  carriers: names.map((name) => ({ name, pieces: [piece('HR-1', massKg)], massKg })),
  verdict: 'watch' as const,
});

describe('a haul by hand', () => {
  it('says who pulls, how much rope is needed, and what holds the load when hands let go', async () => {
    const box = await show(held);
    expect(box.querySelector('[data-people]')?.textContent).toContain('6, 2 needed');
    expect(box.textContent).toContain('32.2 m of 60.0 m');
    expect(box.textContent).toContain('by PL-A');
    expect((await show(compound)).textContent).toContain('by nothing');
  });
  it('tells each throw by where it ends, and how often grips are moved back', async () => {
    const { throws } = judge(far).pull.hands[0] ?? { throws: [] };
    expect(throws.length).toBeGreaterThan(1);
    const words = (await show(far)).querySelector('[data-throws]')?.textContent;
    expect(words).toContain(`${throws.length} · grips moved back`);
    expect(words).toContain(`${throws[0]?.toM.toFixed(1)} m`);
  });
  it('has too few people stand out', async () => {
    const one = {
      ...held,
      rig: { ...held.rig, bodies: held.rig.bodies.map((body) => (body.kind === 'crew' ? { ...body, people: 1 } : body)) },
    };
    const few = (await show(one)).querySelector('[data-people]');
    expect([few?.className, few?.textContent]).toEqual([expect.stringContaining('text-rust'), expect.stringContaining('1, but 2 needed')]);
    expect((await show(held)).querySelector('[data-people]')?.className).not.toContain('text-rust');
  });
});

describe('the lightest bag', () => {
  const found: LightestBag = {
    now: bag(18, 'Mirren Quaile'),
    lightest: bag(15.1, 'Mirren Quaile', ''),
    edits: [{ kind: 'choose-piece', useId: 'line.rope.0', gearId: 'HR-2' }],
    without: [],
    trials: 3,
    isWhole: true,
  };
  it('is asked for, told with who carries what, and taken by a touch', async () => {
    answer.bag = found;
    const apply = vi.fn();
    const box = await show(held, apply);
    expect(answer.asked).toBe(0);
    await press(box, 'Find the lightest bag');
    const words = box.querySelector('[data-bag]')?.textContent ?? '';
    expect(words).toContain('The lightest bag that does it, 15.1 kg and 1 not weighed: Watch');
    expect(words).toContain('2.9 kg less than now');
    expect(words).toContain('Mirren Quaile: HR-1');
    expect(words).toContain('Hand 2: HR-1');
    expect(words).toContain('Not weighed: SS-A.');
    await press(box, 'Use these pieces');
    expect(apply).toHaveBeenCalledWith(found.edits);
  });
  it('says from where a bag is too heavy for one: above 15 kg, not at them', async () => {
    answer.bag = { ...found, lightest: bag(15, 'Mirren Quaile') };
    const at = await show(held);
    await press(at, 'Find the lightest bag');
    expect(at.querySelector('[data-bag]')?.textContent).not.toContain('over 15');
    answer.bag = found;
    const above = await show(held);
    await press(above, 'Find the lightest bag');
    expect(above.querySelector('[data-bag]')?.textContent).toContain('over 15.0 kg');
  });
  it('says that it gave up before everything was tried', async () => {
    answer.bag = { ...found, isWhole: false };
    const box = await show(held);
    await press(box, 'Find the lightest bag');
    expect(box.querySelector('[data-bag]')?.textContent).toContain('there may be something lighter');
    expect(box.querySelector('[data-bag]')?.textContent).not.toContain('No single piece');
  });
  it('says that nothing holds, and that nothing is lighter', async () => {
    answer.bag = { now: bag(18), without: ['at-oak.0'], trials: 5, isWhole: true };
    const none = await show(held);
    await press(none, 'Find the lightest bag');
    expect(none.querySelector('[data-bag]')?.textContent).toContain('nothing that holds in place of TS-A tree strap');
    answer.bag = { ...found, lightest: bag(18), edits: [] };
    const same = await show(held);
    await press(same, 'Find the lightest bag');
    expect(same.querySelector('[data-bag]')?.textContent).toContain('No single piece of known weight can be exchanged for a lighter one.');
    expect(same.querySelector('[data-bag]')?.textContent).toContain('Nobody is there to carry it');
  });
});
