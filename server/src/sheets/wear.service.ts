import { Injectable } from '@nestjs/common';
import type { WearSeries, WearView } from '@wainrope/contract';
import { type MeasureSeries, measureSeries, trendOfSeries } from '@wainrope/core';
import type { Actor } from '../actor/actor.ts';
import { given } from '../database/rows.ts';
import { TeamDatabase } from '../database/team-database.ts';
import { notFound } from '../http/problem.ts';
import { SheetRepository } from './sheet.repository.ts';
import { type MeasuredOf, WearRepository } from './wear.repository.ts';

/** How a piece wears: each measure with its readings, its limit and its forecast. */
@Injectable()
export class WearService {
  constructor(
    private readonly database: TeamDatabase,
    private readonly sheets: SheetRepository,
    private readonly wear: WearRepository,
  ) {}

  async of(actor: Actor, gearId: string): Promise<WearView> {
    return this.database.inTeam(actor.teamId, async (trx) => {
      const [piece] = await this.wear.pieces(trx, [gearId]);
      if (!piece) throw notFound('piece', gearId);
      const { sheet } = await this.sheets.inForceFor(trx, piece.kind);
      const inspections = (await this.wear.inspections(trx, [gearId])).get(gearId) ?? [];
      return { gearId, series: measureSeries(sheet, piece.attributes, inspections).map((series) => seriesView(series, inspections)) };
    });
  }
}

function seriesView(series: MeasureSeries, inspections: readonly MeasuredOf[]): WearSeries {
  const { measure, isAsked, whenNew, limit } = series;
  const trend = trendOfSeries(series);
  const forecast = trend?.kind === 'trend' ? trend : undefined;
  return {
    measureId: measure.id,
    label: measure.label,
    quantity: measure.quantity,
    limitKind: measure.limit.kind,
    limitValue: measure.limit.value,
    source: measure.source,
    isAsked,
    ...given('whenNew', whenNew),
    ...given('limit', limit),
    readings: inspections.flatMap(({ inspectionId, on, by, measures, pulls }) => {
      const taken = measures[measure.id];
      return taken ? [{ inspectionId, on, by, value: taken.value, ...given('pulls', pulls) }] : [];
    }),
    ...given('forecastOn', forecast?.forecastOn),
    ...given('expectedOn', forecast?.expectedOn),
  };
}
