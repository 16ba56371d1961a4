import { existsSync } from 'node:fs';
import { readFile } from 'node:fs/promises';
import { Controller, Get } from '@nestjs/common';
import { ApiExcludeController } from '@nestjs/swagger';
import { sql } from 'kysely';
import { Open } from '../actor/route-access.ts';
import { TeamDatabase } from '../database/team-database.ts';
import { ProblemException } from '../http/problem.ts';

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

  /** It can also serve: the database answers. What had to be started again is told. */
  @Get('ready')
  async ready(): Promise<{ readonly status: 'ready'; readonly startedAgain?: unknown }> {
    await this.database
      .outsideTeams((db) => sql`select 1`.execute(db))
      .catch(() => {
        throw new ProblemException({ status: 503, title: 'Not ready', detail: `The database does not answer${AGAIN}.` });
      });
    const startedAgain = await restarts();
    return { status: 'ready', ...(startedAgain !== undefined && { startedAgain }) };
  }
}

/** Where whoever watches over server and database writes down what ended by itself. */
const FILE = process.env.WAINROPE_RESTARTS;
const AGAIN = FILE ? '; if it has ended, it is being started again' : '';

async function restarts(): Promise<unknown> {
  if (!FILE || !existsSync(FILE)) return undefined;
  return JSON.parse(await readFile(FILE, 'utf8'));
}
