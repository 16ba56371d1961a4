import { randomUUID } from 'node:crypto';
import type { GearView, PlanSummary, PlanView } from '@wainrope/contract';
import { afterAll, afterEach, beforeAll, describe, expect, it, vi } from 'vitest';
import { TeamDatabase } from '../database/team-database.ts';
import { base64, demoActor, startTestServer, type TestServer } from '../testing/test-server.ts';
import { Judging } from './judging.ts';
import { gravest, Standings } from './standings.ts';

let server: TestServer;
beforeAll(async () => {
  server = await startTestServer();
});
afterEach(() => vi.restoreAllMocks());
afterAll(() => server.stop());

const CLEAR = 'Plantation ride, out over the drain';
const plans = async (): Promise<readonly PlanSummary[]> => (await server.http.get('/api/v1/plans').expect(200)).body.items;
const view = async (planId: string): Promise<PlanView> => (await server.http.get(`/api/v1/plans/${planId}`).expect(200)).body;
const piece = async (gearId: string): Promise<GearView> => (await server.http.get(`/api/v1/gear/${gearId}`).expect(200)).body;

/** A copy of the clear plan whose back strap is a piece of its own, so that no test changes what another looks at. */
async function planWithOwnPiece() {
  const clear = (await plans()).find(({ name }) => name === CLEAR);
  if (!clear) throw new Error('the demo has no clear plan');
  const { rig } = await view(clear.planId);
  const used = rig.chains.flatMap(({ pieces }) => pieces.map(({ gearId }) => gearId))[0] ?? '';
  const { rowVersion, factsRevision, inspection, kitId, vehicleId, away, ...like } = await piece(used);
  const gearId = randomUUID();
  const tag = `OWN-${gearId.slice(0, 6)}`;
  const marks = like.marks.map(({ asWritten, basis, source }) => ({ asWritten, basis, source }));
  await server.http
    .post('/api/v1/gear')
    .send({ ...like, gearId, tag, marks })
    .expect(201);
  const planId = randomUUID();
  const own = JSON.parse(JSON.stringify(rig).replaceAll(used, gearId));
  await server.http
    .post('/api/v1/plans')
    .send({ planId, name: `Own ${tag}`, rig: own })
    .expect(201);
  return { planId, gearId, tag };
}
const outOfDate = async (planId: string) => (await plans()).find((plan) => plan.planId === planId)?.outOfDate;
const stored = async (planId: string) => {
  await server.owner.query("select set_config('wainrope.team_id', team_id::text, false) from membership limit 1");
  return (await server.owner.query('select pieces_changed from plan_standing where plan_id = $1', [planId])).rows[0];
};

/** A body that changes a piece by hand. */
async function changed(gearId: string, change: object) {
  const { inspection, factsRevision, gearId: _id, ...now } = await piece(gearId);
  const marks = now.marks.map(({ asWritten, basis, source }) => ({ asWritten, basis, source }));
  return server.http.put(`/api/v1/gear/${gearId}`).send({ ...now, marks, ...change });
}

describe('what is known of a plan is marked in the act that changes a piece of it', () => {
  it.each<[string, (gearId: string, tag: string) => Promise<{ readonly status: number }>, RegExp | undefined]>([
    ['its sizes', (gearId) => changed(gearId, { attributes: { lengthM: 1.1, widthM: 0.06 } }), /its sizes or make-up have changed/],
    ['its marks', (gearId) => changed(gearId, { marks: [{ asWritten: 'MBS 9 t', source: 'label' }] }), /its marks have changed/],
    [
      'quarantine',
      (gearId) => server.http.post(`/api/v1/gear/${gearId}/quarantine`).send({ reason: 'Found under a rock.' }),
      /was in use, is quarantined/,
    ],
    [
      'retirement',
      (gearId) => server.http.post(`/api/v1/gear/${gearId}/retire`).send({ reason: 'Cut through.', destroyed: 'Cut into pieces.' }),
      /was in use, is retired/,
    ],
    [
      'a file',
      (_id, tag) =>
        server.http
          .post('/api/v1/gear/import')
          .send({ fileName: 'a.csv', contentBase64: base64(`tag,class,name,length m\n${tag},tree-strap,Strap,1.3\n`), rows: [2] }),
      /its sizes or make-up have changed/,
    ],
    ['a word that nobody judges by', (gearId) => changed(gearId, { note: 'washed' }), undefined],
  ])('%s', async (_what, act, reason) => {
    const { planId, gearId, tag } = await planWithOwnPiece();
    expect(await outOfDate(planId)).toEqual([]);
    expect(await stored(planId)).toEqual({ pieces_changed: [] });
    const judged = vi.spyOn(server.app.get(Judging), 'judged');
    const { status } = await act(gearId, tag);
    expect(status).toBeLessThan(300);
    // Nothing is left of what was known before; a list makes it out again by comparing, and solves nothing.
    expect(await stored(planId)).toEqual(reason ? undefined : { pieces_changed: [] });
    const told = await outOfDate(planId);
    expect(told).toEqual(reason ? [expect.stringMatching(reason)] : []);
    if (reason) expect(told?.[0]).toContain(tag);
    expect(await stored(planId)).toEqual({ pieces_changed: told });
    expect(judged).not.toHaveBeenCalled();
  });

  it('and comes back to nothing where the change is taken back', async () => {
    const { planId, gearId } = await planWithOwnPiece();
    const { attributes } = await piece(gearId);
    expect((await changed(gearId, { attributes: { ...attributes, lengthM: 1.1 } })).status).toBe(200);
    expect(await outOfDate(planId)).toHaveLength(1);
    expect((await changed(gearId, { attributes })).status).toBe(200);
    expect(await outOfDate(planId)).toEqual([]);
  });

  it('tells the verdict with its gravest finding, the weakest piece, and only what is of today’s core', async () => {
    const list = await plans();
    const bog = list.find(({ name }) => name === 'Bog below Tarn Quarry');
    const { fresh } = await view(bog?.planId ?? '');
    expect(bog?.verdict).toBe('stop');
    expect(fresh.report.findings[0]).toEqual(expect.objectContaining(bog?.reason));
    expect(bog?.reason?.severity).toBe('stop');
    expect(list.find(({ name }) => name === CLEAR)?.reason).toBeUndefined();
  });

  it('tells no reason that an earlier core found, since its words are not today’s, and says that the rules have changed', async () => {
    const { planId, gearId } = await planWithOwnPiece();
    await changed(gearId, { marks: [{ asWritten: 'MBS 1 t', source: 'label' }] });
    const { rig, version } = await view(planId);
    await server.http.put(`/api/v1/plans/${planId}`).send({ name: 'Of an earlier core', rig, baseVersion: version }).expect(200);
    const listed = async () => (await plans()).find((plan) => plan.planId === planId);
    expect((await listed())?.reason).toMatchObject({ severity: 'stop' });
    await server.owner.query('alter table plan_version disable trigger user');
    await server.owner.query("update plan_version set core_version = '1' where plan_id = $1", [planId]);
    await server.owner.query('alter table plan_version enable trigger user');
    expect(await listed()).toMatchObject({ verdict: 'stop', outOfDate: ['The rules of this program have changed.'] });
    expect((await listed())?.reason).toBeUndefined();
  });

  it.each([
    ['a stop', { severity: 'stop', undecided: false }, true],
    ['a caution', { severity: 'caution', undecided: false }, true],
    ['what nobody could decide', { severity: 'fix', undecided: true }, true],
    ['a note', { severity: 'note', undecided: false }, false],
    ['a note that nobody could decide', { severity: 'note', undecided: true }, false],
  ])('%s is a reason or is none', (_what, finding, isReason) => {
    expect(gravest({ findings: [finding] })).toEqual(isReason ? finding : undefined);
    expect(gravest({ findings: [] })).toBeUndefined();
  });
});

