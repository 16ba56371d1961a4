import { randomUUID } from 'node:crypto';
import { type InspectionKind, inspectionKinds, isUseCheck, may, type PersonRole, personRoles } from '@wainrope/contract';
import { type GearState, type Grade, gearStates, standardSheets } from '@wainrope/core';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { newPiece, startTestServer, type TestServer } from '../testing/test-server.ts';
import { TODAY } from '../testing/today.ts';
import { returnRefusal } from './returning.ts';

let server: TestServer;
beforeAll(async () => {
  server = await startTestServer();
});
afterAll(() => server.stop());

const points = Object.fromEntries(standardSheets['tree-strap'].points.map(({ id }) => [id, 'ok']));
const inspection = (gearId: string, kind: InspectionKind, change: object = {}) => ({
  inspectionId: randomUUID(),
  gearId,
  kind,
  on: TODAY,
  sheetVersion: 0,
  answers: { points, measures: {}, notes: {} },
  ...(!isUseCheck(kind) && { grade: 'A', nextDue: '2026-07-15' }),
  ...change,
});

/** A piece in a state, put there by the coordinator. */
async function pieceIn(state: GearState): Promise<string> {
  const piece = newPiece();
  await server.http.post('/api/v1/gear').send(piece).expect(201);
  const acts = { 'in-use': undefined, quarantined: 'quarantine', retired: 'retire' } as const;
  const act = acts[state];
  if (act)
    await server.http
      .post(`/api/v1/gear/${piece.gearId}/${act}`)
      .send({ reason: 'For the test', ...(act === 'retire' && { destroyed: 'Cut up' }) })
      .expect(200);
  return piece.gearId;
}
const stateOf = async (gearId: string) => (await server.http.get(`/api/v1/gear/${gearId}`).expect(200)).body.state as GearState;
const kinds = inspectionKinds.filter((kind) => kind !== 'on-record');

