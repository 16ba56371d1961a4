import type { ColumnType, GeneratedAlways } from 'kysely';

type Json = ColumnType<unknown, string, string>;

/** Outside row-level security, by name: an account belongs to the server, a membership joins it to a person of a team. */
export interface AccountTable {
  account_id: string;
  login: string;
  password_hash: string;
  created_at: GeneratedAlways<Date>;
  password_set_at: ColumnType<Date, Date | undefined, Date>;
}

export interface MembershipTable {
  account_id: string;
  team_id: string;
  person_id: string;
}

export interface SignInSessionTable {
  sid: string;
  sess: Json;
  expire: Date;
}

/** A one-time link: into a team as a person, or, without a team, to found one. */
export interface InvitationTable {
  token_hash: string;
  team_id: string | null;
  person_id: string | null;
  made_by: string | null;
  made_at: GeneratedAlways<Date>;
  expires_at: Date;
  used_at: Date | null;
}

export interface SignInAttemptTable {
  attempt_no: GeneratedAlways<string>;
  login: string;
  address: string;
  succeeded: boolean;
  at: ColumnType<Date, Date | undefined, never>;
}

/** Outside row-level security, by name: private addresses of due dates. */
export interface CalendarLinkTable {
  token_hash: string;
  team_id: string;
  person_id: string;
  made_at: GeneratedAlways<Date>;
  revoked_at: Date | null;
}
