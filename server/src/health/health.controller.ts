import { Controller, Get } from '@nestjs/common';
import { ApiExcludeController } from '@nestjs/swagger';
import { sql } from 'kysely';
import { Open } from '../actor/route-access.ts';
import { TeamDatabase } from '../database/team-database.ts';
import { ProblemException } from '../http/problem.ts';
import { lastBackup, RESTARTS_FILE, type Restarts, restarts } from './kept-marks.ts';

@Controller('health')
@ApiExcludeController()
@Open()
export class HealthController {
  constructor(private readonly database: TeamDatabase) {}

  /** The process runs. */
  @Get('live')
  live(): { status: 'live' } {
    return { status: 'live' };
  }

  /** It can also serve: the database answers. What had to be started again is told, and when the last backup is too old. */
  @Get('ready')
  async ready(): Promise<Ready> {
    await this.database
      .outsideTeams((db) => sql`select 1`.execute(db))
      .catch(() => {
        throw new ProblemException({ status: 503, title: 'Not ready', detail: `The database does not answer${AGAIN}.` });
      });
    const startedAgain = await restarts();
    const backup = backupWords(await lastBackup(BACKUPS), Date.now());
    return { status: 'ready', ...(startedAgain !== undefined && { startedAgain }), ...(BACKUPS && backup && { backup }) };
  }
}

interface Ready {
  readonly status: 'ready';
  readonly startedAgain?: Restarts;
  /** What is to be done about backups, in words. */
  readonly backup?: string;
}

/** Where backups are written. */
const BACKUPS = process.env.WAINROPE_BACKUPS;
const DAY_MS = 86_400_000;
const OLD_DAYS = 7;

/** What is to be said of the last backup; nothing while it is of the last seven days. */
export function backupWords(last: number | undefined, now: number): string | undefined {
  if (last === undefined) return 'There is no backup yet: npm run backup.';
  const days = Math.floor((now - last) / DAY_MS);
  return days >= OLD_DAYS ? `The last backup is ${days} days old: npm run backup.` : undefined;
}

const AGAIN = RESTARTS_FILE ? '; if it has ended, it is being started again' : '';