describe('who returns a piece to use, and by what', () => {
  it.each(gearStates.flatMap((state) => personRoles.map((role) => [state, role] as const)))(
    'of a piece that is %s, asked by a %s, with every kind of inspection',
    async (state, role) => {
      const agent = await server.as(role);
      for (const kind of kinds) {
        const gearId = await pieceIn(state);
        const { status } = await agent.post('/api/v1/inspections').send(inspection(gearId, kind, { returnsToUse: true }));
        const may_ = may(role, 'gear.return') && !isUseCheck(kind) && state !== 'retired';
        expect([kind, status < 300]).toEqual([kind, may_]);
        expect([kind, await stateOf(gearId)]).toEqual([kind, may_ ? 'in-use' : state]);
      }
    },
  );

  it('leaves one in quarantine where nobody asks for its return, whatever was found', async () => {
    const gearId = await pieceIn('quarantined');
    await server.http.post('/api/v1/inspections').send(inspection(gearId, 'calendar')).expect(201);
    expect(await stateOf(gearId)).toBe('quarantined');
    const member = await server.as('member');
    await member.post('/api/v1/inspections').send(inspection(gearId, 'before-use')).expect(201);
    expect(await stateOf(gearId)).toBe('quarantined');
  });

  it('keeps one of grade D out of every plan after a check that finds nothing', async () => {
    const gearId = await pieceIn('in-use');
    const fails = { ...points, [standardSheets['tree-strap'].points[0]?.id ?? '']: 'fails' };
    const failing = inspection(gearId, 'calendar', { answers: { points: fails, measures: {}, notes: {} }, grade: 'D', nextDue: undefined });
    await server.http.post('/api/v1/inspections').send(failing).expect(201);
    expect(await stateOf(gearId)).toBe('quarantined');
    const member = await server.as('member');
    const { body } = await member
      .post('/api/v1/inspections')
      .send(inspection(gearId, 'after-use', { returnsToUse: true }))
      .expect(422);
    expect(body.faults[0].message).toContain('can only take');
    const piece = (await server.http.get(`/api/v1/gear/${gearId}`)).body;
    expect([piece.state, piece.inspection.grade]).toEqual(['quarantined', 'D']);
  });

  it('lets no check take the place of a full inspection, and marks what is known of a plan where one check corrects another', async () => {
    const gearId = await pieceIn('in-use');
    const fails = { ...points, [standardSheets['tree-strap'].points[0]?.id ?? '']: 'fails' };
    const answers = { points: fails, measures: {}, notes: {} };
    const facts = async () => {
      const piece = (await server.http.get(`/api/v1/gear/${gearId}`).expect(200)).body;
      return { grade: piece.inspection?.grade, revision: piece.factsRevision as number };
    };
    const full = inspection(gearId, 'calendar', { answers, grade: 'D', nextDue: undefined });
    await server.http.post('/api/v1/inspections').send(inspection(gearId, 'calendar')).expect(201);
    await server.http.post('/api/v1/inspections').send(full).expect(201);
    const member = await server.as('member');
    const before = await facts();
    const { body } = await member
      .post('/api/v1/inspections')
      .send(inspection(gearId, 'before-use', { corrects: full.inspectionId }))
      .expect(422);
    expect(body.faults).toEqual([{ path: 'corrects', message: expect.stringContaining('only another full inspection') }]);
    expect(await facts()).toEqual(before);
    expect(before.grade).toBe('D');
    await server.http
      .post('/api/v1/inspections')
      .send(inspection(gearId, 'calendar', { corrects: full.inspectionId }))
      .expect(201);
    const failed = inspection(gearId, 'after-use', { answers });
    await member.post('/api/v1/inspections').send(failed).expect(201);
    const found = await facts();
    expect(found.grade).toBe('D');
    await member
      .post('/api/v1/inspections')
      .send(inspection(gearId, 'after-use', { corrects: failed.inspectionId }))
      .expect(201);
    const corrected = await facts();
    expect(corrected.grade).toBe('A');
    expect(corrected.revision).toBeGreaterThan(found.revision);
  });

  it.each<[PersonRole, InspectionKind, Grade | undefined, boolean, number | undefined]>([
    ['gear-keeper', 'calendar', 'C', false, undefined],
    ['gear-keeper', 'calendar', 'D', false, 422],
    ['gear-keeper', 'calendar', undefined, false, 422],
    ['gear-keeper', 'calendar', 'A', true, 403],
    ['coordinator', 'calendar', 'A', true, undefined],
    ['member', 'after-repair', 'A', false, 403],
    ['coordinator', 'before-use', 'A', false, 422],
  ])('asked by a %s by %s, grade %s, took it out: %s is answered %s', (role, kind, grade, tookItOut, status) => {
    expect(returnRefusal({ tag: 'TS-01', role, kind, grade, tookItOut })?.problem.status).toBe(status);
  });
});

