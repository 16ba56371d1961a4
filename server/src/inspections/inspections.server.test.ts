import { randomUUID } from 'node:crypto';
import { type InspectionSheet, standardSheets } from '@wainrope/core';
import sharp from 'sharp';
import type supertest from 'supertest';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { base64, newPiece, startTestServer, type TestServer } from '../testing/test-server.ts';
import { TODAY } from '../testing/today.ts';

let server: TestServer;
let keeper: supertest.Agent;
let member: supertest.Agent;
beforeAll(async () => {
  server = await startTestServer();
  keeper = await server.as('gear-keeper');
  member = await server.as('member');
});
afterAll(() => server.stop());

const sheet: InspectionSheet = standardSheets['tree-strap'];
const allOk = Object.fromEntries(sheet.points.map(({ id }) => [id, 'ok']));
const FAILING = { ...allOk, 'edge-and-face-without-cuts': 'fails' };

async function strap(): Promise<string> {
  const piece = newPiece();
  await server.http.post('/api/v1/gear').send(piece).expect(201);
  return piece.gearId;
}

function inspection(gearId: string, change: object = {}) {
  return {
    inspectionId: randomUUID(),
    gearId,
    kind: 'calendar',
    on: TODAY,
    sheetVersion: 0,
    answers: { points: allOk, measures: {}, notes: {} },
    grade: 'A',
    nextDue: '2026-07-15',
    ...change,
  };
}
const failing = {
  answers: { points: FAILING, measures: {}, notes: { 'edge-and-face-without-cuts': 'a finger wide' } },
  grade: 'D',
  nextDue: undefined,
};
const gearOf = async (gearId: string) => (await server.http.get(`/api/v1/gear/${gearId}`).expect(200)).body;
const careOf = async (gearId: string) => (await server.http.get(`/api/v1/gear/${gearId}/care`).expect(200)).body;

/** A copy of a demo plan that uses one piece in the place of another. */
async function planWith(planned: string, instead: string): Promise<string> {
  const { body: plans } = await server.http.get('/api/v1/plans');
  const { planId } = plans.items.find(({ name }: { name: string }) => name.startsWith('Plantation ride'));
  const { body: plan } = await server.http.get(`/api/v1/plans/${planId}`);
  const rig = JSON.parse(JSON.stringify(plan.rig).replaceAll(planned, instead));
  const copy = randomUUID();
  await server.http
    .post('/api/v1/plans')
    .send({ planId: copy, name: `With another strap ${copy.slice(0, 4)}`, rig })
    .expect(201);
  return copy;
}

