import { Injectable } from '@nestjs/common';
import { gaugedPull, type Report, type Rig } from '@wainrope/core';
import { isUUID } from 'class-validator';
import type { Actor } from '../actor/actor.ts';
import type { TeamTransaction } from '../database/team-database.ts';
import { GearRepository } from '../gear/gear.repository.ts';
import { DiaryService } from './diary/diary.service.ts';
import { idOfLoad } from './load-keeper.ts';
import { OwnFigureRepository } from './own-figure.repository.ts';

/** A shorter run of a line is not noted, metres. */
const LEAST_RUN_M = 0.01;

/** A pull by a plan, logged or brought in from a gauge. */
export interface PullOfPlan {
  readonly pullId: string;
  readonly planId: string;
  readonly version: number;
  readonly on: string;
  readonly pulls: number;
  /** The largest tension that a gauge at the drive showed, newtons. */
  readonly linePeakN: number | undefined;
}

/** What follows from a pull by a plan beside the loads of its pieces, whether somebody logged it or a gauge recorded it. */
@Injectable()
export class AfterPull {
  constructor(
    private readonly gear: GearRepository,
    private readonly diary: DiaryService,
    private readonly figures: OwnFigureRepository,
  ) {}

  async keep(trx: TeamTransaction, actor: Actor, pull: PullOfPlan, rig: Rig, report: Report): Promise<void> {
    await this.ranOver(trx, actor, pull, report);
    if (pull.linePeakN === undefined) return;
    const measured = gaugedPull(rig, report, pull.linePeakN);
    if (measured) await this.figures.add(trx, actor, { ...pull, linePeakN: pull.linePeakN }, measured);
  }

  /** What each winch of the rig hauled goes into its diary: the line has run so many metres more since it was spooled. */
  private async ranOver(trx: TeamTransaction, actor: Actor, { pullId, on, pulls }: PullOfPlan, { drives, places }: Report): Promise<void> {
    for (const { lineId, work } of drives) {
      const gearId = places.find((place) => place.kind === 'drum' && place.part === lineId)?.gearId;
      if (work === undefined || gearId === undefined || !isUUID(gearId) || work.ropeM * pulls < LEAST_RUN_M) continue;
      const winch = await this.gear.byIdLocked(trx, gearId);
      const entryId = idOfLoad(pullId, `ran ${gearId}`);
      if (winch) await this.diary.ran(trx, actor, winch, { entryId, on, kind: 'ran', metres: work.ropeM * pulls });
    }
  }
}
