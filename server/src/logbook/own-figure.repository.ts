import { Injectable } from '@nestjs/common';
import type { OwnFigureView } from '@wainrope/contract';
import {
  type AdoptedFigure,
  adoptedFigure,
  type Depth,
  type FigureKey,
  type GaugedPull,
  median,
  ownFigure,
  type Surface,
} from '@wainrope/core';
import type { Actor } from '../actor/actor.ts';
import { gathered } from '../database/rows.ts';
import type { MeasuredPullTable } from '../database/schema.ts';
import type { TeamTransaction } from '../database/team-database.ts';

/** So many pulls are looked at, the newest of them. */
const MOST = 5000;

/** Of which plan and day a measured pull is, and the tension that the gauge showed at the drive, newtons. */
interface Gauged {
  readonly pullId: string;
  readonly planId: string;
  readonly version: number;
  readonly on: string;
  readonly linePeakN: number;
}

/** Pulls that a gauge measured, and what they come to by ground, depth and machine. */
@Injectable()
export class OwnFigureRepository {
  /** A pull that was kept once with its id is not kept again. */
  async add(trx: TeamTransaction, actor: Actor, { pullId, planId, version, on, linePeakN }: Gauged, measured: GaugedPull): Promise<void> {
    await trx
      .insertInto('measured_pull')
      .values({
        team_id: actor.teamId,
        pull_id: pullId,
        plan_id: planId,
        plan_version: version,
        pulled_on: on,
        surface: measured.surface,
        depth: measured.depth,
        machine: measured.machine,
        line_peak_n: linePeakN,
        force_n: measured.forceN,
        weight_n: measured.weightN,
        planned_n: measured.plannedN,
        recorded_by: actor.personId,
      })
      .onConflict((conflict) => conflict.columns(['team_id', 'pull_id']).doNothing())
      .execute();
  }

  /** The pulls of one ground, depth and machine, newest first. */
  async pullsOf(trx: TeamTransaction, { surface, depth, machine }: FigureKey): Promise<AdoptedFigure['pulls']> {
    const rows = await trx
      .selectFrom('measured_pull')
      .select(['pull_id', 'pulled_on', 'force_n', 'weight_n'])
      .where('surface', '=', surface)
      .where('depth', '=', depth)
      .where('machine', '=', machine)
      .orderBy('pulled_on', 'desc')
      .orderBy('pull_id')
      .limit(MOST)
      .execute();
    return sharesOf(rows);
  }

  async figures(trx: TeamTransaction): Promise<OwnFigureView[]> {
    const rows = await trx
      .selectFrom('measured_pull')
      .select(['pull_id', 'surface', 'depth', 'machine', 'pulled_on', 'force_n', 'weight_n', 'planned_n'])
      .orderBy('pulled_on', 'desc')
      .orderBy('pull_id')
      .limit(MOST)
      .execute();
    const groups = gathered(
      rows,
      ({ surface, depth, machine }) => JSON.stringify([surface, depth, machine]),
      (row) => row,
    );
    return [...groups.values()].flatMap((pulls) => {
      const [newest] = pulls;
      if (!newest) return [];
      const adopted = adoptedFigure(keyOf(newest), sharesOf(pulls));
      const figure = ownFigure(pulls.map(({ force_n, weight_n }) => ({ forceN: force_n, weightN: weight_n })));
      return [
        {
          ...keyOf(newest),
          pulls: pulls.length,
          ...(figure && { median: figure.median, low: figure.low, high: figure.high, largest: figure.largest }),
          ...(adopted && { adoptable: adopted.share }),
          ofPlanned: median(pulls.map(({ force_n, planned_n }) => force_n / planned_n)),
          lastOn: newest.pulled_on,
        },
      ];
    });
  }
}

const keyOf = ({ surface, depth, machine }: Pick<MeasuredPullTable, 'surface' | 'depth' | 'machine'>): FigureKey => ({
  surface: surface as Surface,
  depth: depth as Depth,
  machine,
});

const sharesOf = (rows: readonly Pick<MeasuredPullTable, 'pull_id' | 'pulled_on' | 'force_n' | 'weight_n'>[]): AdoptedFigure['pulls'] =>
  rows.map(({ pull_id, pulled_on, force_n, weight_n }) => ({ pullId: pull_id, on: pulled_on, share: force_n / weight_n }));
