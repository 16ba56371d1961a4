import { randomUUID } from 'node:crypto';
import type { VariantView } from '@wainrope/contract';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { startTestServer, type TestServer } from '../testing/test-server.ts';

let server: TestServer;
beforeAll(async () => {
  server = await startTestServer();
});
afterAll(() => server.stop());

const get = async (planId: string) => (await server.http.get(`/api/v1/plans/${planId}`).expect(200)).body;
const listed = async (name: string) => {
  const { body } = await server.http.get('/api/v1/plans').expect(200);
  return body.items.find((plan: { name: string }) => plan.name === name);
};
const rigNamed = async (name: string) => (await get((await listed(name)).planId)).rig;
const post = (input: object) => server.http.post('/api/v1/plans').send({ planId: randomUUID(), ...input });
const state = (planId: string, next: string, version = 1) =>
  server.http.post(`/api/v1/plans/${planId}/state`).send({ state: next, version });
const choose = (planId: string, version = 1, baseVersion = 1) =>
  server.http.post(`/api/v1/plans/${planId}/choose`).send({ version, baseVersion });
const namesOf = (variants: readonly VariantView[] = []) => variants.map(({ name }) => name);
const actions = async (id: string) =>
  (await server.http.get(`/api/v1/audit/${id}`).expect(200)).body.items.map(({ action }: { action: string }) => action);

/** A plan of the clear demo rig with as many variants of the stopped one. */
async function planWith(...names: readonly string[]) {
  const name = `Way ${randomUUID().slice(0, 8)}`;
  const [clear, bog] = [await rigNamed('Plantation ride, out over the drain'), await rigNamed('Bog below Tarn Quarry')];
  const plan = (await post({ name, rig: clear }).expect(201)).body;
  const variants = [];
  for (const variant of names) variants.push((await post({ name: variant, rig: bog, variantOf: plan.planId }).expect(201)).body);
  return { plan, variants };
}

