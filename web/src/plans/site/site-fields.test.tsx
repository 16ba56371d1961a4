import { screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { applyEdit, type Edit, type GearFacts, type Rig, readRigFile, teamStandard } from '@wainrope/core';
import { judge } from '@wainrope/core/judging';
import { act } from 'react';
import { afterEach, beforeAll, describe, expect, it, vi } from 'vitest';
import tiedBackFile from '../../../../demo/plans/beck-crossing.json' with { type: 'json' };
import { NumberField } from '../../fields/NumberField.tsx';
import { measureChosen, paceSaid, unitsChosen } from '../../settings/settings-slice.ts';
import { store } from '../../store.ts';
import { press, render, type } from '../../testing/render.tsx';
import { remoteReaches } from '../sheet/layout/remote-reaches.ts';
import { SheetFittings } from '../sheet/SheetFittings.tsx';
import { BodyFields } from './BodyFields.tsx';
import { FeatureFields } from './FeatureFields.tsx';
import { OriginFields } from './OriginFields.tsx';
import { PlaceFrom } from './PlaceFrom.tsx';
import { PointFields } from './PointFields.tsx';

const file = readRigFile(tiedBackFile);
if (!file.ok) throw new Error(JSON.stringify(file.faults));
const subject = file.value.case;
const { rig } = subject;

beforeAll(() => {
  vi.stubGlobal('matchMedia', () => ({ matches: false, addEventListener: () => undefined, removeEventListener: () => undefined }));
});
afterEach(() => void store.dispatch(unitsChosen('kN')));

/** Collects what is applied and keeps the rig as it would stand then. */
function doer(before: Rig = rig) {
  const state = { rig: before };
  const apply = (edits: readonly Edit[]) => {
    state.rig = edits.reduce((now, edit) => applyEdit(now, edit).rig, state.rig);
  };
  return { state, apply };
}

describe('a place by distance and direction', () => {
  /** Five metres by two, heading east, its middle at the origin; the tree stands 10 m north of it. */
  const heron = {
    id: 'heron',
    kind: 'vehicle',
    label: 'Heron',
    xM: 0,
    yM: 0,
    headingRad: Math.PI / 2,
    massKg: 2000,
    lengthM: 5,
    widthM: 2,
  };
  const larch = { id: 'larch', kind: 'tree', label: 'Larch', xM: 0, yM: 10, trunkDiameterM: 0.4 };
  const site = { bodies: [heron, larch], load: { bodyId: 'heron' } } as unknown as Rig;
  const tree = site.bodies[1] as Rig['bodies'][number];
  afterEach(() => {
    store.dispatch(measureChosen('metres'));
    store.dispatch(paceSaid(0.75));
  });
  const placing = async () => {
    const places: object[] = [];
    const box = await render(<PlaceFrom rig={site} body={tree} place={(at) => places.push(at)} />);
    const value = (label: string) => (screen.getByLabelText(new RegExp(label)) as HTMLInputElement).value;
    return { box, places, value };
  };
  it('is told from outline to outline, seen from the vehicle', async () => {
    const { value } = await placing();
    // 10 m less half the width and half the trunk; north is to the left of what heads east.
    expect(value('Distance')).toBe('8.8');
    expect(value('Clockwise from ahead')).toBe('270');
    expect((screen.getByRole('combobox', { name: 'Direction' }) as HTMLInputElement).value).toBe('to the left');
  });
  it('is given in paces of one’s own, metres or feet', async () => {
    act(() => void store.dispatch(measureChosen('paces')));
    const { box, places, value } = await placing();
    await type(box, 'Distance', '18');
    // 18 × 0.75 m + 1 m + 0.2 m.
    expect(places.at(-1)).toEqual({ xM: 0, yM: 14.7 });
    act(() => void store.dispatch(paceSaid(0.8)));
    expect(value('Distance')).toBe('11');
    act(() => void store.dispatch(measureChosen('feet')));
    await type(box, 'Distance', '30');
    expect(places.at(-1)).toEqual({ xM: 0, yM: 10.34 });
    // What is no pace is not taken.
    act(() => void store.dispatch(paceSaid(4)));
    expect(store.getState().settings.paceM).toBe(0.8);
  });
  it('is refused past the end of the map, and says so', async () => {
    const north = { ...tree, yM: 710 };
    const far = { ...site, bodies: [{ ...heron, yM: 700 }, north] } as unknown as Rig;
    const places: object[] = [];
    const box = await render(<PlaceFrom rig={far} body={north} place={(at) => places.push(at)} />);
    // 700 + 1 + 298.8 + 0.2 m north of the origin is the very edge; a decimetre more is off.
    await type(box, 'Distance', '298.8');
    expect(places.at(-1)).toEqual({ xM: 0, yM: 1000 });
    expect(screen.queryByRole('alert')).toBeNull();
    const before = places.length;
    await type(box, 'Distance', '298.9');
    expect(screen.getByRole('alert').textContent).toContain('Larch stays where it was');
    expect(places.slice(before)).not.toContainEqual({ xM: 0, yM: 1000.1 });
  });
  it('turns round the other by degrees, the gap kept', async () => {
    const { box, places } = await placing();
    await type(box, 'Clockwise from ahead', '0');
    expect(places.at(-1)).toEqual({ xM: 11.5, yM: 0 });
  });
});

describe('lines on the ground', () => {
  it('are added beside the rig, by their kind', async () => {
    const { state, apply } = doer();
    await render(<FeatureFields rig={rig} apply={apply} />);
    const user = userEvent.setup();
    await user.click(screen.getByRole('button', { name: /Draw on the ground/ }));
    await user.click(screen.getByRole('menuitem', { name: 'edge or lip' }));
    expect(state.rig.features).toMatchObject([{ kind: 'edge', label: 'the edge' }]);
    const [from, to] = state.rig.features?.[0]?.points ?? [];
    expect((to?.xM ?? 0) - (from?.xM ?? 0)).toBeCloseTo(10, 9);
  });
  const drawn: Rig = {
    ...rig,
    features: [
      {
        id: 'wall',
        kind: 'obstacle',
        label: 'the wall',
        points: [
          { xM: 0, yM: 0 },
          { xM: 4, yM: 0 },
        ],
      },
    ],
  };
  it('take numbers for each corner, one more corner, and never fewer than two', async () => {
    const { state, apply } = doer(drawn);
    const box = await render(<FeatureFields rig={drawn} apply={apply} />);
    await type(box, 'Corner 1, east', '-2.5');
    expect(state.rig.features?.[0]?.points[0]).toEqual({ xM: -2.5, yM: 0 });
    await press(box, 'One more corner');
    expect(state.rig.features?.[0]?.points).toHaveLength(3);
    const out = [...box.querySelectorAll('button')].filter((button) => button.textContent === 'Out');
    expect(out.every(({ disabled }) => disabled)).toBe(true);
    await press(box, 'Take off');
    expect(state.rig.features ?? []).toEqual([]);
  });
  it('refuse a number out of range in words, and keep the corner', async () => {
    const { state, apply } = doer(drawn);
    const box = await render(<FeatureFields rig={drawn} apply={apply} />);
    await type(box, 'Corner 2, east', '5000');
    expect(box.textContent).toContain('Expected -1000 to 1000 m.');
    expect(state.rig.features?.[0]?.points[1]).toEqual({ xM: 4, yM: 0 });
  });
});

describe('where things are, in numbers', () => {
  it('the origin is none until somebody says that it is known', async () => {
    const { state, apply } = doer();
    const box = await render(<OriginFields rig={rig} apply={apply} />);
    await act(async () => box.querySelector<HTMLElement>('[role="switch"]')?.click());
    expect(state.rig.origin).toEqual({ latitudeDeg: 0, longitudeDeg: 0, bearingRad: 0 });
    const known = await render(<OriginFields rig={state.rig} apply={apply} />);
    await type(known, 'Latitude', '54.123456');
    expect(state.rig.origin?.latitudeDeg).toBe(54.123456);
  });
  it('a point of a vehicle has three, any other its height', async () => {
    const onVehicle = rig.points.find(({ place }) => place.kind === 'on-vehicle');
    const onTree = rig.points.find(({ place }) => place.kind !== 'on-vehicle');
    if (!onVehicle || !onTree) throw new Error('points are missing');
    const { state, apply } = doer();
    const box = await render(<PointFields point={onVehicle} apply={apply} />);
    await type(box, 'Left of its middle', '0.42');
    expect(state.rig.points.find(({ id }) => id === onVehicle.id)?.place).toMatchObject({ leftM: 0.42 });
    expect((await render(<PointFields point={onTree} apply={apply} />)).querySelectorAll('input')).toHaveLength(1);
  });
  it('are in feet and pounds for who reads so, and come back in metres', async () => {
    store.dispatch(unitsChosen('lbf'));
    const put = vi.fn<(value: number) => void>();
    const box = await render(<NumberField label="Length" unit="m" value={3.048} min={1} max={10} step={0.5} onChange={put} />);
    expect(box.querySelector('input')?.value).toBe('10');
    expect(box.textContent).toContain('ft');
    await type(box, 'Length', '20');
    expect(put).toHaveBeenLastCalledWith(20 * 0.3048);
    await type(box, 'Length', '33');
    expect(box.textContent).toContain('Expected 3.281 to 32.808 ft.');
    expect(put).toHaveBeenCalledTimes(1);
  });
});

describe('a body on the site', () => {
  it('shows what can be done with it as buttons', async () => {
    const tree = rig.bodies.find(({ kind }) => kind === 'tree');
    if (!tree) throw new Error('no tree');
    const done: string[] = [];
    const acts = [['Take it off', () => void done.push('off')]] as const;
    const box = await render(<BodyFields rig={rig} body={tree} apply={doer().apply} acts={acts} />);
    await press(box, 'Take it off');
    expect(done).toEqual(['off']);
  });
});

describe('what hangs on the lines', () => {
  it('is drawn: each damper on its strand, a lanyard with a bow in it', async () => {
    const [damper] = rig.dampers;
    const chain = rig.chains.find(({ pieces }) => pieces.some(({ role }) => role === 'pulley'));
    const still = rig.points.find(({ place }) => place.kind !== 'on-vehicle');
    if (!damper || !chain || !still) throw new Error('the demo rig has dampers, a pulley and a tree');
    const lanyard = { id: 'l', useId: chain.pieces.at(-1)?.id ?? '', to: { kind: 'point', pointId: still.id } } as const;
    const caught: Rig = { ...rig, lanyards: [lanyard] };
    const report = judge({ ...subject, rig: caught });
    const view = { scale: 20, originX: 300, originY: 200 };
    const box = await render(
      <svg aria-hidden="true">
        <SheetFittings rig={caught} report={report} view={view} />
      </svg>,
    );
    expect(box.querySelectorAll('[data-damper]')).toHaveLength(rig.dampers.length);
    expect(box.querySelector('[data-lanyard]')?.getAttribute('d')).toContain('Q');
  });
});

describe('the remote’s reach', () => {
  const gear = new Map<string, GearFacts>(subject.gear.map((piece) => [piece.id, piece]));
  const outside: Rig = {
    ...rig,
    bodies: rig.bodies.map((body) => {
      if (body.kind !== 'person' || body.duty !== 'operator') return body;
      const { inVehicleId: _seat, ...standing } = body;
      return standing;
    }),
  };
  it('is drawn round the winching vehicle when the operator stands outside, not when they sit in it', () => {
    expect(remoteReaches(rig, gear, teamStandard)).toEqual([]);
    const [reach] = remoteReaches(outside, gear, teamStandard);
    const heron = rig.bodies.find(({ label }) => label === 'Heron');
    expect(reach).toMatchObject({ x: heron?.xM, y: heron?.yM });
    expect(reach?.radiusM).toBeGreaterThan(1);
  });
  it('is not made up where the register does not say what the remote is', () => {
    const unknown = new Map([...gear].map(([id, piece]) => [id, piece.kind === 'winch' ? withoutControl(piece) : piece]));
    expect(remoteReaches(outside, unknown, teamStandard)).toEqual([]);
  });
});

function withoutControl(piece: Extract<GearFacts, { readonly kind: 'winch' }>): GearFacts {
  const { control: _control, leadLengthM: _lead, ...attributes } = piece.attributes;
  return { ...piece, attributes };
}
