import userEvent from '@testing-library/user-event';
import type { VehicleView } from '@wainrope/contract';
import { applyEdit, type Edit, type GearFacts, layouts, plainEdges, type Rig } from '@wainrope/core';
import { act } from 'react';
import { beforeAll, describe, expect, it, vi } from 'vitest';
import type { RegisterPiece } from '../../register/use-register.ts';
import { choose } from '../../testing/choose.ts';
import { press, render, type } from '../../testing/render.tsx';
import { VehicleFigures } from '../site/VehicleFigures.tsx';
import { DriveFields } from './DriveFields.tsx';
import { EdgeFields } from './EdgeFields.tsx';
import { TaskFields } from './TaskFields.tsx';
import { ToolFields } from './ToolFields.tsx';
import { UseFields } from './UseFields.tsx';

beforeAll(() => {
  vi.stubGlobal('matchMedia', () => ({ matches: false, addEventListener: () => undefined, removeEventListener: () => undefined }));
});

const touched = {
  entryId: 'e-1',
  model: 'Crew truck',
  kind: 'touched',
  place: 'Lower edge of the cross-member',
  forwardM: 1.6,
  heightM: 0.42,
  radiusM: 0.012,
};
const book = [
  touched,
  { ...touched, entryId: 'e-2', model: 'Field wagon', place: 'Sump guard' },
  { ...touched, entryId: 'e-3', kind: 'used', place: 'Tow hook' },
];
vi.mock('../../api/wainrope-api.ts', async (original) => ({
  ...(await original<typeof import('../../api/wainrope-api.ts')>()),
  useGetHookUpBookQuery: () => ({ data: { items: book } }),
}));

const laid = (id: string): Rig => {
  const layout = layouts.find((entry) => entry.id === id);
  if (!layout) throw new Error(`no layout ${id}`);
  return layout.build().rig;
};

/** Collects what is applied and keeps the rig as it would stand then. */
function doer(before: Rig) {
  const state = { rig: before };
  const apply = (edits: readonly Edit[]) => {
    state.rig = edits.reduce((now, edit) => applyEdit(now, edit).rig, state.rig);
  };
  return { state, apply };
}

async function tick(box: HTMLElement, label: string): Promise<void> {
  const words = [...box.querySelectorAll('label')].find((entry) => entry.textContent?.includes(label));
  const field = words && box.querySelector<HTMLElement>(`[role="switch"][aria-labelledby~="${words.id}"]`);
  if (!field) throw new Error(`no switch “${label}”`);
  await act(async () => field.click());
}

describe('what the line touches', () => {
  const rig = laid('led-under-the-vehicle');
  it('is written part by part, with its surface and radius, and taken off again', async () => {
    const { state, apply } = doer(rig);
    const box = await render(<EdgeFields rig={rig} vehicles={[]} apply={apply} />);
    await press(box, 'It touches a part of Heron');
    expect(plainEdges(state.rig).map(({ point, bend }) => [point.label, bend.radiusM])).toEqual([
      ['the fairlead’s lower lip', 0.04],
      ['A part of Heron', undefined],
    ]);
    const again = doer(state.rig);
    const more = await render(<EdgeFields rig={state.rig} vehicles={[]} apply={again.apply} />);
    await choose(userEvent.setup(), 'Rope on what', 'wire on rollers', more);
    await type(more, 'Radius', '12.5');
    expect(plainEdges(again.state.rig)[0]?.bend).toMatchObject({ radiusM: 0.0125 });
    await type(more, 'Radius', '0.4');
    expect(more.textContent).toContain('Expected 0.5 to 2000 mm.');
    expect(plainEdges(again.state.rig)[0]?.bend.radiusM).toBe(0.0125);
    await press(more, 'Not touched');
    expect(plainEdges(again.state.rig).map(({ point }) => point.label)).toEqual(['A part of Heron']);
  });
  it('is offered by the hook-up book for the model alone, once', async () => {
    const own: Rig = { ...rig, bodies: rig.bodies.map((body) => (body.kind === 'vehicle' ? { ...body, vehicleId: 'v-1' } : body)) };
    const { state, apply } = doer(own);
    const vehicles = [{ vehicleId: 'v-1', name: 'Heron', model: 'crew truck' }] as unknown as readonly VehicleView[];
    const box = await render(<EdgeFields rig={own} vehicles={vehicles} apply={apply} />);
    expect([...box.querySelectorAll('[data-touched]')].map(({ textContent }) => textContent)).toEqual([
      'It touches: Lower edge of the cross-member, radius 12.0 mm',
    ]);
    await press(box, 'It touches: Lower edge of the cross-member, radius 12.0 mm');
    expect(plainEdges(state.rig).at(-1)).toMatchObject({
      bend: { radiusM: 0.012 },
      point: { label: 'Lower edge of the cross-member', place: { forwardM: 1.6, leftM: 0, heightM: 0.42 } },
    });
    const again = await render(<EdgeFields rig={state.rig} vehicles={vehicles} apply={apply} />);
    expect(again.querySelectorAll('[data-touched]')).toHaveLength(0);
  });
  it('is not asked where nothing is driven from a vehicle', async () => {
    const bare: Rig = { ...rig, lines: [], points: [], chains: [] };
    expect((await render(<EdgeFields rig={bare} vehicles={[]} apply={() => undefined} />)).textContent).toBe('');
  });
});

