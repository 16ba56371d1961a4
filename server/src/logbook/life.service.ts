import { Injectable } from '@nestjs/common';
import type { LifeQuery, LifeView } from '@wainrope/contract';
import type { Actor } from '../actor/actor.ts';
import { TeamDatabase } from '../database/team-database.ts';
import { GearRepository } from '../gear/gear.repository.ts';
import { readPageKey } from '../http/page-key.ts';
import { notFound } from '../http/problem.ts';
import { LifeRepository } from './life.repository.ts';

const LISTED = 300;

/** A piece's whole life, newest first, a page at a time. */
@Injectable()
export class LifeService {
  constructor(
    private readonly database: TeamDatabase,
    private readonly gear: GearRepository,
    private readonly repository: LifeRepository,
  ) {}

  async of(actor: Actor, gearId: string, { before, limit = LISTED }: LifeQuery): Promise<LifeView> {
    const key = readPageKey(before, /^[dilmnos][0-9a-f-]{12,36}$/);
    return this.database.inTeam(actor.teamId, async (trx) => {
      if ((await this.gear.tags(trx, [gearId])).size === 0) throw notFound('piece', gearId);
      return this.repository.page(trx, gearId, limit, key && { on: key[0], key: key[1] });
    });
  }
}