describe('an inspection', () => {
  it('gives the piece its grade and due day, once however often it is sent', async () => {
    const gearId = await strap();
    const sent = inspection(gearId);
    const { body } = await keeper.post('/api/v1/inspections').send(sent).expect(201);
    expect(body).toMatchObject({ grade: 'A', proposedGrade: 'A', kind: 'calendar', sheetVersion: 0, by: 'Tomas Aldbrook' });
    await keeper.post('/api/v1/inspections').send(sent).expect(201);
    expect((await gearOf(gearId)).inspection).toEqual({ on: TODAY, grade: 'A', nextDue: '2026-07-15', by: 'Tomas Aldbrook' });
    expect((await careOf(gearId)).inspections).toHaveLength(1);
  });

  it('refuses what is not answered, not known or not yet come, naming each', async () => {
    const gearId = await strap();
    const { 'no-grit-in-the-weave': _open, ...rest } = allOk;
    const sent = inspection(gearId, {
      on: '2026-01-16',
      nextDue: '2026-01-10',
      grade: undefined,
      answers: { points: { ...rest, 'no-rust': 'ok' }, measures: {}, notes: {} },
    });
    const { body } = await keeper.post('/api/v1/inspections').send(sent).expect(422);
    expect(body.faults.map(({ path }: { path: string }) => path).sort()).toEqual([
      'answers.points.no-grit-in-the-weave',
      'answers.points.no-rust',
      'grade',
      'nextDue',
      'on',
    ]);
    expect((await careOf(gearId)).inspections).toEqual([]);
  });

  it('cannot be graded milder than its findings without a reason, and never where a point fails', async () => {
    const gearId = await strap();
    const worn = { points: { ...allOk, 'eyes-not-worn': 'worn' }, measures: {}, notes: {} };
    await keeper
      .post('/api/v1/inspections')
      .send(inspection(gearId, { answers: worn, grade: 'A' }))
      .expect(422);
    await keeper
      .post('/api/v1/inspections')
      .send(inspection(gearId, { answers: worn, grade: 'A', note: 'Only the cover is worn' }))
      .expect(201);
    const { body } = await keeper
      .post('/api/v1/inspections')
      .send(inspection(gearId, { ...failing, grade: 'C', note: 'it will do' }))
      .expect(422);
    expect(body.faults[0].message).toContain('its grade is D');
  });

  it('with a failing point takes the piece out of use at once, opens the defect, and makes plans that use it out of date', async () => {
    const { body: list } = await server.http.get('/api/v1/gear?after=TS-00&limit=5');
    const { gearId: planned, kind, attributes } = list.items.find(({ tag }: { tag: string }) => tag === 'TS-01');
    const used = newPiece({ kind, attributes });
    await server.http.post('/api/v1/gear').send(used).expect(201);
    const plan = await planWith(planned, used.gearId);
    await keeper.post('/api/v1/inspections').send(inspection(used.gearId, failing)).expect(201);
    expect((await gearOf(used.gearId)).state).toBe('quarantined');
    const { body: now } = await server.http.get(`/api/v1/plans/${plan}`).expect(200);
    expect(now.fresh.outOfDate).toEqual([`${used.tag}: was in use, is quarantined.`]);
    expect(now.fresh.report.verdict).toBe('stop');
    const care = await careOf(used.gearId);
    expect(care.defects[0]).toMatchObject({ failed: true, words: 'Edge and face without cuts: fails (a finger wide)' });
    expect(care.states[0]).toMatchObject({ from: 'in-use', to: 'quarantined', by: 'Tomas Aldbrook' });
    expect((await server.http.get('/api/v1/defects')).body.items.some(({ tag }: { tag: string }) => tag === used.tag)).toBe(true);
    const back = inspection(used.gearId, { kind: 'after-repair', returnsToUse: true, note: 'Another strap under the same tag' });
    await server.http.post('/api/v1/inspections').send(back).expect(201);
    expect((await careOf(used.gearId)).defects[0].closedOn).toBe(TODAY);
  });

  it('is returned to use by somebody else than the keeper who failed it', async () => {
    const gearId = await strap();
    await keeper.post('/api/v1/inspections').send(inspection(gearId, failing)).expect(201);
    const back = () => inspection(gearId, { kind: 'after-repair', returnsToUse: true });
    const { body } = await keeper.post('/api/v1/inspections').send(back()).expect(403);
    expect(body.detail).toContain('somebody else must return it');
    await member.post('/api/v1/inspections').send(back()).expect(403);
    expect((await gearOf(gearId)).state).toBe('quarantined');
    await server.http.post('/api/v1/inspections').send(back()).expect(201);
    expect((await gearOf(gearId)).state).toBe('in-use');
  });

  it('without being asked for leaves a quarantined piece where it is', async () => {
    const gearId = await strap();
    await keeper.post('/api/v1/inspections').send(inspection(gearId, failing)).expect(201);
    await server.http.post('/api/v1/inspections').send(inspection(gearId)).expect(201);
    expect((await gearOf(gearId)).state).toBe('quarantined');
  });

  it('before or after use is a member’s; it leaves the grade as it stands unless something fails', async () => {
    const gearId = await strap();
    await keeper
      .post('/api/v1/inspections')
      .send(inspection(gearId, { grade: 'A', nextDue: '2026-05-01' }))
      .expect(201);
    const check = inspection(gearId, { kind: 'after-use', grade: undefined, nextDue: undefined });
    await member
      .post('/api/v1/inspections')
      .send({ ...check, grade: 'A' })
      .expect(422);
    await member.post('/api/v1/inspections').send(check).expect(201);
    expect((await gearOf(gearId)).inspection).toMatchObject({ grade: 'A', nextDue: '2026-05-01', by: 'Tomas Aldbrook' });
    await member
      .post('/api/v1/inspections')
      .send({ ...check, inspectionId: randomUUID(), answers: failing.answers })
      .expect(201);
    expect(await gearOf(gearId)).toMatchObject({ state: 'quarantined', inspection: { grade: 'D' } });
    await member.post('/api/v1/inspections').send(inspection(gearId)).expect(403);
  });

  it('that corrects another takes its place and names it in the trail', async () => {
    const gearId = await strap();
    const wrong = inspection(gearId, { grade: 'C', note: 'mixed up with another' });
    await keeper.post('/api/v1/inspections').send(wrong).expect(201);
    const right = inspection(gearId, { grade: 'A', on: '2026-01-14', corrects: wrong.inspectionId });
    await keeper.post('/api/v1/inspections').send(right).expect(201);
    expect((await gearOf(gearId)).inspection).toMatchObject({ grade: 'A', on: '2026-01-14' });
    const { body } = await server.http.get(`/api/v1/audit/${right.inspectionId}`);
    const { body: before } = await server.http.get(`/api/v1/audit/${wrong.inspectionId}`);
    expect(body.items[0]).toMatchObject({ action: 'corrected an inspection of', corrects: before.items[0].entryNo });
  });

  it('keeps the sheet it was made with when the team changes it', async () => {
    const gearId = await strap();
    const before = inspection(gearId);
    await keeper.post('/api/v1/inspections').send(before).expect(201);
    const shorter = { ...sheet, points: sheet.points.slice(0, 2), measures: [] };
    await keeper
      .put('/api/v1/inspection-sheets/tree-strap')
      .send({ baseVersion: 0, sheet: shorter, reason: 'Shorter for a trial' })
      .expect(403);
    await server.http
      .put('/api/v1/inspection-sheets/tree-strap')
      .send({ baseVersion: 0, sheet: shorter, reason: 'Shorter for a trial' })
      .expect(200);
    const stale = await server.http
      .put('/api/v1/inspection-sheets/tree-strap')
      .send({ baseVersion: 0, sheet, reason: 'Back again' })
      .expect(409);
    expect(stale.body.current.version).toBe(1);
    const short = { points: Object.fromEntries(shorter.points.map(({ id }) => [id, 'ok'])), measures: {}, notes: {} };
    await keeper
      .post('/api/v1/inspections')
      .send(inspection(gearId, { sheetVersion: 1, answers: short }))
      .expect(201);
    const { body } = await server.http.get(`/api/v1/inspections/${before.inspectionId}`).expect(200);
    expect(body.sheet.points).toHaveLength(sheet.points.length);
  });
});

