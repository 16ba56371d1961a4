import type { APIRequestContext } from '@playwright/test';

/** An address of every page of the demo; of a plan each panel. */
export async function routesOf(request: APIRequestContext): Promise<readonly string[]> {
  const items = async (path: string): Promise<readonly { readonly [key: string]: string }[]> =>
    (await (await request.get(`/api/v1${path}`)).json()).items;
  const [plans, gear, kits, people, outings, incidents] = await Promise.all(
    ['/plans', '/gear', '/kits', '/people', '/outings', '/incidents'].map(items),
  );
  const bog = plans?.find(({ name }) => name?.startsWith('Bog'))?.planId;
  const tagged = (sought: string) => gear?.find(({ tag }) => tag === sought)?.gearId;
  const shackle = tagged('SH-01');
  return [
    ...[
      '/',
      '/gear',
      `/gear/${shackle}`,
      `/gear/${shackle}/edit`,
      `/gear/${tagged('W-01')}/respool`,
      '/gear/new',
      '/gear/import',
      '/kits',
      `/kits/${kits?.[0]?.kitId}`,
    ],
    ...['/outings', `/outings/${outings?.[0]?.outingId}`, '/vehicles', '/inspect', '/due', '/defects', '/plans', '/plans/new'],
    ...['findings', 'pull', 'outline', 'site', 'pieces', 'figures', 'record'].map((tab) => `/plans/${bog}?show=${tab}`),
    ...['/log', `/log/incidents/${incidents?.[0]?.incidentId}`, '/log/incidents/new', '/log/season'],
    ...[
      '/people',
      `/people/${people?.[0]?.personId}`,
      '/settings',
      '/sheets',
      '/trail',
      '/team-file',
      '/device',
      '/words',
      '/account',
      '/nowhere',
    ],
  ];
}
