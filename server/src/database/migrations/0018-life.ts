import { type Kysely, sql } from 'kysely';

/** Who had a piece, asked for by the piece. */
const STATEMENTS = ['create index outing_piece_of on outing_piece (team_id, gear_id, out_at desc)'];

export async function up(db: Kysely<unknown>): Promise<void> {
  for (const statement of STATEMENTS) await sql.raw(statement).execute(db);
}

export async function down(db: Kysely<unknown>): Promise<void> {
  await sql.raw('drop index outing_piece_of').execute(db);
}