describe('what has failed', () => {
  const shackle = standardSheets['steel-shackle'];
  const points = Object.fromEntries(shackle.points.map(({ id }) => [id, 'ok']));
  const worn = { 'bow-diameter-where-worn-most': { value: 0.016 } };
  const made = async () => {
    const piece = newPiece({ kind: 'steel-shackle', attributes: { bowDiameterM: 0.019 } });
    await server.http.post('/api/v1/gear').send(piece).expect(201);
    return piece.gearId;
  };
  const sent = (gearId: string, measures: object, change: object = {}) =>
    inspection(gearId, { answers: { points, measures, notes: {} }, ...change });

  it('by a measure does not return to use unmeasured, but measured anew or closed with how it was put right', async () => {
    const gearId = await made();
    await keeper
      .post('/api/v1/inspections')
      .send(sent(gearId, worn, { grade: 'D', nextDue: undefined }))
      .expect(201);
    const { body } = await server.http
      .post('/api/v1/inspections')
      .send(sent(gearId, {}, { returnsToUse: true }))
      .expect(422);
    expect(body.faults[0]).toMatchObject({ path: 'returnsToUse', message: expect.stringContaining('Still open: Bow diameter') });
    expect((await gearOf(gearId)).state).toBe('quarantined');
    const whole = { 'bow-diameter-where-worn-most': { value: 0.0189 } };
    await server.http
      .post('/api/v1/inspections')
      .send(sent(gearId, whole, { returnsToUse: true }))
      .expect(201);
    expect((await gearOf(gearId)).state).toBe('in-use');
    const other = await made();
    await keeper
      .post('/api/v1/inspections')
      .send(sent(other, worn, { grade: 'D', nextDue: undefined }))
      .expect(201);
    const [defect] = (await careOf(other)).defects;
    await keeper.post(`/api/v1/defects/${defect.defectId}/closing`).send({ how: 'New bow, by the maker' }).expect(200);
    await server.http
      .post('/api/v1/inspections')
      .send(sent(other, {}, { returnsToUse: true }))
      .expect(201);
  });

  it('cannot hide behind a measure that is not weighed, nor behind a next day that is not said', async () => {
    const gearId = await made();
    const unweighed = { 'inside-width-at-the-pin': { value: 0.04 } };
    const { body } = await keeper.post('/api/v1/inspections').send(sent(gearId, unweighed)).expect(422);
    expect(body.faults[0].path).toBe('answers.measures.inside-width-at-the-pin.whenNew');
    const later = await keeper
      .post('/api/v1/inspections')
      .send(sent(gearId, {}, { nextDue: undefined }))
      .expect(422);
    expect(later.body.faults[0].path).toBe('nextDue');
  });

  it('leaves the versions of a piece alone where a check found nothing', async () => {
    const gearId = await made();
    const before = await gearOf(gearId);
    await member
      .post('/api/v1/inspections')
      .send(sent(gearId, {}, { kind: 'after-use', grade: undefined, nextDue: undefined }))
      .expect(201);
    const after = await gearOf(gearId);
    expect([after.rowVersion, after.factsRevision]).toEqual([before.rowVersion, before.factsRevision]);
    await keeper.post('/api/v1/inspections').send(sent(gearId, {})).expect(201);
    const inspected = await gearOf(gearId);
    expect([inspected.rowVersion, inspected.factsRevision]).toEqual([before.rowVersion, before.factsRevision + 1]);
  });
});