describe('the variants of a plan', () => {
  it('stand with it until one is chosen: the plan first, then by name, each with its verdict', async () => {
    const { plan, variants } = await planWith('With two strands', 'By hand');
    const { variants: ways, variantOf } = await get(plan.planId);
    expect(variantOf).toBeUndefined();
    expect(ways).toMatchObject([
      { planId: plan.planId, name: plan.name, version: 1, verdict: 'clear' },
      { name: 'By hand', verdict: 'stop' },
      { name: 'With two strands', verdict: 'stop' },
    ]);
    expect(await get(variants[0].planId)).toMatchObject({ variantOf: plan.planId, variants: ways });
    expect((await listed('By hand')).variantOf).toBe(plan.planId);
    expect(await listed(plan.name)).not.toHaveProperty('variantOf');
    expect(await actions(variants[0].planId)).toEqual([`made a variant of ${plan.name}`]);
    // A variant of a variant is one of the plan.
    const third = (await post({ name: 'Third', rig: plan.rig, variantOf: variants[1].planId }).expect(201)).body;
    expect(third.variantOf).toBe(plan.planId);
  });

  it('a plan that has none says nothing of them', async () => {
    const { plan } = await planWith();
    expect(plan).not.toHaveProperty('variants');
    expect(plan).not.toHaveProperty('variantOf');
  });

  it('are made of drafts alone, and of plans that are there', async () => {
    const { plan } = await planWith();
    await state(plan.planId, 'ready').expect(200);
    const { body } = await post({ name: 'Too late', rig: plan.rig, variantOf: plan.planId }).expect(422);
    expect(body.faults).toEqual([
      { path: 'variantOf', message: `${plan.name} is ready; take it back to draft first, or copy this as a plan of its own.` },
    ]);
    const nowhere = await post({ name: 'Of nothing', rig: plan.rig, variantOf: randomUUID() }).expect(422);
    expect(nowhere.body.faults[0].message).toContain('no such plan');
    await post({ name: 'Of a word', rig: plan.rig, variantOf: 'bog' }).expect(422);
  });

  it('keep a plan from being ready, and are never ready themselves', async () => {
    const { plan, variants } = await planWith('With two strands');
    const refused = (await state(plan.planId, 'ready').expect(422)).body;
    expect(refused.faults).toEqual([{ path: 'state', message: 'It has variants still: With two strands. Choose one first.' }]);
    const clear = (await post({ name: 'As clear', rig: plan.rig, variantOf: plan.planId }).expect(201)).body;
    expect((await state(clear.planId, 'ready').expect(422)).body.faults[0].message).toBe(
      `As clear is a variant of ${plan.name}; choose it first.`,
    );
    await state(variants[0].planId, 'archived').expect(200);
    await state(clear.planId, 'archived').expect(200);
    await state(plan.planId, 'ready').expect(200);
    expect(await get(plan.planId)).not.toHaveProperty('variants');
    // One that was put away does not come back beside a plan that is ready.
    expect((await state(clear.planId, 'draft').expect(422)).body.faults[0].message).toContain('is ready; take it back to draft first');
    // Nor by being saved: then it would be a way of doing it again.
    const saved = () => server.http.put(`/api/v1/plans/${clear.planId}`).send({ name: 'As clear', rig: plan.rig, baseVersion: 1 });
    expect((await saved().expect(422)).body.faults[0].message).toBe(
      `${plan.name} is ready; take it back to draft first, or copy this as a plan of its own.`,
    );
    expect(await get(clear.planId)).toMatchObject({ state: 'archived', version: 1 });
    expect((await get(plan.planId)).state).toBe('ready');
    await state(plan.planId, 'draft').expect(200);
    await saved().expect(200);
    expect((await get(clear.planId)).state).toBe('draft');
    expect(namesOf((await get(plan.planId)).variants)).toEqual([plan.name, 'As clear']);
  });

  it('chosen, one becomes the plan’s next version under the plan’s name, judged anew; all are put away', async () => {
    const { plan, variants } = await planWith('With two strands', 'By hand');
    const { body } = await choose(variants[0].planId).expect(200);
    expect(body).toMatchObject({ planId: plan.planId, name: plan.name, version: 2, state: 'draft', rig: variants[0].rig });
    expect(body.saved.report.verdict).toBe('stop');
    expect(body).not.toHaveProperty('variants');
    for (const { planId } of variants) expect(await get(planId)).toMatchObject({ state: 'archived', version: 1 });
    expect((await actions(plan.planId))[0]).toBe('chose the variant With two strands');
    expect((await actions(variants[1].planId))[0]).toBe('put a variant away');
    const { body: versions } = await server.http.get(`/api/v1/plans/${plan.planId}/versions`).expect(200);
    expect(versions.items[0].changes.length).toBeGreaterThan(0);
    // Sent again, it is no longer what was meant.
    expect((await choose(variants[0].planId).expect(409)).body.current).toMatchObject({ planId: plan.planId, version: 2 });
    expect((await choose(variants[0].planId, 1, 2).expect(422)).body.faults[0].message).toContain('was put away');
  });

  it('the plan may stay as it is: it keeps its version, and its variants are put away', async () => {
    const { plan, variants } = await planWith('With two strands');
    const { body } = await choose(plan.planId).expect(200);
    expect(body).toMatchObject({ planId: plan.planId, version: 1, rig: plan.rig });
    expect((await get(variants[0].planId)).state).toBe('archived');
    await choose(plan.planId).expect(200);
    expect((await actions(plan.planId)).filter((action: string) => action.startsWith('kept a plan'))).toHaveLength(1);
  });

  it('nothing is chosen that somebody has changed meanwhile: neither the variant nor the plan', async () => {
    const { plan, variants } = await planWith('With two strands');
    const [{ planId, name, rig }] = variants;
    await server.http.put(`/api/v1/plans/${planId}`).send({ name, rig, baseVersion: 1 }).expect(200);
    const stale = (await choose(planId).expect(409)).body;
    expect(stale.detail).toContain('has saved version 2 of With two strands in the meantime');
    expect(stale.current.planId).toBe(plan.planId);
    await server.http.put(`/api/v1/plans/${plan.planId}`).send({ name: plan.name, rig: plan.rig, baseVersion: 1 }).expect(200);
    await choose(planId, 2, 1).expect(409);
    expect((await get(plan.planId)).version).toBe(2);
    await choose(planId, 2, 2).expect(200);
    expect((await get(plan.planId)).version).toBe(3);
  });

  it('go with their plan when it is put away; a variant that is dropped takes nothing along', async () => {
    const { plan, variants } = await planWith('With two strands', 'By hand');
    await state(variants[0].planId, 'archived').expect(200);
    expect(namesOf((await get(plan.planId)).variants)).toEqual([plan.name, 'By hand']);
    await state(plan.planId, 'archived').expect(200);
    expect((await get(variants[1].planId)).state).toBe('archived');
  });

  it('are chosen by whoever may write plans, and by nobody else', async () => {
    const { plan, variants } = await planWith('With two strands');
    const reader = await server.as('reader');
    await reader.post(`/api/v1/plans/${variants[0].planId}/choose`).send({ version: 1, baseVersion: 1 }).expect(403);
    for (const wrong of [{}, { version: 0, baseVersion: 1 }, { version: 1, baseVersion: 'x' }, { version: 1.5, baseVersion: 1 }])
      await server.http.post(`/api/v1/plans/${variants[0].planId}/choose`).send(wrong).expect(422);
    await choose(randomUUID()).expect(404);
    expect((await get(plan.planId)).variants).toHaveLength(2);
  });

  it('of two who choose at once one is heard, the other told what stands', async () => {
    const { plan, variants } = await planWith('With two strands', 'By hand');
    const answers = await Promise.all(variants.map(({ planId }) => choose(planId)));
    expect(answers.map(({ status }) => status).sort()).toEqual([200, 409]);
    expect((await get(plan.planId)).version).toBe(2);
  });
});
