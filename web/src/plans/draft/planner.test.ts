import { type Case, readRigFile } from '@wainrope/core';
import { judge } from '@wainrope/core/judging';
import { beforeEach, describe, expect, it } from 'vitest';
import bogFile from '../../../../demo/plans/bog-below-tarn-quarry.json' with { type: 'json' };
import { PATH_TOP, pathColumns, pathHeight } from '../load-path/load-path-columns.ts';
import { type Box, type LabelWish, lengthInside, placeLabels } from '../sheet/layout/place-labels.ts';
import { contours, fitView, scaleBar, toScreen, vehicleCorners } from '../sheet/layout/plan-sheet-layout.ts';
import { dropDraft, keepDraft, newestDraft } from './drafts.ts';
import {
  bodyHeld,
  dragEnded,
  edited,
  heldTakenOver,
  lockChanged,
  placeSelected,
  plannerReducer,
  planOpened,
  redone,
  routed,
  routeTakenBack,
  saved,
  undone,
} from './planner-slice.ts';

const file = readRigFile(bogFile);
if (!file.ok) throw new Error(JSON.stringify(file.faults));
const bog: Case = file.value.case;
const report = judge(bog);

describe('a line that is led', () => {
  const person = { id: 'mirren', kind: 'person', label: 'Mirren', xM: 1, yM: 2, duty: 'helper' } as const;
  const opened = plannerReducer(
    undefined,
    planOpened({ planId: 'p', version: 3, name: 'Bog', rig: { ...bog.rig, bodies: [...bog.rig.bodies, person] } }),
  );
  const vehicle = bog.rig.load.bodyId;
  const led = (...ids: readonly string[]) => ids.reduce((state, id) => plannerReducer(state, routed(id)), opened);

  it('begins at a vehicle and says why not elsewhere', () => {
    expect(led('tree')).toMatchObject({ route: undefined, refused: expect.stringContaining('begins at the vehicle') });
    expect(led('tree', vehicle)).toMatchObject({ route: { fromBodyId: vehicle, bodyIds: [] }, refused: undefined });
  });
  it('goes to no person, and keeps what was led before', () => {
    const refused = led(vehicle, 'tree', 'mirren');
    expect(refused).toMatchObject({ route: { bodyIds: ['tree'] }, refused: expect.stringContaining('Mirren') });
    expect(plannerReducer(refused, routeTakenBack()).route?.bodyIds).toEqual([]);
  });
  it('is nothing to whoever only reads, nor is any edit', () => {
    const reading = plannerReducer(opened, lockChanged('reader'));
    expect(plannerReducer(reading, routed(vehicle))).toBe(reading);
    expect(plannerReducer(reading, edited({ edits: [{ kind: 'move-body', bodyId: 'tree', xM: 1, yM: 1 }] }))).toBe(reading);
    expect(plannerReducer(reading, undone())).toBe(reading);
  });
  it('an act that changes nothing is no step to take back', () => {
    expect(plannerReducer(opened, edited({ edits: [] }))).toBe(opened);
  });
});

describe('the planner’s state', () => {
  const opened = plannerReducer(undefined, planOpened({ planId: 'p', version: 3, name: 'Bog', rig: bog.rig }));
  const move = (xM: number, merge?: string) =>
    edited({ edits: [{ kind: 'move-body', bodyId: 'tree', xM, yM: 1 }], ...(merge && { merge }) });
  it('lets a held body run ahead of the rig, and makes one step of the whole drag', () => {
    const tree = bog.rig.bodies.find(({ id }) => id === 'tree');
    if (!tree) throw new Error('no tree');
    const held = plannerReducer(opened, bodyHeld({ ...tree, xM: 30, yM: 4 }));
    expect(held.rig).toBe(opened.rig);
    const taken = plannerReducer(held, heldTakenOver(undefined));
    expect(taken.rig?.bodies.find(({ id }) => id === 'tree')).toMatchObject({ xM: 30, yM: 4 });
    // The pointer is further by now; one that holds another body says nothing of this one.
    const ahead = plannerReducer(held, heldTakenOver({ id: 'tree', xM: 30.5, yM: 3 }));
    expect(ahead.rig?.bodies.find(({ id }) => id === 'tree')).toMatchObject({ xM: 30.5, yM: 3 });
    expect(ahead.held).toMatchObject({ xM: 30.5, yM: 3 });
    expect(plannerReducer(held, heldTakenOver({ id: 'vehicle', xM: 0, yM: 0 })).rig).toEqual(taken.rig);
    const further = plannerReducer(plannerReducer(taken, bodyHeld({ ...tree, xM: 31, yM: 4 })), dragEnded());
    expect(further).toMatchObject({ held: undefined, dirty: true });
    expect(further.past).toHaveLength(1);
    expect(plannerReducer(further, undone()).rig).toEqual(opened.rig);
    expect(plannerReducer(plannerReducer(opened, bodyHeld(tree)), dragEnded()).past).toEqual([]);
  });
  it('undoes and redoes without limit', () => {
    let state = opened;
    for (let step = 1; step <= 40; step++) state = plannerReducer(state, move(step));
    const last = state.rig;
    for (let step = 0; step < 40; step++) state = plannerReducer(state, undone());
    expect(state.rig).toEqual(bog.rig);
    expect(plannerReducer(state, undone())).toBe(state);
    for (let step = 0; step < 40; step++) state = plannerReducer(state, redone());
    expect(state.rig).toEqual(last);
  });
  it('takes a whole drag back at once, and the next drag by itself', () => {
    let state = opened;
    for (const x of [1, 2, 3]) state = plannerReducer(state, move(x, 'drag'));
    state = plannerReducer(state, dragEnded());
    for (const x of [4, 5]) state = plannerReducer(state, move(x, 'drag'));
    state = plannerReducer(state, undone());
    expect(state.rig?.bodies[1]).toMatchObject({ xM: 3 });
    expect(plannerReducer(state, undone()).rig).toEqual(bog.rig);
  });
  it('is unsaved after an edit, saved after a save, and keeps its selection', () => {
    const state = [move(2), placeSelected('tree-strap:legs'), saved({ version: 4 })].reduce(plannerReducer, opened);
    expect(state).toMatchObject({ dirty: false, version: 4, selectedPlaceId: 'tree-strap:legs' });
    expect(plannerReducer(state, move(9)).dirty).toBe(true);
  });
});

