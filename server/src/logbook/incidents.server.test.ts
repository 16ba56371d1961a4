import { randomUUID } from 'node:crypto';
import type { IncidentView } from '@wainrope/contract';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { examples } from '../http/examples.ts';
import { newPiece, startTestServer, type TestServer } from '../testing/test-server.ts';
import { TODAY } from '../testing/today.ts';

let server: TestServer;
let member: Awaited<ReturnType<TestServer['as']>>;
beforeAll(async () => {
  server = await startTestServer();
  member = await server.as('member');
});
afterAll(() => server.stop());

async function piece(change: object = {}): Promise<string> {
  const body = newPiece(change);
  await server.http.post('/api/v1/gear').send(body).expect(201);
  return body.gearId;
}
const incident = (change: object = {}) => ({
  incidentId: randomUUID(),
  on: TODAY,
  kind: 'near-miss',
  words: 'The block swung past the operator.',
  pieces: [],
  ...change,
});
const add = async (change: object = {}, status = 201, agent = member) =>
  (await agent.post('/api/v1/incidents').send(incident(change)).expect(status)).body;
const stateOf = async (gearId: string) => (await server.http.get(`/api/v1/gear/${gearId}`).expect(200)).body;
const reasonsOf = async (gearId: string) =>
  (await server.http.get(`/api/v1/gear/${gearId}/care`).expect(200)).body.states.map(({ reason }: { reason: string }) => reason);

