import { Injectable } from '@nestjs/common';
import type { OwnFigureList, SeasonQuery, SeasonView } from '@wainrope/contract';
import { isDay } from '@wainrope/core';
import type { Actor } from '../actor/actor.ts';
import { TeamDatabase } from '../database/team-database.ts';
import type { FieldFault } from '../http/problem.ts';
import { invalid } from '../http/problem.ts';
import { IncidentRepository } from './incident.repository.ts';
import { OwnFigureRepository } from './own-figure.repository.ts';
import { SeasonRepository } from './season.repository.ts';

/** A season's report: what the team did, and what its gear went through. */
@Injectable()
export class SeasonService {
  constructor(
    private readonly database: TeamDatabase,
    private readonly repository: SeasonRepository,
    private readonly incidents: IncidentRepository,
    private readonly figures: OwnFigureRepository,
  ) {}

  async ownFigures(actor: Actor): Promise<OwnFigureList> {
    return this.database.inTeam(actor.teamId, async (trx) => ({ items: await this.figures.figures(trx) }));
  }

  async of(actor: Actor, { from, to }: SeasonQuery): Promise<SeasonView> {
    const faults: FieldFault[] = Object.entries({ from, to }).flatMap(([path, day]) =>
      isDay(day) ? [] : [{ path, message: `${day} is not a day of the calendar.` }],
    );
    if (faults.length === 0 && to < from) faults.push({ path: 'to', message: `A season ends after it begins: ${to} is before ${from}.` });
    if (faults.length > 0) throw invalid(faults);
    return this.database.inTeam(actor.teamId, async (trx) => ({
      from,
      to,
      ...(await this.repository.counts(trx, from, to)),
      overloads: await this.repository.overloads(trx, from, to),
      hardest: await this.repository.hardest(trx, from, to),
      incidents: await this.incidents.between(trx, from, to),
    }));
  }
}