describe('drafts on this device', () => {
  beforeEach(() => localStorage.clear());
  it('come back with the version they were begun on, the newest first, and go when they cannot be read', () => {
    expect(newestDraft('p')).toBeUndefined();
    keepDraft('p', 3, { name: 'Older', rig: bog.rig });
    keepDraft('p', 11, { name: 'Mine', rig: bog.rig });
    keepDraft('q', 20, { name: 'Other plan', rig: bog.rig });
    expect(newestDraft('p')).toEqual({ name: 'Mine', rig: bog.rig, version: 11 });
    dropDraft('p', 11);
    expect(newestDraft('p')).toMatchObject({ name: 'Older', version: 3 });
    localStorage.setItem('wainrope.draft.p.5', '{"name":"cut sh');
    expect(newestDraft('p')?.version).toBe(3);
    expect(localStorage.getItem('wainrope.draft.p.5')).toBeNull();
  });
});

describe('the load path’s columns', () => {
  it('stand in load-path order, one a piece, the weakest by its own place', () => {
    const columns = pathColumns(report);
    expect(columns.map(({ worst }) => worst.tag ?? worst.name)).toEqual([
      'W-01',
      'WL-01',
      'RR-01',
      'SS-01',
      'TS-03',
      'Larch',
      'CL-01',
      'SS-04',
      'VP-HRL',
    ]);
    expect(columns.filter(({ weakest }) => weakest).map(({ worst }) => worst.id)).toEqual(['tree-strap:legs']);
    expect(columns.find(({ worst }) => worst.tag === 'WL-01')?.places.length).toBe(3);
  });
  it('grow to the limit evenly and above it ever slower, never out of the picture', () => {
    expect([0, 0.5, 1].map(pathHeight)).toEqual([0, 0.5, 1]);
    expect(pathHeight(2)).toBeCloseTo(1.375, 12);
    expect(pathHeight(1e9)).toBeLessThanOrEqual(PATH_TOP);
    expect(pathHeight(3)).toBeGreaterThan(pathHeight(2));
  });
});