describe('an incident', () => {
  it('is kept with its pieces, who was told and what is changed, once however often it is sent', async () => {
    const [strap, other] = [await piece(), await piece()];
    const sent = incident({
      kind: 'parted',
      place: 'Ford',
      told: 'The owner',
      changed: 'Two dampers from now on',
      pieces: [
        { gearId: strap, takenOut: true },
        { gearId: other, takenOut: false },
      ],
    });
    await member.post('/api/v1/incidents').send(sent).expect(201);
    const { body } = await member.post('/api/v1/incidents').send(sent).expect(201);
    expect(body).toMatchObject({ kind: 'parted', on: TODAY, place: 'Ford', told: 'The owner', words: sent.words, photoIds: [] });
    expect(body.followUps.map(({ words }: { words: string }) => words)).toEqual(['Two dampers from now on']);
    expect(body.pieces.map(({ gearId, takenOut }: { gearId: string; takenOut: boolean }) => [gearId, takenOut]).sort()).toEqual(
      [
        [strap, true],
        [other, false],
      ].sort(),
    );
    const { body: list } = await server.http.get('/api/v1/incidents').expect(200);
    expect(list.items.filter(({ incidentId }: IncidentView) => incidentId === sent.incidentId)).toHaveLength(1);
  });
  it('takes a piece out of use at once where somebody says so, with its reason; and leaves the others', async () => {
    const [strap, other] = [await piece(), await piece()];
    const before = await stateOf(strap);
    await add({
      kind: 'slid',
      words: 'Slid up the trunk',
      pieces: [
        { gearId: strap, takenOut: true },
        { gearId: other, takenOut: false },
      ],
    });
    const after = await stateOf(strap);
    expect([after.state, (await stateOf(other)).state]).toEqual(['quarantined', 'in-use']);
    expect(after.factsRevision).toBeGreaterThan(before.factsRevision);
    expect(await reasonsOf(strap)).toEqual([`Was in an incident on ${TODAY}: Slid up the trunk`]);
    expect(await reasonsOf(other)).toEqual([]);
    // What is out of use already stays so, and no second reason is written.
    await add({ pieces: [{ gearId: strap, takenOut: true }] });
    expect(await reasonsOf(strap)).toHaveLength(1);
  });
  it('turns plans out of date that use the piece', async () => {
    const { body: plans } = await server.http.get('/api/v1/plans');
    const { planId } = plans.items.find(({ name }: { name: string }) => name.startsWith('Plantation ride'));
    const { body: plan } = await server.http.get(`/api/v1/plans/${planId}`);
    const gearId = plan.fresh.report.places.find(
      (place: { gearId?: string; kind: string }) => place.gearId && place.kind === 'bend',
    ).gearId;
    expect(plan.fresh.outOfDate).toEqual([]);
    const { planName } = await add({ planId, pieces: [{ gearId, takenOut: true }] });
    expect(planName).toBe(plan.name);
    expect((await server.http.get(`/api/v1/plans/${planId}`)).body.fresh.outOfDate.length).toBeGreaterThan(0);
  });
  it('stands in the life of each piece that was in it, and no other', async () => {
    const [strap, other] = [await piece(), await piece()];
    const { incidentId } = await add({ pieces: [{ gearId: strap, takenOut: false }] });
    const listed = async (gearId: string) => (await server.http.get(`/api/v1/incidents?gearId=${gearId}`).expect(200)).body.items;
    expect((await listed(strap)).map((entry: IncidentView) => entry.incidentId)).toEqual([incidentId]);
    expect(await listed(other)).toEqual([]);
    const { body: trail } = await server.http.get(`/api/v1/audit/${strap}`).expect(200);
    expect(trail.items[0].action).toBe(`was in a near miss on ${TODAY}`);
  });
  it('is added to by what is changed because of it, once however often it is sent', async () => {
    const { incidentId } = await add();
    const followUp = { followUpId: randomUUID(), words: 'Slower from now on' };
    await member.post(`/api/v1/incidents/${incidentId}/follow-ups`).send(followUp).expect(201);
    const { body } = await member.post(`/api/v1/incidents/${incidentId}/follow-ups`).send(followUp).expect(201);
    expect(body.followUps).toHaveLength(1);
    await member.post(`/api/v1/incidents/${incidentId}/follow-ups`).send({ followUpId: randomUUID(), words: '' }).expect(422);
    await member.post(`/api/v1/incidents/${randomUUID()}/follow-ups`).send({ followUpId: randomUUID(), words: 'Nowhere' }).expect(404);
  });
  it('is put right by a keeper, once; the first stays', async () => {
    const wrong = await add();
    await add({ corrects: wrong.incidentId }, 403);
    const right = await add({ corrects: wrong.incidentId, words: 'It was the other block.' }, 201, server.http);
    expect((await server.http.get(`/api/v1/incidents/${wrong.incidentId}`)).body.correctedBy).toBe(right.incidentId);
    await add({ corrects: wrong.incidentId }, 409, server.http);
    await add({ corrects: randomUUID() }, 422, server.http);
  });
  it('has pictures', async () => {
    const { incidentId } = await add();
    const example = examples.find(({ operation }) => operation === 'addPhoto')?.body;
    const photo = { ...example, photoId: randomUUID(), subjectId: incidentId, subjectKind: 'incident' };
    await member.post('/api/v1/photos').send(photo).expect(201);
    expect((await server.http.get(`/api/v1/incidents/${incidentId}`)).body.photoIds).toEqual([photo.photoId]);
    await member
      .post('/api/v1/photos')
      .send({ ...photo, photoId: randomUUID(), subjectId: randomUUID() })
      .expect(404);
  });
  it.each([
    ['a day that has not come', { on: '2026-01-16' }, 'on'],
    ['a kind that is none', { kind: 'meteor' }, 'kind'],
    ['no words', { words: '' }, 'words'],
  ])('of %s is refused by name, and nothing is kept', async (_what, fault, path) => {
    const sent = incident(fault);
    const { body } = await member.post('/api/v1/incidents').send(sent).expect(422);
    expect(body.faults.map((entry: { path: string }) => entry.path)).toContain(path);
    await server.http.get(`/api/v1/incidents/${sent.incidentId}`).expect(404);
  });
  it('with a piece that is not known, or named twice, is refused, and no piece is taken out', async () => {
    const strap = await piece();
    await add(
      {
        pieces: [
          { gearId: strap, takenOut: true },
          { gearId: randomUUID(), takenOut: true },
        ],
      },
      404,
    );
    await add(
      {
        pieces: [
          { gearId: strap, takenOut: true },
          { gearId: strap, takenOut: false },
        ],
      },
      422,
    );
    expect((await stateOf(strap)).state).toBe('in-use');
  });
  it('is a member’s to record and a reader’s to read', async () => {
    const reader = await server.as('reader');
    await add({}, 403, reader);
    await reader.get('/api/v1/incidents').expect(200);
  });
  it('is never changed or taken away, in the database either', async () => {
    const { incidentId } = await add({ changed: 'Something' });
    await server.owner.query("select set_config('wainrope.team_id', team_id::text, false) from membership limit 1");
    for (const table of ['incident', 'incident_follow_up'])
      await expect(server.owner.query(`update ${table} set words = '' where incident_id = $1`, [incidentId])).rejects.toThrow(
        'never changed',
      );
  });
  it('is listed newest first, a page at a time', async () => {
    const strap = await piece();
    for (const on of ['2026-01-10', '2026-01-12', '2026-01-11', '2026-01-12'])
      await add({ on, pieces: [{ gearId: strap, takenOut: false }] });
    const days: string[] = [];
    for (let next: string | undefined = ''; next !== undefined; ) {
      const before: string = next === '' ? '' : `&before=${encodeURIComponent(next)}`;
      const { body } = await server.http.get(`/api/v1/incidents?gearId=${strap}&limit=3${before}`).expect(200);
      days.push(...body.items.map(({ on }: IncidentView) => on));
      next = body.next;
    }
    expect(days).toEqual(['2026-01-12', '2026-01-12', '2026-01-11', '2026-01-10']);
    await server.http.get('/api/v1/incidents?before=yesterday').expect(422);
  });
});

