import { Dexie, type Table } from 'dexie';

/** What the server last answered to one question, as this device keeps it. */
export interface KeptAnswer {
  /** The address that was asked, with its query. */
  readonly key: string;
  readonly data: unknown;
  readonly at: string;
  /** Of which state of the thing it tells, where a list says so: it need not be asked again while that stands. */
  readonly mark?: string;
}

/** Whose answers these are: they are shown to nobody else. */
interface Owner {
  readonly name: 'owner';
  readonly personId: string;
  readonly teamId: string;
}

class KeptDatabase extends Dexie {
  answers!: Table<KeptAnswer, string>;
  owner!: Table<Owner, 'owner'>;

  constructor() {
    super('wainrope-kept');
    this.version(1).stores({ answers: 'key', owner: 'name' });
  }
}

const database = new KeptDatabase();
export const SESSION = '/api/v1/session';

interface SessionAnswer {
  readonly signedIn?: boolean;
  readonly person?: { readonly personId: string };
  readonly team?: { readonly teamId: string };
}

/** Acts follow each other in the order in which they were asked for: an answer is never kept before the session that it belongs to. */
let last: Promise<unknown> = Promise.resolve();
function inTurn<T>(act: () => Promise<T>): Promise<T> {
  const done = last.then(act, act);
  last = done.catch(() => undefined);
  return done;
}

/** Keeps an answer. While nobody is signed in nothing is kept; a session that has ended, or is somebody else's, lets go of what was the last one's. */
export function keepAnswer(answer: KeptAnswer): Promise<void> {
  return inTurn(() =>
    database.transaction('rw', database.answers, database.owner, async () => {
      if (answer.key === SESSION) await ownedBy(answer.data as SessionAnswer);
      else if ((await database.owner.count()) === 0) return;
      await database.answers.put(answer);
    }),
  );
}

async function ownedBy({ signedIn, person, team }: SessionAnswer): Promise<void> {
  const before = await database.owner.get('owner');
  if (!signedIn || !person || !team) {
    await database.answers.clear();
    await database.owner.clear();
    return;
  }
  const { personId } = person;
  const { teamId } = team;
  if (before?.personId === personId && before.teamId === teamId) return;
  await database.answers.clear();
  await database.owner.put({ name: 'owner', personId, teamId });
}

export const keptAnswer = (key: string): Promise<KeptAnswer | undefined> => inTurn(() => database.answers.get(key));

/** The state of which a kept answer tells. */
export const keptMark = async (key: string): Promise<string | undefined> => (await keptAnswer(key))?.mark;

/** Keys of everything kept, with when it was read. */
export const keptTimes = (): Promise<readonly { readonly key: string; readonly at: string }[]> =>
  inTurn(async () => (await database.answers.toArray()).map(({ key, at }) => ({ key, at })));

/** Lets go of answers that nothing asked for anew since a moment. */
export const forgetBefore = (at: string): Promise<void> =>
  inTurn(async () => void (await database.answers.filter((row) => row.at < at).delete()));

/** What the device kept goes with whoever signs out; answers still on their way are kept by nobody. */
export const forgetAnswers = (): Promise<void> =>
  inTurn(() =>
    database.transaction('rw', database.answers, database.owner, async () => {
      await database.answers.clear();
      await database.owner.clear();
    }),
  );
