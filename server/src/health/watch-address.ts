import { createServer, type Server } from 'node:http';
import type { INestApplicationContext } from '@nestjs/common';
import { problemOf } from '../http/problem.ts';
import { HealthController } from './health.controller.ts';
import { Metrics } from './metrics.ts';

interface Answer {
  readonly status: number;
  readonly type: string;
  readonly body: string;
}

const json = (status: number, body: unknown): Answer => ({ status, type: 'application/json', body: JSON.stringify(body) });

async function ready(health: HealthController): Promise<Answer> {
  try {
    return json(200, await health.ready());
  } catch (error) {
    const problem = problemOf(error);
    return json(problem.status, problem);
  }
}

/** Health and metrics on an address of their own, for whoever watches: it need not be reached by anybody else, and asks for no sign-in. */
export function watchAddress(app: INestApplicationContext): Server {
  const health = app.get(HealthController);
  const { registry } = app.get(Metrics);
  const answers: { readonly [path: string]: () => Promise<Answer> | Answer } = {
    '/live': () => json(200, health.live()),
    '/ready': () => ready(health),
    '/metrics': async () => ({ status: 200, type: registry.contentType, body: await registry.metrics() }),
  };
  return createServer(({ method, url = '' }, response) => {
    const answer = method === 'GET' ? answers[url.split('?')[0] ?? ''] : undefined;
    const told = Promise.resolve(
      answer?.() ?? json(404, { status: 404, title: 'Not found', detail: 'There are /live, /ready and /metrics.' }),
    );
    told.then(
      ({ status, type, body }) => response.writeHead(status, { 'Content-Type': type, 'Cache-Control': 'no-store' }).end(body),
      (error: unknown) => response.writeHead(500, { 'Content-Type': 'text/plain' }).end(String(error)),
    );
  });
}
