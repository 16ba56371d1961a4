import { randomUUID } from 'node:crypto';
import type supertest from 'supertest';
import { AccessService } from '../access/access.service.ts';
import type { TestServer } from './test-server.ts';

/** An agent signed in as the coordinator of a team of its own, founded by a set-up link as anybody would. */
export async function foundOtherTeam({ app, as }: TestServer): Promise<supertest.Agent> {
  const { path } = await app.get(AccessService).setUpLink();
  const agent = await as();
  const login = `other.${randomUUID().slice(0, 8)}`;
  await agent
    .post('/api/v1/invitations/accept')
    .send({ token: path.split('#')[1], login, password: 'heather and wet rope', teamName: 'Another team', personName: 'Somebody Else' })
    .expect(201);
  return agent;
}