describe('the state of a piece', () => {
  it('changes by quarantine with a reason and by retiring with how it was destroyed, never by editing', async () => {
    const piece = newPiece();
    const { body: added } = await server.http.post('/api/v1/gear').send(piece).expect(201);
    const { gearId, ...input } = piece;
    const edit = await keeper
      .put(`/api/v1/gear/${gearId}`)
      .send({ ...input, state: 'quarantined', rowVersion: added.rowVersion })
      .expect(422);
    expect(edit.body.faults[0].path).toBe('state');
    await member.post(`/api/v1/gear/${gearId}/quarantine`).send({ reason: '' }).expect(422);
    await member.post(`/api/v1/gear/${gearId}/quarantine`).send({ reason: 'Fell off the truck' }).expect(200);
    await keeper.post(`/api/v1/gear/${gearId}/retire`).send({ reason: 'Cut through' }).expect(422);
    await keeper.post(`/api/v1/gear/${gearId}/retire`).send({ reason: 'Cut through', destroyed: 'Cut into short lengths' }).expect(200);
    expect((await gearOf(gearId)).state).toBe('retired');
    await server.http
      .post('/api/v1/inspections')
      .send(inspection(gearId, { returnsToUse: true }))
      .expect(422);
    await server.http.delete(`/api/v1/gear/${gearId}`).expect(404);
  });
});

