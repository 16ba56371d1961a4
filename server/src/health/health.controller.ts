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

  /** It can also serve: the database answers. */
  @Get('ready')
  async ready(): Promise<{ status: 'ready' }> {
    await this.database
      .outsideTeams((db) => sql`select 1`.execute(db))
      .catch(() => {
        throw new ProblemException({ status: 503, title: 'Not ready', detail: 'The database does not answer.' });
      });
    return { status: 'ready' };
  }
}
