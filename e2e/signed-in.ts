import { type APIRequestContext, test as base } from '@playwright/test';

/** Signs a browser or a request context in as the demo's first person of a role. */
export async function signInAs(request: APIRequestContext, role = 'coordinator'): Promise<void> {
  await request.delete('/api/v1/session');
  const { demoPeople } = await (await request.get('/api/v1/session')).json();
  const person = demoPeople.find((entry: { role: string }) => entry.role === role);
  const answer = await request.post('/api/v1/session/demo', { data: { personId: person.personId } });
  if (!answer.ok()) throw new Error(`Signing in as ${role} failed: ${answer.status()}`);
}

/** Tests begin signed in as the coordinator. */
export const test = base.extend({
  page: async ({ page }, use) => {
    await signInAs(page.request);
    await use(page);
  },
  request: async ({ request }, use) => {
    await signInAs(request);
    await use(request);
  },
});