describe('the plan sheet', () => {
  const size = { width: 855, height: 420 };
  const view = fitView(bog.rig, report, size);
  it('fits the whole rig in view, north up and to one scale', () => {
    const points = [
      ...bog.rig.bodies.flatMap((body) => (body.kind === 'vehicle' ? vehicleCorners(body) : [{ x: body.xM, y: body.yM }])),
      ...report.strands.flatMap(({ from, to }) => [from, to]),
    ];
    for (const point of points) {
      const { x, y } = toScreen(view, point);
      expect(x).toBeGreaterThan(0);
      expect(x).toBeLessThan(size.width);
      expect(y).toBeGreaterThan(0);
      expect(y).toBeLessThan(size.height);
    }
    const [a, b] = [toScreen(view, { x: 0, y: 0 }), toScreen(view, { x: 3, y: 4 })];
    expect(Math.hypot(b.x - a.x, b.y - a.y)).toBeCloseTo(5 * view.scale, 9);
    expect(b.y).toBeLessThan(a.y);
  });
  it('turns a vehicle by its heading, clockwise from north', () => {
    const east = {
      ...(bog.rig.bodies[0] as Parameters<typeof vehicleCorners>[0]),
      xM: 0,
      yM: 0,
      headingRad: Math.PI / 2,
      lengthM: 4,
      widthM: 2,
    };
    const corners = vehicleCorners(east).map(({ x, y }) => [Number(x.toFixed(9)), Number(y.toFixed(9))]);
    expect(corners).toEqual([
      [2, 1],
      [2, -1],
      [-2, -1],
      [-2, 1],
    ]);
  });
  it('draws a scale bar of a round length, metric or imperial', () => {
    expect(scaleBar({ scale: 38, originX: 0, originY: 0 }, 200, false)).toMatchObject({ metres: 5, label: '5 m', pixels: 190 });
    const feet = scaleBar({ scale: 38, originX: 0, originY: 0 }, 200, true);
    expect(feet.label).toBe('10 ft');
    expect(feet.pixels).toBeCloseTo(3.048 * 38, 9);
  });
  it('draws contours across the fall, none on the level', () => {
    const lines = contours(bog.rig.ground, view, size);
    expect(lines.length).toBeGreaterThan(3);
    const { from, to } = lines[0] ?? { from: { x: 0, y: 0 }, to: { x: 0, y: 0 } };
    const uphill = { x: Math.sin(bog.rig.ground.uphillRad), y: -Math.cos(bog.rig.ground.uphillRad) };
    expect((to.x - from.x) * uphill.x + (to.y - from.y) * uphill.y).toBeCloseTo(0, 6);
    expect(contours({ slopeRad: 0, uphillRad: 0 }, view, size)).toEqual([]);
  });
});

describe('labels by rule', () => {
  const frame: Box = { x: 0, y: 0, width: 400, height: 300 };
  const wish = (id: string, ...centres: readonly { x: number; y: number }[]): LabelWish => ({
    id,
    lines: [{ text: 'ten letters', strong: true }],
    centres,
  });
  it('takes the next place where the first is taken, crossed by a rope, or far outside; a little over the rim it moves in', () => {
    const segments = [{ from: { x: 0, y: 200 }, to: { x: 400, y: 200 } }];
    const placed = placeLabels(
      [
        wish('a', { x: 200, y: 100 }),
        wish('b', { x: 205, y: 104 }, { x: 200, y: 200 }, { x: 200, y: 40 }),
        wish('c', { x: 490, y: 250 }, { x: 300, y: 260 }),
        wish('d', { x: 390, y: 285 }, { x: 100, y: 260 }),
      ],
      { frame, boxes: [], segments },
    );
    expect(placed.map(({ id, y, height }) => [id, y + height / 2])).toEqual([
      ['a', 100],
      ['b', 40],
      ['c', 260],
      ['d', 285],
    ]);
    const moved = placed.at(-1);
    expect((moved?.x ?? 0) + (moved?.width ?? 0)).toBeCloseTo(400, 9);
  });
  it('takes the next place where its own stroke would cross the words of another, or the stroke of another its words', () => {
    const about = { x: 200, y: 100 };
    const middles = (wishes: readonly LabelWish[]) =>
      placeLabels(wishes, { frame, boxes: [], segments: [] }).map(({ id, x, y, width, height }) => [id, x + width / 2, y + height / 2]);
    expect(middles([wish('near', { x: 200, y: 160 }), { ...wish('far', { x: 200, y: 230 }, { x: 60, y: 100 }), about }])).toEqual([
      ['near', 200, 160],
      ['far', 60, 100],
    ]);
    expect(middles([{ ...wish('far', { x: 200, y: 230 }), about }, wish('near', { x: 200, y: 160 }, { x: 320, y: 160 })])).toEqual([
      ['far', 200, 230],
      ['near', 320, 160],
    ]);
    // Within 58 px of what it names a label has no stroke: from its upper edge at 158 to 101, and to 99.
    const edge = (aboutY: number) =>
      middles([
        wish('near', { x: 200, y: 130 }),
        { ...wish('far', { x: 200, y: 168 }, { x: 60, y: 90 }), about: { x: 200, y: aboutY } },
      ])[1];
    expect(edge(101)).toEqual(['far', 200, 168]);
    expect(edge(99)).toEqual(['far', 60, 90]);
  });
  it('measures how much of a line lies inside a box', () => {
    expect(lengthInside({ from: { x: -10, y: 5 }, to: { x: 30, y: 5 } }, { x: 0, y: 0, width: 20, height: 10 })).toBeCloseTo(20, 12);
    expect(lengthInside({ from: { x: 0, y: 20 }, to: { x: 30, y: 20 } }, { x: 0, y: 0, width: 20, height: 10 })).toBe(0);
    expect(lengthInside({ from: { x: 5, y: -5 }, to: { x: 5, y: 5 } }, { x: 0, y: 0, width: 20, height: 10 })).toBeCloseTo(5, 12);
  });
});