describe('what drives the lines', () => {
  it('faces a way that somebody states, or as its record says', async () => {
    const { state, apply } = doer(laid('single-line-to-an-anchor'));
    await render(<DriveFields rig={state.rig} actor="Mirren Quaile" apply={apply} />);
    await choose(userEvent.setup(), 'The winch faces', 'astern');
    expect(state.rig.lines[0]?.drive).toMatchObject({ faces: 'astern' });
  });
  it('shares the pull as somebody states, and goes back to its ratings', async () => {
    const { state, apply } = doer(laid('two-winches'));
    const box = await render(<DriveFields rig={state.rig} actor="Mirren Quaile" apply={apply} />);
    const [first] = state.rig.lines;
    expect([...box.querySelectorAll('label')].map(({ textContent }) => textContent?.replace(/ ?faces.*| ?parts.*/, ''))).toEqual([
      'The winch of Heron',
      'The winch of Badger',
      'Share of Heron',
      'Share of Badger',
    ]);
    await type(box, 'Share of Heron', '70');
    expect(state.rig.sharing).toMatchObject({ statedBy: 'Mirren Quaile', shares: [{ lineId: first?.id, share: 70 }, { share: 50 }] });
    const stated = await render(<DriveFields rig={state.rig} actor="Mirren Quaile" apply={apply} />);
    await press(stated, 'Back to their ratings');
    expect(state.rig.sharing).toBeUndefined();
  });
});

describe('the figures of a task', () => {
  it('set upright: bearing, lever and height of the line', async () => {
    const { state, apply } = doer(laid('righting'));
    const box = await render(<TaskFields rig={state.rig} apply={apply} />);
    await type(box, 'Lever of its weight', '0.9');
    expect(state.rig.load.task).toMatchObject({ kind: 'right', leverM: 0.9 });
    const next = await render(<TaskFields rig={state.rig} apply={apply} />);
    await type(next, 'Towards', '90');
    expect(state.rig.load.task).toMatchObject({ bearingRad: Math.PI / 2, leverM: 0.9 });
  });
  it('drawn up a deck: its ramp, up to 45°', async () => {
    const { state, apply } = doer(laid('loading-on-a-deck'));
    const box = await render(<TaskFields rig={state.rig} apply={apply} />);
    await type(box, 'Slope of the ramp', '46');
    expect(box.textContent).toContain('Expected 0 to 45 °.');
    await type(box, 'Slope of the ramp', '45');
    expect(state.rig.load.task).toEqual({ kind: 'deck', rampRad: Math.PI / 4 });
  });
});

describe('how a piece lies, and what a point is', () => {
  const said = { person: 'Mirren Quaile', on: '2026-06-01' };
  const rig = laid('single-line-to-a-vehicle');
  const chain = rig.chains.find(({ pieces }) => pieces.some(({ role }) => role === 'point'));
  const point = chain?.pieces.find(({ role }) => role === 'point');
  if (!point) throw new Error('no point');
  const { gearId: _, ...unregistered } = point;
  it('names a last resort with who said so and who agreed', async () => {
    const { state, apply } = doer({
      ...rig,
      chains: rig.chains.map((own) => ({ ...own, pieces: own.pieces.map((use) => (use.id === point.id ? unregistered : use)) })),
    });
    const usedNow = () => state.rig.chains.flatMap(({ pieces }) => pieces).find(({ id }) => id === point.id) ?? unregistered;
    const box = await render(<UseFields use={unregistered} facts={undefined} said={said} apply={apply} />);
    await tick(box, 'A last resort');
    expect(usedNow().named).toEqual({ lastResort: true, ...said });
    const named = await render(<UseFields use={usedNow()} facts={undefined} said={said} apply={apply} />);
    expect(named.textContent).toContain('Said by Mirren Quaile on Jun 1, 2026');
    await type(named, 'Who of the owner’s side', 'Their driver');
    expect(usedNow().named).toMatchObject({ agreedBy: 'Their driver' });
  });
});

describe('what a vehicle’s papers say', () => {
  it('is entered, refused out of range, and emptied', async () => {
    const start = laid('single-line-to-a-vehicle');
    const { state, apply } = doer(start);
    const bodyNow = () => {
      const body = state.rig.bodies.find(({ kind }) => kind === 'vehicle');
      if (body?.kind !== 'vehicle') throw new Error('no vehicle');
      return body;
    };
    const box = await render(<VehicleFigures body={bodyNow()} apply={apply} />);
    await type(box, 'Hitch receiver', '51');
    expect(bodyNow().receiverM).toBeCloseTo(0.051, 12);
    await type(box, 'Mass on its front axle', '101');
    expect(bodyNow().frontShare).toBeUndefined();
    const next = await render(<VehicleFigures body={bodyNow()} apply={apply} />);
    await type(next, 'Mass on its front axle', '55');
    expect(bodyNow().frontShare).toBeCloseTo(0.55, 12);
    const last = await render(<VehicleFigures body={bodyNow()} apply={apply} />);
    await type(last, 'Hitch receiver', '');
    expect(bodyNow()).not.toHaveProperty('receiverM');
  });
});

describe('tools used on the spot', () => {
  const piece = (id: string, kind: GearFacts['kind']) =>
    ({
      facts: { id, kind, tag: id, name: id, attributes: {}, marks: [] },
      gear: { gearId: id, tag: id, name: id },
    }) as unknown as RegisterPiece;
  it('are ticked and unticked; what lifts nothing is not offered', async () => {
    const { state, apply } = doer(laid('single-line-to-an-anchor'));
    const pieces = [piece('JK-1', 'lifting-jack'), piece('SS-1', 'soft-shackle')];
    const box = await render(<ToolFields rig={state.rig} pieces={pieces} apply={apply} />);
    expect(box.textContent).not.toContain('SS-1');
    await tick(box, 'JK-1');
    expect(state.rig.tools).toEqual(['JK-1']);
    const again = await render(<ToolFields rig={state.rig} pieces={pieces} apply={apply} />);
    await tick(again, 'JK-1');
    expect(state.rig.tools).toBeUndefined();
  });
});