describe('counters', () => {
  const stretchRope = async (pullsUsed: number, overloadsSinceInspection = 0) => {
    const piece = newPiece({
      kind: 'stretch-rope',
      name: 'Stretch rope',
      marks: [{ asWritten: 'MBS 9 t', source: 'label' }],
      attributes: { lengthM: 9, pullsUsed },
      overloadsSinceInspection,
    });
    const { status, body } = await server.http.post('/api/v1/gear').send(piece);
    expect([status, body.faults]).toEqual([201, undefined]);
    return piece;
  };
  const ropePoints = Object.fromEntries(standardSheets['stretch-rope'].points.map(({ id }) => [id, 'ok']));
  const check = (gearId: string, change: object) =>
    inspection(gearId, 'after-use', { answers: { points: ropePoints, measures: {}, notes: {} }, ...change });
  const countersOf = async (gearId: string) => {
    const { attributes, overloadsSinceInspection, rowVersion } = (await server.http.get(`/api/v1/gear/${gearId}`).expect(200)).body;
    return { pulls: attributes.pullsUsed as number, overloads: overloadsSinceInspection as number, rowVersion: rowVersion as number };
  };

  it.each([
    [39, 422, 40],
    [40, 201, 40],
    [41, 201, 41],
  ])('a check that says %s pulls where 40 are logged is answered %s', async (pullsUsed, answered, after) => {
    const { gearId } = await stretchRope(40);
    const member = await server.as('member');
    const { status, body } = await member.post('/api/v1/inspections').send(check(gearId, { pullsUsed }));
    expect(status).toBe(answered);
    if (answered === 422) expect(body.faults).toEqual([{ path: 'pullsUsed', message: expect.stringContaining('40 pulls logged') }]);
    expect((await countersOf(gearId)).pulls).toBe(after);
  });

  it('are not turned back by a plain edit, nor by a file; they rise by either', async () => {
    const piece = await stretchRope(40, 2);
    const { gearId } = piece;
    const edit = async (change: object) =>
      server.http
        .put(`/api/v1/gear/${gearId}`)
        .send({ ...piece, gearId: undefined, ...change, rowVersion: (await countersOf(gearId)).rowVersion });
    const lower = await edit({ overloadsSinceInspection: 1, attributes: { lengthM: 9, pullsUsed: 0 } });
    expect(lower.status).toBe(422);
    expect(lower.body.faults.map(({ path }: { path: string }) => path)).toEqual(['overloadsSinceInspection', 'attributes.pullsUsed']);
    // What is left out is not unknown: it would be none.
    expect((await edit({ attributes: { lengthM: 9 } })).status).toBe(422);
    // Nor are they lost by another class and back.
    const other = await edit({ kind: 'tree-strap', attributes: {} });
    expect([other.status, other.body.faults]).toEqual([422, [{ path: 'kind', message: expect.stringContaining('40 pulls logged') }]]);
    const file = (row: string) => ({
      fileName: 'a.csv',
      contentBase64: Buffer.from(
        `tag,class,name,overloads_since_inspection,pulls_used\n${piece.tag},stretch-rope,Stretch rope,${row}\n`,
      ).toString('base64'),
    });
    const { body: preview } = await server.http.post('/api/v1/gear/import/preview').send(file('1,3')).expect(200);
    expect(preview.rows[0]).toMatchObject({
      outcome: 'faulty',
      faults: [{ column: 'overloads_since_inspection' }, { column: 'pulls_used' }],
    });
    await server.http
      .post('/api/v1/gear/import')
      .send({ ...file('1,3'), rows: [2] })
      .expect(422);
    expect(await countersOf(gearId)).toMatchObject({ pulls: 40, overloads: 2 });
    await server.http
      .post('/api/v1/gear/import')
      .send({ ...file('3,41'), rows: [2] })
      .expect(200);
    expect((await edit({ overloadsSinceInspection: 4, attributes: { lengthM: 9, pullsUsed: 42 } })).status).toBe(200);
    expect(await countersOf(gearId)).toMatchObject({ pulls: 42, overloads: 4 });
  });

  it('are corrected by name, with the reason, by whoever keeps the gear; a repeat leaves no second word', async () => {
    const { gearId } = await stretchRope(40, 2);
    const correction = { counter: 'pulls', value: 4, reason: 'A nought too many was typed.' };
    await (await server.as('member')).post(`/api/v1/gear/${gearId}/counters`).send(correction).expect(403);
    const keeper = await server.as('gear-keeper');
    await keeper
      .post(`/api/v1/gear/${gearId}/counters`)
      .send({ ...correction, reason: '' })
      .expect(422);
    await keeper.post(`/api/v1/gear/${gearId}/counters`).send(correction).expect(200);
    await keeper.post(`/api/v1/gear/${gearId}/counters`).send(correction).expect(200);
    expect(await countersOf(gearId)).toMatchObject({ pulls: 4, overloads: 2 });
    const { body } = await server.http.get(`/api/v1/audit/${gearId}`);
    const told = body.items.filter(({ action }: { action: string }) => action === 'corrected the pulls of');
    expect(told).toHaveLength(1);
    expect(told[0]).toMatchObject({ note: correction.reason, changes: [{ field: 'pulls', before: 40, after: 4 }] });
    const strap = newPiece();
    await server.http.post('/api/v1/gear').send(strap).expect(201);
    await keeper.post(`/api/v1/gear/${strap.gearId}/counters`).send(correction).expect(422);
  });

  it('of overloads are settled by a full inspection, and by no check', async () => {
    const { gearId } = await stretchRope(1, 2);
    const member = await server.as('member');
    await member.post('/api/v1/inspections').send(check(gearId, {})).expect(201);
    expect((await countersOf(gearId)).overloads).toBe(2);
    await server.http
      .post('/api/v1/inspections')
      .send(check(gearId, { kind: 'after-overload', grade: 'A', nextDue: '2026-07-15' }))
      .expect(201);
    expect((await countersOf(gearId)).overloads).toBe(0);
  });
});
