import { hash, verify } from '@node-rs/argon2';

/** Argon2id (the package's own choice) with 19 MiB and two passes; a sign-in takes some tens of milliseconds on a small server. */
const COST = { memoryCost: 19_456, timeCost: 2, parallelism: 1 };

export const hashPassword = (password: string): Promise<string> => hash(password, COST);

/** A hash that no password opens, to spend the same time where an account does not exist. */
const nobody = hashPassword(crypto.randomUUID());

/** Whether the password opens the account. Without an account, it takes as long and answers no. */
export async function passwordOpens(stored: string | undefined, password: string): Promise<boolean> {
  const known = stored?.startsWith('$argon2id$') === true;
  const opens = await verify(known ? stored : await nobody, password);
  return known && opens;
}