describe('nobody slips in between judging and keeping', () => {
  it('a list that makes out what is known waits for whoever is changing a piece', async () => {
    const { planId, gearId } = await planWithOwnPiece();
    await server.owner.query("select set_config('wainrope.team_id', team_id::text, false) from membership limit 1");
    await server.owner.query('begin');
    await server.owner.query(
      'update gear set attributes = attributes || \'{"lengthM": 0.9}\', facts_revision = facts_revision + 1 where gear_id = $1',
      [gearId],
    );
    // Asked while the change is under way: what is known is gone for nobody else yet, so the list answers as things stood.
    expect(await outOfDate(planId)).toEqual([]);
    const actor = await demoActor(server);
    const renewed = server.app.get(TeamDatabase).inTeam(actor.teamId, (trx) => server.app.get(Standings).renew(trx, actor, [planId]));
    await server.owner.query('select pg_sleep(0.2)');
    await server.owner.query('commit');
    expect((await renewed)[0]?.piecesChanged).toHaveLength(1);
    expect(await outOfDate(planId)).toHaveLength(1);
  });

  it('a piece that changes while a plan is judged has it judged again, and what is kept was judged with what stands', async () => {
    const { planId, gearId } = await planWithOwnPiece();
    const { rig, version, name } = await view(planId);
    const judging = server.app.get(Judging);
    const judged = judging.judged.bind(judging);
    let times = 0;
    vi.spyOn(judging, 'judged').mockImplementation(async (subject, run) => {
      if (times++ === 0) await changed(gearId, { attributes: { lengthM: 0.8 } });
      return judged(subject, run);
    });
    await server.http.put(`/api/v1/plans/${planId}`).send({ name, rig, baseVersion: version }).expect(200);
    expect(times).toBeGreaterThanOrEqual(2);
    const { saved, fresh } = await view(planId);
    expect(fresh.outOfDate).toEqual([]);
    expect(saved.report.verdict).toBe(fresh.report.verdict);
    expect(await outOfDate(planId)).toEqual([]);
  });

  it('where it never stands still nothing is kept, and one is told', async () => {
    const { planId, gearId } = await planWithOwnPiece();
    const { rig, version, name } = await view(planId);
    const judging = server.app.get(Judging);
    const judged = judging.judged.bind(judging);
    let length = 1;
    vi.spyOn(judging, 'judged').mockImplementation(async (subject, run) => {
      length += 0.1;
      await changed(gearId, { attributes: { lengthM: length } });
      return judged(subject, run);
    });
    const { body } = await server.http.put(`/api/v1/plans/${planId}`).send({ name, rig, baseVersion: version }).expect(409);
    expect(body.detail).toContain('Nothing was saved');
    expect((await view(planId)).version).toBe(version);
  });
});

it('the same plan sent by two at once is made once', async () => {
  const { rig } = await view((await plans())[0]?.planId ?? '');
  const body = { planId: randomUUID(), name: 'Sent twice', rig };
  const answers = await Promise.all([server.http.post('/api/v1/plans').send(body), server.http.post('/api/v1/plans').send(body)]);
  expect(answers.map(({ status }) => status)).toEqual([201, 201]);
  const { body: trail } = await server.http.get(`/api/v1/audit/${body.planId}`);
  expect(trail.items).toHaveLength(1);
});