describe('exposure', () => {
  it('brings the next inspection forward, and washing in time takes that back', async () => {
    const gearId = await strap();
    await keeper
      .post('/api/v1/inspections')
      .send(inspection(gearId, { on: '2026-01-01', nextDue: '2026-07-01' }))
      .expect(201);
    const expose = (kind: string, on: string) =>
      member.post(`/api/v1/gear/${gearId}/exposures`).send({ exposureId: randomUUID(), kind, on });
    await expose('salt', '2026-01-14').expect(200);
    expect((await gearOf(gearId)).inspection).toMatchObject({ nextDue: '2026-04-02', shortenedBy: 'salt on 2026-01-14' });
    await expose('washed', TODAY).expect(200);
    expect((await gearOf(gearId)).inspection.nextDue).toBe('2026-07-01');
    await expose('mud', '2026-02-01').expect(422);
  });
});

describe('what a device kept until there was a signal', () => {
  it('is taken from the person who confirmed it, and from nobody else, though they be signed in there by now', async () => {
    const gearId = await strap();
    const { personId } = (await keeper.get('/api/v1/session').expect(200)).body.person;
    const sent = inspection(gearId, { confirmedBy: personId });
    expect((await server.http.post('/api/v1/inspections').send(sent).expect(401)).body.title).toBe('Signed in as somebody else');
    expect((await gearOf(gearId)).inspection).toBeUndefined();
    await keeper.post('/api/v1/inspections').send(sent).expect(201);
    expect((await gearOf(gearId)).inspection.by).toBe('Tomas Aldbrook');
    // Also where it is there already, nothing is said of it to somebody else.
    await server.http.post('/api/v1/inspections').send(sent).expect(401);
    const photo = {
      photoId: randomUUID(),
      subjectId: sent.inspectionId,
      subjectKind: 'inspection',
      confirmedBy: personId,
      contentBase64: base64('a photo of the failing eye'),
      thumbnailBase64: base64('the same one, only smaller'),
    };
    await server.http.post('/api/v1/photos').send(photo).expect(401);
  });
});

describe('photos', () => {
  let jpeg: Buffer;
  beforeAll(async () => {
    const plain = await sharp({ create: { width: 64, height: 48, channels: 3, background: '#5a7850' } })
      .jpeg()
      .toBuffer();
    jpeg = Buffer.concat([
      plain.subarray(0, 2),
      Buffer.from([0xff, 0xe1, 0, 16]),
      Buffer.from('Exif GPS 54.1N'),
      plain.subarray(2),
      Buffer.from('GPS behind it'),
    ]);
  });
  it('are kept without what the camera wrote, once, and shown to the team', async () => {
    const gearId = await strap();
    const made = inspection(gearId);
    await keeper.post('/api/v1/inspections').send(made).expect(201);
    const photo = {
      photoId: randomUUID(),
      subjectId: made.inspectionId,
      subjectKind: 'inspection',
      contentBase64: jpeg.toString('base64'),
      thumbnailBase64: jpeg.toString('base64'),
    };
    await member.post('/api/v1/photos').send(photo).expect(201);
    await member.post('/api/v1/photos').send(photo).expect(201);
    const { body, headers } = await server.http.get(`/api/v1/photos/${photo.photoId}`).expect(200);
    expect(headers['content-type']).toBe('image/jpeg');
    expect(body.includes('GPS')).toBe(false);
    expect((await server.http.get(`/api/v1/inspections/${made.inspectionId}`)).body.photoIds).toEqual([photo.photoId]);
  });
  it('are refused where there is nothing they could be of', async () => {
    const photo = {
      photoId: randomUUID(),
      subjectId: randomUUID(),
      contentBase64: jpeg.toString('base64'),
      thumbnailBase64: jpeg.toString('base64'),
    };
    for (const subjectKind of ['inspection', 'vehicle', 'hook-up'])
      await member
        .post('/api/v1/photos')
        .send({ ...photo, subjectKind })
        .expect(404);
  });
  it('are refused where they are no photo', async () => {
    const photo = {
      photoId: randomUUID(),
      subjectId: randomUUID(),
      subjectKind: 'inspection',
      contentBase64: base64('not a photo, only words'),
      thumbnailBase64: base64('not a photo, only words'),
    };
    expect((await member.post('/api/v1/photos').send(photo).expect(422)).body.faults[0].path).toBe('contentBase64');
  });
});
