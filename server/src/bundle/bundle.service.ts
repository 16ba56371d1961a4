import { Injectable } from '@nestjs/common';
import { type Fault, read, type TypeOf } from '@wainrope/core';
import type { Actor } from '../actor/actor.ts';
import { AuditTrail } from '../audit/audit-trail.ts';
import { TeamDatabase, type TeamTransaction } from '../database/team-database.ts';
import { invalid } from '../http/problem.ts';
import { BundleRepository } from './bundle.repository.ts';
import { BUNDLE_FORMAT, BUNDLE_VERSION, bundleCodec, bundleTables } from './bundle-tables.ts';
import { contentFaults } from './content-faults.ts';

export type Bundle = TypeOf<typeof bundleCodec>;
type Tables = { readonly [name: string]: readonly object[] };

/** So many faults are enough to see what is wrong with a file. */
const FAULTS_SHOWN = 40;

@Injectable()
export class BundleService {
  constructor(
    private readonly database: TeamDatabase,
    private readonly repository: BundleRepository,
    private readonly audit: AuditTrail,
  ) {}

  /** The whole team at one moment. The same team always gives the same file; that it was taken out is noted after. */
  async out(actor: Actor): Promise<object> {
    const file = await this.file(actor);
    const { name } = file.team as { readonly name: string };
    await this.database.inTeam(actor.teamId, (trx) =>
      this.audit.note(trx, actor, { action: 'took out the team’s file', kind: 'team', id: actor.teamId, name }),
    );
    return file;
  }

  private async file(actor: Actor) {
    return this.database.inTeamAtOneMoment(actor.teamId, async (trx) => {
      await this.repository.takesItsTime(trx);
      await this.repository.inUniversalTime(trx);
      const tables: { [name: string]: readonly object[] } = {};
      for (const table of bundleTables) tables[table.name] = await this.repository.rows(trx, table);
      return { format: BUNDLE_FORMAT, version: BUNDLE_VERSION, team: await this.repository.team(trx), tables };
    });
  }

  /** Reads a bundle from parsed JSON; everything that is wrong with it is named by its path. */
  read(value: unknown): Bundle {
    const result = read(bundleCodec, value);
    const faults: readonly Fault[] = result.ok ? contentFaults(result.value.tables as Tables) : result.faults;
    if (faults.length > 0) throw invalid(faults.slice(0, FAULTS_SHOWN), faultWords(faults.length));
    if (!result.ok) throw new Error('Broken invariant: a bundle with faults was let through');
    return result.value;
  }

  /** Puts a team that was read into this database, in the caller's transaction: all of it or nothing. */
  async bring(trx: TeamTransaction, { team, tables }: Bundle): Promise<void> {
    const { team_id: teamId, name } = team as { readonly team_id: string; readonly name: string };
    await this.repository.takesItsTime(trx);
    await this.placing('team', name, () => this.repository.addTeam(trx, team));
    for (const table of bundleTables) {
      const rows = (tables as Tables)[table.name] ?? [];
      await this.placing(`tables.${table.name}`, table.name, () => this.repository.addRows(trx, teamId, table, rows));
    }
  }

  /** What the database itself refuses: rows that point at nothing, stand twice, or break a rule of their table. */
  private async placing(path: string, what: string, work: () => Promise<void>): Promise<void> {
    try {
      await work();
    } catch (error) {
      const { code, detail, constraint } = error as { readonly code?: string; readonly detail?: string; readonly constraint?: string };
      if (!code?.startsWith('23') && !code?.startsWith('22')) throw error;
      const message = `The rows of ${what} do not hold together${constraint ? ` (${constraint})` : ''}: ${detail ?? (error as Error).message}`;
      throw invalid([{ path, message }], 'The file was not brought in; nothing was saved.');
    }
  }
}

function faultWords(count: number): string {
  const shown = count > FAULTS_SHOWN ? ` The first ${FAULTS_SHOWN} of ${count} faults are shown.` : '';
  return `This file is not a whole team as Wainrope writes it; nothing was saved.${shown}`;
}
