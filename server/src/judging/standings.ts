import { Injectable } from '@nestjs/common';
import { gearFactsOf } from '@wainrope/contract';
import { type Case, CORE_VERSION, type Finding, type GearFacts, gearIdsOf, readCase, readKeptReport, reasonOf } from '@wainrope/core';
import type { Actor } from '../actor/actor.ts';
import { readStored } from '../database/read-stored.ts';
import type { TeamTransaction } from '../database/team-database.ts';
import { GearRepository } from '../gear/gear.repository.ts';
import { changesOfPieces } from './out-of-date.ts';
import { type Standing, StandingRepository } from './standing.repository.ts';

/**
 * What is known of plans without judging them. A standing is written while the pieces it speaks of are held, and taken away by the
 * database in the very transaction that changes one of them, so that none outlives what it was made from. One that is missing is made
 * again from what was kept: facts are compared, nothing is solved.
 */
@Injectable()
export class Standings {
  constructor(
    private readonly repository: StandingRepository,
    private readonly gear: GearRepository,
  ) {}

  async renew(trx: TeamTransaction, actor: Actor, planIds: readonly string[]): Promise<readonly Standing[]> {
    if (planIds.length === 0) return [];
    const rows = await this.repository.judged(trx, planIds);
    const plans = rows.map((row) => ({ row, judgedCase: readStored(`Plan ${row.plan_id}`, readCase(row.judged_case)) }));
    const gearIds = [...new Set(plans.flatMap(({ judgedCase }) => judgedCase.gear.map(({ id }) => id)))];
    await this.gear.hold(trx, gearIds);
    const facts = new Map((await this.gear.byIds(trx, gearIds)).map((piece) => [piece.gearId, gearFactsOf(piece)]));
    const standings = plans.map(({ row, judgedCase }) =>
      standingOf({ planId: row.plan_id, version: row.version_no, judgedCase, report: row.report }, facts),
    );
    await this.repository.write(trx, actor, standings);
    return standings;
  }
}

interface KeptVersion {
  readonly planId: string;
  readonly version: number;
  readonly judgedCase: Case;
  readonly report: unknown;
}

function standingOf({ planId, version, judgedCase, report }: KeptVersion, facts: ReadonlyMap<string, GearFacts>): Standing {
  const { verdict, weakest, goodUntil, coreVersion } = readStored('A kept report', readKeptReport(report));
  return {
    planId,
    version,
    gearIds: gearIdsOf(judgedCase.rig).filter((id) => judgedCase.gear.some((piece) => piece.id === id)),
    verdict,
    weakest,
    goodUntil,
    reason: coreVersion === CORE_VERSION ? gravest(report) : undefined,
    piecesChanged: changesOfPieces(judgedCase.gear, facts),
  };
}

/** What the verdict follows from: a report of this core stands worst first. */
export const gravest = (report: unknown): Finding | undefined => reasonOf((report as { readonly findings: readonly Finding[] }).findings);
