import { randomUUID } from 'node:crypto';
import { RequestMethod, type Type } from '@nestjs/common';
import { METHOD_METADATA, PATH_METADATA } from '@nestjs/common/constants.js';
import { ModulesContainer } from '@nestjs/core';
import { may, type PersonRole, personRoles } from '@wainrope/contract';
import type supertest from 'supertest';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { ACCESS, type Access } from '../actor/route-access.ts';
import { foundOtherTeam } from '../testing/other-team.ts';
import { streamStatus } from '../testing/stream-status.ts';
import { demoIds, startTestServer, type TestServer } from '../testing/test-server.ts';

interface RouteOf {
  readonly method: 'get' | 'post' | 'put' | 'delete' | 'patch';
  readonly path: string;
  readonly access: Access | undefined;
}

let server: TestServer;
let routes: readonly RouteOf[];
let ids: { readonly [parameter: string]: string };
beforeAll(async () => {
  server = await startTestServer();
  routes = routesOf(server);
  ids = await demoIds(server);
});
afterAll(() => server.stop());

/** The framework's own list: every handler of every controller, with its method, path and access. */
function routesOf({ app }: TestServer): readonly RouteOf[] {
  const controllers = [...app.get(ModulesContainer).values()].flatMap((module) => [...module.controllers.values()]);
  return controllers.flatMap(({ metatype }) => {
    const controller = metatype as Type;
    const base = Reflect.getMetadata(PATH_METADATA, controller) as string;
    return Object.getOwnPropertyNames(controller.prototype).flatMap((name) => {
      const handler = controller.prototype[name];
      const method = Reflect.getMetadata(METHOD_METADATA, handler) as RequestMethod | undefined;
      if (method === undefined) return [];
      const path = `/api/v1/${base}/${Reflect.getMetadata(PATH_METADATA, handler)}`.replace(/\/+/g, '/').replace(/\/$/, '');
      const access = (Reflect.getMetadata(ACCESS, handler) ?? Reflect.getMetadata(ACCESS, controller)) as Access | undefined;
      return [{ method: RequestMethod[method].toLowerCase() as RouteOf['method'], path, access }];
    });
  });
}

/** A request with real ids of the demo team and an empty body: whoever is let in gets at most a refusal of the content. */
async function ask(agent: supertest.Agent, { method, path }: RouteOf): Promise<number> {
  const address = path.replace(/:(\w+)/g, (_all, name: string) => ids[name] ?? randomUUID());
  const request = agent[method](address);
  if (path.endsWith('/events')) return streamStatus(request);
  const { status } = method === 'get' ? await request : await request.send({});
  return status;
}

describe('every route of the server', () => {
  it('says who may use it', () => {
    expect(routes.length).toBeGreaterThan(15);
    expect(routes.filter(({ access }) => access === undefined)).toEqual([]);
  });

  it('refuses whoever is not signed in, unless it is open', async () => {
    const agent = await server.as();
    for (const route of routes.filter(({ access }) => access?.kind === 'needs'))
      expect([route.method, route.path, await ask(agent, route)]).toEqual([route.method, route.path, 401]);
  });

  it.each(personRoles)(
    'lets a %s in where the table says so, and nowhere else',
    async (role: PersonRole) => {
      for (const route of routes) {
        if (route.access?.kind !== 'needs' || route.path.endsWith('session/everywhere')) continue;
        const status = await ask(await server.as(role), route);
        const allowed = may(role, route.access.capability);
        expect([route.method, route.path, status === 403]).toEqual([route.method, route.path, !allowed]);
        if (allowed) expect([route.method, route.path, status]).not.toEqual([route.method, route.path, 401]);
        if (status >= 500) throw new Error(`${route.method} ${route.path} answered ${status}`);
      }
    },
    300_000,
  );

  it('shows and does nothing of this team to the coordinator of another', async () => {
    const other = await foundOtherTeam(server);
    for (const route of routes) {
      if (route.access?.kind !== 'needs' || !route.path.includes(':')) continue;
      const status = await ask(other, route);
      const empty = route.path === '/api/v1/audit/:subjectId';
      expect([route.method, route.path, status]).toEqual([
        route.method,
        route.path,
        empty ? 200 : expect.toSatisfy((code) => code === 404 || code === 422),
      ]);
    }
    expect((await other.get(`/api/v1/audit/${ids.gearId}`)).body).toEqual({ items: [] });
    expect((await other.get('/api/v1/gear')).body).toEqual({ items: [] });
  });
});
