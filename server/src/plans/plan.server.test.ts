import { randomUUID } from 'node:crypto';
import { contentDigest, readRigFile, withWords } from '@wainrope/core';
import { judge } from '@wainrope/core/judging';
import { afterAll, beforeAll, describe, expect, it, vi } from 'vitest';
import { Judging } from '../judging/judging.ts';
import { startTestServer, type TestServer } from '../testing/test-server.ts';

let server: TestServer;
beforeAll(async () => {
  server = await startTestServer();
});
afterAll(() => server.stop());

const planNamed = async (name: string) => {
  const { body } = await server.http.get('/api/v1/plans').expect(200);
  const { planId } = body.items.find((plan: { name: string }) => plan.name === name);
  return (await server.http.get(`/api/v1/plans/${planId}`).expect(200)).body;
};

/** A copy of the demo's clear plan, so that tests do not disturb each other. */
const copy = async () => {
  const { rig } = await planNamed('Plantation ride, out over the drain');
  return (
    await server.http
      .post('/api/v1/plans')
      .send({ planId: randomUUID(), name: `Copy ${randomUUID().slice(0, 8)}`, rig })
      .expect(201)
  ).body;
};

describe('plans', () => {
  it('holds the four demo plans: clear, watch, stop and one with an open question', async () => {
    const { body } = await server.http.get('/api/v1/plans').expect(200);
    const verdicts = Object.fromEntries(body.items.map(({ name, verdict }: { name: string; verdict: string }) => [name, verdict]));
    expect(verdicts).toMatchObject({
      'Plantation ride, out over the drain': 'clear',
      'Otter at the ford': 'watch',
      'Bog below Tarn Quarry': 'stop',
      'Badger on the peat track': 'watch',
    });
    const { fresh } = await planNamed('Badger on the peat track');
    expect(
      fresh.report.findings.every(({ undecided, severity }: { undecided: boolean; severity: string }) => undecided || severity === 'note'),
    ).toBe(true);
    const demo = body.items.filter(({ name }: { name: string }) => !name.startsWith('With another strap'));
    expect(demo.every(({ outOfDate }: { outOfDate: string[] }) => outOfDate.length === 0)).toBe(true);
  });

  it('are listed with a small drawing, their day, and who and what is in them', async () => {
    const { body } = await server.http.get('/api/v1/plans').expect(200);
    const bog = body.items.find(({ name }: { name: string }) => name.startsWith('Bog below'));
    expect(bog).toMatchObject({ vehicles: ['Heron'], asOf: expect.stringMatching(/^\d{4}-\d{2}-\d{2}$/) });
    expect(bog.tags).toEqual(expect.arrayContaining(['TS-03', 'W-01', 'WL-01']));
    expect(bog.sketch.ropes[0].length).toBe(3);
    expect(bog.sketch.bodies.map(({ kind }: { kind: string }) => kind).sort()).toEqual(['tree', 'vehicle']);
    const beck = body.items.find(({ name }: { name: string }) => name.startsWith('Beck'));
    expect(beck.people).toEqual(['Isla Wrenfell', 'Tomas Aldbrook']);
  });
  it('solves again on the server and keeps versions; the same base twice is a conflict with what stands', async () => {
    const plan = await copy();
    const save = (name: string) => server.http.put(`/api/v1/plans/${plan.planId}`).send({ name, rig: plan.rig, baseVersion: 1 });
    expect((await save('First').expect(200)).body).toMatchObject({ version: 2, name: 'First', saved: { report: { verdict: 'clear' } } });
    const { body } = await save('Second').expect(409);
    expect(body.current).toMatchObject({ version: 2, name: 'First' });
    expect((await server.http.get(`/api/v1/plans/${plan.planId}`)).body.name).toBe('First');
  });

  it('lets one of two who save at once win', async () => {
    const plan = await copy();
    const answers = await Promise.all(
      ['A', 'B', 'C'].map((name) => server.http.put(`/api/v1/plans/${plan.planId}`).send({ name, rig: plan.rig, baseVersion: 1 })),
    );
    expect(answers.map(({ status }) => status).sort()).toEqual([200, 409, 409]);
  });

  it('refuses a rig it does not understand, with the path of each fault', async () => {
    const plan = await copy();
    const bad = structuredClone(plan.rig);
    bad.bodies[0].massKg = -5;
    bad.lines[0].to.chainId = 'nowhere';
    const { body } = await server.http.put(`/api/v1/plans/${plan.planId}`).send({ name: 'Bad', rig: bad, baseVersion: 1 }).expect(422);
    expect(body.faults.map(({ path }: { path: string }) => path)).toContain('rig.bodies[0].massKg');
    const unknown = structuredClone(plan.rig);
    unknown.chains[0].pieces[0].gearId = randomUUID();
    const second = await server.http.put(`/api/v1/plans/${plan.planId}`).send({ name: 'Bad', rig: unknown, baseVersion: 1 }).expect(422);
    expect(second.body.faults[0].path).toBe('rig.chains[0].pieces[0].gearId');
  });

  it('is out of date when a judged fact moves on, and not for a new note', async () => {
    const plan = await copy();
    const strapId = plan.rig.chains[0].pieces[0].gearId;
    const { gearId, inspection, factsRevision, ...strap } = (await server.http.get(`/api/v1/gear/${strapId}`)).body;
    const marks = strap.marks.map(({ asWritten, basis, source }: { asWritten: string; basis: string; source: string }) => ({
      asWritten,
      basis,
      source,
    }));
    const noted = await server.http
      .put(`/api/v1/gear/${gearId}`)
      .send({ ...strap, marks, note: 'washed' })
      .expect(200);
    expect((await server.http.get(`/api/v1/plans/${plan.planId}`)).body.fresh.outOfDate).toEqual([]);
    const change = (attributes: object, rowVersion: number) =>
      server.http
        .put(`/api/v1/gear/${gearId}`)
        .send({ ...strap, marks, attributes, rowVersion })
        .expect(200);
    const cut = await change({ ...strap.attributes, lengthM: 0.4 }, noted.body.rowVersion);
    const { saved, fresh } = (await server.http.get(`/api/v1/plans/${plan.planId}`)).body;
    expect(saved.report.verdict).toBe('clear');
    expect(fresh.report.verdict).not.toBe('clear');
    expect(fresh.outOfDate).toEqual([`${strap.tag}: its sizes or make-up have changed.`]);
    await change(strap.attributes, cut.body.rowVersion);
    expect((await server.http.get(`/api/v1/plans/${plan.planId}`)).body.fresh.outOfDate).toEqual([]);
  });

  it('is told by a list as it was saved, and why that no longer stands, with nothing solved', async () => {
    const plan = await copy();
    const strapId = plan.rig.chains[0].pieces[0].gearId;
    const listed = async () =>
      (await server.http.get('/api/v1/plans').expect(200)).body.items.find(({ planId }: { planId: string }) => planId === plan.planId);
    const asked = vi.spyOn(server.app.get(Judging), 'report');
    expect(await listed()).toMatchObject({ verdict: 'clear', outOfDate: [], weakest: expect.stringMatching(/\S/) });
    const { inspection, factsRevision, gearId, ...strap } = (await server.http.get(`/api/v1/gear/${strapId}`)).body;
    const marks = strap.marks.map(({ asWritten, basis, source }: { asWritten: string; basis: string; source: string }) => ({
      asWritten,
      basis,
      source,
    }));
    const change = (attributes: object, rowVersion: number) =>
      server.http
        .put(`/api/v1/gear/${strapId}`)
        .send({ ...strap, marks, attributes, rowVersion })
        .expect(200);
    const cut = await change({ ...strap.attributes, lengthM: 0.4 }, strap.rowVersion);
    expect(await listed()).toMatchObject({ verdict: 'clear', outOfDate: [`${strap.tag}: its sizes or make-up have changed.`] });
    expect(asked).not.toHaveBeenCalled();
    expect((await server.http.get(`/api/v1/plans/${plan.planId}`)).body.fresh.report.verdict).toBe('stop');
    expect(asked).toHaveBeenCalledOnce();
    asked.mockRestore();
    await change(strap.attributes, cut.body.rowVersion);
  });

  it('is out of date once its good-until day has passed', async () => {
    const plan = await copy();
    const until = plan.saved.report.goodUntil;
    process.env.WAINROPE_TODAY = '2027-06-01';
    const later = (await server.http.get(`/api/v1/plans/${plan.planId}`)).body;
    process.env.WAINROPE_TODAY = '2026-01-15';
    expect(later.fresh.outOfDate).toEqual([`It was good until ${until}.`]);
    expect(later.fresh.report.findings.map(({ code }: { code: string }) => code)).toContain('inspection-overdue');
  });

  it('gives a rig file that core judges the same', async () => {
    for (const name of ['Bog below Tarn Quarry', 'Otter at the ford']) {
      const plan = await planNamed(name);
      const { body } = await server.http.get(`/api/v1/plans/${plan.planId}/rig-file`).expect(200);
      const file = readRigFile(body);
      if (!file.ok) throw new Error(JSON.stringify(file.faults));
      expect(withWords(judge(file.value.case))).toEqual(plan.fresh.report);
      expect(contentDigest(file.value.case)).toBe(plan.fresh.caseDigest);
    }
  });

  it('reads what an earlier version kept: a policy and a plan from before the newer tables, and says that its rules have changed', async () => {
    const plan = await copy();
    const newer = ['hold', 'anchors', 'electric', 'hand', 'loads', 'sharing', 'stretch', 'respool', 'zones', 'severities', 'pull', 'runUp'];
    const older = async (table: string, column: string, keep: string, where: string) => {
      await server.owner.query(`alter table ${table} disable trigger user`);
      const { rowCount } = await server.owner.query(
        `update ${table} set ${column} = ${keep} ${where}`,
        where === '' ? [newer] : [newer, plan.planId],
      );
      expect(rowCount).toBeGreaterThan(0);
      await server.owner.query(`alter table ${table} enable trigger user`);
    };
    await server.owner.query("select set_config('wainrope.team_id', team_id::text, false) from membership limit 1");
    const policies = await server.owner.query('select policy_version_id, content from policy_version');
    await older('policy_version', 'content', 'content - $1::text[]', '');
    await older(
      'plan_version',
      'judged_case',
      "jsonb_set(judged_case, '{policy}', (judged_case->'policy') - $1::text[])",
      'where plan_id = $2',
    );
    await server.owner.query('alter table plan_version disable trigger user');
    await server.owner.query(
      "update plan_version set core_version = '5', judged_case = judged_case #- '{rig,load,travelM}' where plan_id = $1",
      [plan.planId],
    );
    await server.owner.query('alter table plan_version enable trigger user');
    const { fresh, saved } = (await server.http.get(`/api/v1/plans/${plan.planId}`).expect(200)).body;
    expect(fresh.outOfDate).toEqual(['The rules of this program have changed.']);
    // Clear then, of its first instant; nobody has said how far the load has to go.
    expect(saved.report.verdict).toBe('clear');
    expect(fresh.report.verdict).toBe('watch');
    expect(fresh.report.findings).toContainEqual(expect.objectContaining({ code: 'travel-not-said', undecided: true }));
    const { body } = await server.http.get(`/api/v1/plans/${plan.planId}/rig-file`).expect(200);
    expect(readRigFile(body).ok).toBe(true);
    await server.owner.query('alter table policy_version disable trigger user');
    for (const { policy_version_id, content } of policies.rows)
      await server.owner.query('update policy_version set content = $1 where policy_version_id = $2', [content, policy_version_id]);
    await server.owner.query('alter table policy_version enable trigger user');
  });
});
