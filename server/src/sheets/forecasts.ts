import { Injectable } from '@nestjs/common';
import { type GearClass, measureSeries, wearForecast } from '@wainrope/core';
import type { TeamTransaction } from '../database/team-database.ts';
import { SheetRepository } from './sheet.repository.ts';
import { WearRepository } from './wear.repository.ts';

/** Pieces whose forecasts are made out at once. */
const AT_ONCE = 500;

/** Keeps with each piece when its wear is forecast to end its use, in the act that measures it or changes what it is held against. */
@Injectable()
export class Forecasts {
  constructor(
    private readonly sheets: SheetRepository,
    private readonly wear: WearRepository,
  ) {}

  /** Of pieces that were inspected, or whose values when new have changed. */
  async renew(trx: TeamTransaction, gearIds: readonly string[]): Promise<void> {
    await this.of(trx, gearIds, true);
  }

  /** Of a class whose sheet has changed. */
  async renewKind(trx: TeamTransaction, kind: GearClass): Promise<void> {
    await this.of(trx, await this.wear.measuredOfKind(trx, kind), true);
  }

  /** Of a team that was brought in whole: nothing in it has been judged otherwise. */
  async fill(trx: TeamTransaction): Promise<void> {
    await this.of(trx, await this.wear.measured(trx), false);
  }

  private async of(trx: TeamTransaction, gearIds: readonly string[], isJudged: boolean): Promise<void> {
    if (gearIds.length === 0) return;
    const inForce = new Map((await this.sheets.inForce(trx)).map(({ kind, sheet }) => [kind, sheet]));
    const sorted = [...gearIds].sort();
    for (let first = 0; first < sorted.length; first += AT_ONCE) {
      const some = sorted.slice(first, first + AT_ONCE);
      const pieces = await this.wear.pieces(trx, some, { hold: true });
      const inspections = await this.wear.inspections(trx, some);
      const moved = pieces.flatMap(({ gearId, kind, attributes, forecast: before }) => {
        const sheet = inForce.get(kind);
        const forecast = sheet && wearForecast(measureSeries(sheet, attributes, inspections.get(gearId) ?? []));
        return forecast?.on === before?.on && forecast?.measure === before?.measure ? [] : [{ gearId, forecast }];
      });
      await this.wear.keep(trx, moved, isJudged);
    }
  }
}
