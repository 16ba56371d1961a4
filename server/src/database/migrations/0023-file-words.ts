import { type Kysely, sql } from 'kysely';
import { ownTeam } from './table-rights.ts';

/** What words of other people's files mean, as somebody of the team has said once. */
const STATEMENTS = [
  `create table file_word (
    team_id uuid not null,
    about text not null,
    word text not null,
    meaning text not null,
    said_by uuid not null,
    said_at timestamptz not null default wainrope_now(),
    primary key (team_id, about, word),
    foreign key (team_id, said_by) references person
  )`,
  ...ownTeam('file_word'),
  'grant update on file_word to wainrope_app',
];

export async function up(db: Kysely<unknown>): Promise<void> {
  for (const statement of STATEMENTS) await sql.raw(statement).execute(db);
}

export async function down(db: Kysely<unknown>): Promise<void> {
  await sql.raw('drop table file_word').execute(db);
}
