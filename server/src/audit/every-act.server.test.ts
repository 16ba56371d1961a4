import type { NestExpressApplication } from '@nestjs/platform-express';
import pg from 'pg';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { createApplication } from '../application.ts';
import { operationsOf, STORY, story, type Written } from '../testing/story.ts';
import { ownDatabase, startTestServer, type TestServer } from '../testing/test-server.ts';

let server: TestServer;
let empty: NestExpressApplication;
let emptyOwner: pg.Client;
let operations: ReadonlyMap<string, Written>;
beforeAll(async () => {
  server = await startTestServer();
  const urls = await ownDatabase('empty');
  process.env.WAINROPE_DATABASE_URL = urls.appUrl;
  empty = await createApplication('');
  process.env.WAINROPE_DATABASE_URL = server.urls.appUrl;
  await empty.listen(0, '127.0.0.1');
  emptyOwner = new pg.Client({ connectionString: urls.ownerUrl });
  await emptyOwner.connect();
  operations = operationsOf((await server.http.get('/api/docs/openapi.json')).body);
});
afterAll(async () => {
  await emptyOwner.end();
  await empty.close();
  await server.stop();
});

/** Asks much and changes nothing of the team’s: what it would do is only looked at, or it is one’s own mark in a book. */
const CHANGES_NOTHING = [
  'previewImport',
  'previewPolicy',
  'lookAtInvitation',
  'markSeen',
  'putFirstStepsAway',
  'keepRound',
  'putRoundAway',
];
/** A way to ask that does something: the file leaves the house. */
const DOES_SOMETHING = ['getBundle'];
/** Sent again it is another act: another link, another signing in, another taking out. */
const ANOTHER_ACT = ['signIn', 'signInToDemo', 'invitePerson', 'makeCalendarLink', 'getBundle', 'signOut', 'signOutEverywhere'];

const acts = ({ method, operationId }: Written) =>
  (method !== 'get' && !CHANGES_NOTHING.includes(operationId)) || DOES_SOMETHING.includes(operationId);

/** Every entry of every team: of the server, and of the one that was empty. */
async function entries(): Promise<number> {
  let count = 0;
  for (const owner of [server.owner, emptyOwner]) {
    const { rows } = await owner.query<{ team_id: string }>('select distinct team_id from membership');
    for (const { team_id } of rows) {
      await owner.query("select set_config('wainrope.team_id', $1, false)", [team_id]);
      count += Number((await owner.query('select count(*) from audit_entry')).rows[0].count);
    }
  }
  return count;
}

describe('the trail', () => {
  it('has a row of every act that changes something, and none of what changes nothing or is sent again', async () => {
    const { tell, again } = await story({ server, empty, operations });
    /** How many entries something leaves. */
    const left = async (act: () => Promise<{ readonly answer: { readonly status: number } }>) => {
      const before = await entries();
      const { answer } = await act();
      return { status: answer.status, count: (await entries()) - before };
    };
    const wrong: string[] = [];
    for (const example of STORY) {
      const { operation } = example;
      const asked = operations.get(operation) as Written;
      const first = await left(() => tell(example));
      expect([operation, first.status < 300]).toEqual([operation, true]);
      if (first.count > 0 !== acts(asked)) wrong.push(`${operation} leaves ${first.count}`);
      if (!acts(asked) || ANOTHER_ACT.includes(operation)) continue;
      const repeated = await left(() => again(example));
      if (repeated.count > 0) wrong.push(`${operation} sent again, answered ${repeated.status}, leaves ${repeated.count}`);
    }
    expect(wrong).toEqual([]);
  });
});