describe('a season’s report', () => {
  const season = async (from: string, to: string) => (await server.http.get(`/api/v1/season?from=${from}&to=${to}`).expect(200)).body;
  it('counts a pull once however many pieces it loaded, and what it did to them', async () => {
    const before = await season(TODAY, TODAY);
    const strap = await piece();
    const load = (change: object) =>
      server.http
        .post('/api/v1/loads')
        .send({ recordId: randomUUID(), gearId: strap, on: TODAY, plannedN: 10_000, pulls: 2, ...change })
        .expect(201);
    await load({});
    const { body: over } = await load({ plannedN: 45_000, pulls: 1 });
    const after = await season(TODAY, TODAY);
    expect(after.pulls - before.pulls).toBe(3);
    expect(after.piecesLoaded - before.piecesLoaded).toBe(1);
    expect(after.overloads[0]).toMatchObject({ gearId: strap, happenedN: 45_000, overload: 'inspect' });
    expect(after.hardest[0].share).toBeGreaterThanOrEqual(over.share);
    // Yesterday knew nothing of it.
    expect((await season('2026-01-13', '2026-01-14')).overloads).toEqual([]);
    await load({ plannedN: 20_000, pulls: 1, corrects: over.recordId, note: 'Twenty' });
    expect((await season(TODAY, TODAY)).overloads.some(({ gearId }: { gearId: string }) => gearId === strap)).toBe(false);
  });
  it('has its incidents in full, without those that were put right', async () => {
    const wrong = await add({ on: '2026-01-05' });
    const right = await add({ on: '2026-01-05', corrects: wrong.incidentId }, 201, server.http);
    const { incidents } = await season('2026-01-05', '2026-01-05');
    expect(incidents.map(({ incidentId }: IncidentView) => incidentId)).toEqual([right.incidentId]);
  });
  it('counts inspections, what failed, and what went out of use, both days included', async () => {
    const { inspections, failed, takenOut, outings } = await season('2023-01-01', TODAY);
    expect(inspections).toBeGreaterThan(100);
    expect(failed).toBeGreaterThan(0);
    expect(takenOut).toBeGreaterThan(0);
    expect(outings).toBeGreaterThanOrEqual(0);
  });
  it('ends after it begins, on days of the calendar', async () => {
    await server.http.get('/api/v1/season?from=2026-01-02&to=2026-01-01').expect(422);
    await server.http.get('/api/v1/season?from=2026-02-30&to=2026-03-01').expect(422);
    await server.http.get('/api/v1/season').expect(422);
  });
});

describe('a figure of the team’s own', () => {
  it('is what pulls with a gauge came to, by ground, depth and machine; shown from three on, beside what was planned', async () => {
    const { body: plans } = await server.http.get('/api/v1/plans');
    const { planId } = plans.items.find(({ name }: { name: string }) => name.startsWith('Beck crossing'));
    const { body: plan } = await server.http.get(`/api/v1/plans/${planId}`);
    const { report } = plan.fresh;
    const load = plan.rig.bodies.find(({ id }: { id: string }) => id === plan.rig.load.bodyId);
    const { surface, depth } = plan.rig.situation;
    const pull = (share: number | undefined, pullId = randomUUID()) =>
      member
        .post(`/api/v1/plans/${planId}/pulls`)
        .send({ pullId, version: plan.version, on: TODAY, pulls: 1, ...(share && { linePeakN: report.plannedPullN * share }) })
        .expect(201);
    const own = async () =>
      (await server.http.get('/api/v1/own-figures').expect(200)).body.items.find(
        ({ machine }: { machine: string }) => machine === load.label,
      );
    await pull(undefined);
    expect(await own()).toBeUndefined();
    const once = randomUUID();
    for (const share of [0.5, 0.5]) await pull(share, once);
    await pull(0.4);
    const peakShare = (share: number) => (report.plannedPullN * share * report.advantage.hauling) / (load.massKg * 9.80665);
    expect(await own()).toMatchObject({ surface, depth, pulls: 2 });
    expect(await own()).not.toHaveProperty('median');
    await pull(0.6);
    const figure = await own();
    expect(figure).toMatchObject({ pulls: 3, lastOn: TODAY });
    expect(figure.median).toBeCloseTo(peakShare(0.5), 9);
    expect(figure.largest).toBeCloseTo(peakShare(0.6), 9);
    expect(figure.ofPlanned).toBeCloseTo((report.plannedPullN * 0.5 * report.advantage.hauling) / report.pullN, 9);
  });
});
