import { afterAll, beforeAll, expect, it } from 'vitest';
import { startTestServer, type TestServer } from '../testing/test-server.ts';

let server: TestServer;
beforeAll(async () => {
  server = await startTestServer();
});
afterAll(() => server.stop());

const ADDRESS = '/api/v1/visit/first-steps';

it('a team sees how far it is, by what it has, and puts the list away for all its keepers', async () => {
  expect((await server.http.get(ADDRESS).expect(200)).body).toEqual({
    people: true,
    gear: true,
    kit: true,
    vehicle: true,
    plan: true,
    putAway: false,
  });
  expect((await server.http.put(ADDRESS).send({ putAway: true }).expect(200)).body).toMatchObject({ putAway: true });
  const keeper = await server.as('gear-keeper');
  expect((await keeper.get(ADDRESS).expect(200)).body).toMatchObject({ putAway: true });
  await server.http.put(ADDRESS).send({ putAway: 'yes' }).expect(422);
  await (await server.as('member')).get(ADDRESS).expect(403);
});

it('a team of one person with nothing has done nothing; what left it does not count', async () => {
  await server.owner.query('begin');
  try {
    const { rows } = await server.owner.query<{ team_id: string }>('select distinct team_id from membership');
    await server.owner.query("select set_config('wainrope.team_id', $1, true)", [rows[0]?.team_id]);
    await server.owner.query("update person set left_on = '2026-01-01' where role <> 'coordinator'");
    await server.owner.query("update gear set state = 'retired'");
  } finally {
    await server.owner.query('commit');
  }
  expect((await server.http.get(ADDRESS).expect(200)).body).toMatchObject({
    people: false,
    gear: false,
    kit: false,
    vehicle: true,
    plan: true,
  });
});
