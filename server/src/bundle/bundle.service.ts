import { once } from 'node:events';
import { PassThrough, type Readable } from 'node:stream';
import { Injectable } from '@nestjs/common';
import type { Actor } from '../actor/actor.ts';
import { AuditTrail } from '../audit/audit-trail.ts';
import { TeamDatabase, type TeamTransaction } from '../database/team-database.ts';
import { log } from '../http/logging.ts';
import { invalid } from '../http/problem.ts';
import { Forecasts } from '../sheets/forecasts.ts';
import { threadFile, WorkerPool } from '../threads/worker-pool.ts';
import { BundleRepository } from './bundle.repository.ts';
import { BUNDLE_FORMAT, BUNDLE_VERSION, bundleTables } from './bundle-tables.ts';
import type { BundleRows } from './content-faults.ts';
import type { Bundle, BundleFaults } from './read-bundle.ts';

const READ = threadFile<unknown, BundleFaults>(import.meta.url, './read-bundle.worker');

@Injectable()
export class BundleService {
  constructor(
    private readonly database: TeamDatabase,
    private readonly repository: BundleRepository,
    private readonly audit: AuditTrail,
    private readonly pool: WorkerPool,
    private readonly forecasts: Forecasts,
  ) {}

  /**
   * The whole team at one moment, written as it is read. The same team always gives the same file; that it was taken out is noted
   * after. Where reading fails in the midst the stream breaks, so that nobody takes a part for the whole.
   */
  async out(actor: Actor): Promise<Readable> {
    const file = new PassThrough();
    const begun = once(file, 'readable');
    const written = this.write(actor, file).then(
      () => file.end(),
      (error: unknown) => {
        file.destroy(error as Error);
        throw error;
      },
    );
    // Once it has begun, whoever reads the stream is told of a failure by its breaking.
    written.catch((error: unknown) => log.warn({ err: error }, 'a team’s file was not taken out to its end'));
    await Promise.race([begun, written]);
    return file;
  }

  private async write(actor: Actor, file: PassThrough): Promise<void> {
    const gone = new AbortController();
    file.once('close', () => gone.abort());
    const say = async (text: string) => {
      gone.signal.throwIfAborted();
      if (!file.write(text)) await once(file, 'drain', { signal: gone.signal });
    };
    const name = await this.database.inTeamAtOneMoment(actor.teamId, async (trx) => {
      await this.repository.takesItsTime(trx);
      await this.repository.inUniversalTime(trx);
      const team = await this.repository.team(trx);
      await say(`{"format":"${BUNDLE_FORMAT}","version":${BUNDLE_VERSION},"team":${team},"tables":{`);
      for (const [index, table] of bundleTables.entries()) {
        await say(`${index === 0 ? '' : ','}\n"${table.name}":[`);
        let before = '';
        for await (const rows of this.repository.texts(trx, table)) {
          await say(`${before}${rows.join(',\n')}`);
          before = ',\n';
        }
        await say(']');
      }
      return (JSON.parse(team) as { readonly name: string }).name;
    });
    await this.database.inTeam(actor.teamId, (trx) =>
      this.audit.note(trx, actor, { action: 'exported the team’s file', kind: 'team', id: actor.teamId, name }),
    );
    await say('}}\n');
  }

  /** Reads a bundle from parsed JSON, on a thread, since every report in it is worked out again; what is wrong with it is named by its path. */
  async read(value: unknown, gone: AbortSignal): Promise<Bundle> {
    const { shown, count } = await this.pool.run(READ, value, { signal: gone });
    if (count > 0) throw invalid(shown, faultWords(shown.length, count));
    return value as Bundle;
  }

  /** Puts a team that was read into this database, in the caller's transaction: all of it, or nothing where whoever asked is gone. */
  async bring(trx: TeamTransaction, { team, tables }: Bundle, gone: AbortSignal): Promise<void> {
    const { team_id: teamId, name } = team as { readonly team_id: string; readonly name: string };
    await this.repository.takesItsTime(trx);
    await this.placing('team', name, () => this.repository.addTeam(trx, team));
    for (const table of bundleTables) {
      gone.throwIfAborted();
      const rows = (tables as BundleRows)[table.name] ?? [];
      await this.placing(`tables.${table.name}`, table.name, () => this.repository.addRows(trx, teamId, table, rows));
    }
    await this.forecasts.fill(trx);
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

function faultWords(shown: number, count: number): string {
  const more = count > shown ? ` The first ${shown} of ${count} faults are shown.` : '';
  return `This file is not a whole team as Wainrope writes it; nothing was saved.${more}`;
}
