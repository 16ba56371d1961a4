import { randomUUID } from 'node:crypto';
import { Injectable } from '@nestjs/common';
import type { FigureAdopt, PolicyHistory, PolicyPreview, PolicySave } from '@wainrope/contract';
import {
  ADOPTED_FROM,
  adoptedFigure,
  canonicalJson,
  type FigureKey,
  isFigureOf,
  MOST_FIGURES,
  type Policy,
  policyDifferences,
  policyFaults,
  rules,
} from '@wainrope/core';
import type { Actor } from '../actor/actor.ts';
import { AuditTrail } from '../audit/audit-trail.ts';
import { TeamDatabase, type TeamTransaction } from '../database/team-database.ts';
import { conflict, invalid } from '../http/problem.ts';
import { OwnFigureRepository } from '../logbook/own-figure.repository.ts';
import { PlansUnder } from '../plans/plans-under.ts';
import { TeamRepository } from '../team/team.repository.ts';
import { policyHash } from '../team/team.service.ts';
import { type Asked, Tasks } from '../threads/tasks.ts';

/** A team's tables and schools: versions that are added, never changed. */
@Injectable()
export class PolicyService {
  constructor(
    private readonly database: TeamDatabase,
    private readonly repository: TeamRepository,
    private readonly figures: OwnFigureRepository,
    private readonly plans: PlansUnder,
    private readonly tasks: Tasks,
    private readonly audit: AuditTrail,
  ) {}

  async history(actor: Actor): Promise<PolicyHistory> {
    return this.database.inTeam(actor.teamId, (trx) => this.historyOf(trx));
  }

  /** What would change, and how each plan would be judged; nothing is saved. */
  async preview(actor: Actor, policy: Policy, asked: Asked = {}): Promise<PolicyPreview> {
    refuseFaulty(policy);
    const { policy: before } = await this.database.inTeam(actor.teamId, (trx) => this.repository.policyInForce(trx));
    refuseTypedFigures(before, policy);
    return this.previewOf(actor, before, policy, asked);
  }

  /** What would change if the team planned by a figure of its own; nothing is saved. */
  async previewFigure(actor: Actor, key: FigureKey, asked: Asked = {}): Promise<PolicyPreview> {
    const [before, policy] = await this.database.inTeam(actor.teamId, async (trx) => {
      const inForce = (await this.repository.policyInForce(trx)).policy;
      return [inForce, await this.withFigure(trx, inForce, key)] as const;
    });
    return this.previewOf(actor, before, policy, asked);
  }

  private async previewOf(actor: Actor, before: Policy, policy: Policy, asked: Asked): Promise<PolicyPreview> {
    const plans = await this.tasks.follow(actor, 'Judging the plans under these settings', asked, (run) =>
      this.plans.under(actor, policy, run),
    );
    return { changes: policyDifferences(before, policy).map(({ path, from, to }) => ({ path, from, to })), plans };
  }

  async save(actor: Actor, { baseHash, content: policy, reason }: PolicySave): Promise<PolicyHistory> {
    refuseFaulty(policy);
    return this.putInForce(actor, { baseHash, reason }, async (_trx, before) => {
      refuseTypedFigures(before, policy);
      return policy;
    });
  }

  /** From now on plans go by what the team's own pulls came to; the pulls are kept with the version. */
  async adopt(actor: Actor, { baseHash, reason, ...key }: FigureAdopt): Promise<PolicyHistory> {
    return this.putInForce(actor, { baseHash, reason }, (trx, before) => this.withFigure(trx, before, key));
  }

  private async withFigure(trx: TeamTransaction, policy: Policy, key: FigureKey): Promise<Policy> {
    const pulls = await this.figures.pullsOf(trx, key);
    const figure = adoptedFigure(key, pulls);
    if (!figure) {
      const missing = ADOPTED_FROM - pulls.length;
      throw invalid([
        {
          path: 'machine',
          message: `Measured pulls of ${key.machine} on this ground and to this depth: ${pulls.length}. A figure is adopted from ${ADOPTED_FROM} on; log ${missing} more with what the gauge showed.`,
        },
      ]);
    }
    const others = policy.ownFigures.filter((each) => !isFigureOf(each, key));
    if (others.length >= MOST_FIGURES)
      throw invalid([
        {
          path: 'machine',
          message: `The team plans by ${others.length} figures of its own, the most it can have. Take one out in the settings.`,
        },
      ]);
    return { ...policy, ownFigures: [...others, figure] };
  }

  /** A new version, made from the one that was in force when its maker began. */
  private async putInForce(
    actor: Actor,
    { baseHash, reason }: Pick<PolicySave, 'baseHash' | 'reason'>,
    make: (trx: TeamTransaction, before: Policy) => Promise<Policy>,
  ): Promise<PolicyHistory> {
    return this.database.inTeam(actor.teamId, async (trx) => {
      await this.repository.lockTeam(trx);
      const before = await this.repository.policyInForce(trx);
      if (before.contentHash !== baseHash) throw conflict('The settings were changed while you worked on them.', await this.historyOf(trx));
      const policy = await make(trx, before.policy);
      const changes = policyDifferences(before.policy, policy);
      if (changes.length === 0) throw invalid([{ path: 'content', message: 'Nothing differs from what is in force.' }]);
      const id = randomUUID();
      await this.repository.addPolicy(trx, actor, { id, content: policy, contentHash: policyHash(policy), reason });
      await this.audit.note(trx, actor, {
        action: 'changed the settings:',
        kind: 'policy',
        id,
        name: policy.name,
        before: Object.fromEntries(changes.map(({ path, from }) => [path, from])),
        after: Object.fromEntries(changes.map(({ path, to }) => [path, to])),
        note: reason,
      });
      return this.historyOf(trx);
    });
  }

  private async historyOf(trx: TeamTransaction): Promise<PolicyHistory> {
    const { policy, contentHash, policyVersionId } = await this.repository.policyInForce(trx);
    const rows = await this.repository.policies(trx);
    return {
      contentHash,
      content: policy,
      rules: rules.map(({ code, severity, softenable, why }) => ({ code, severity, softenable, why })),
      versions: rows.map(({ policy_version_id, content_hash, reason, created_at, by_name, name }) => ({
        policyVersionId: policy_version_id,
        contentHash: content_hash,
        name: name ?? '',
        reason,
        by: by_name,
        at: created_at.toISOString(),
        inForce: policy_version_id === policyVersionId,
      })),
    };
  }
}

/** Refuses a policy that is well written and decides what no policy may. */
function refuseFaulty(policy: Policy): void {
  const faults = policyFaults(policy, 'content');
  if (faults.length > 0) throw invalid(faults);
}

/** A figure of the team's own is worked out here from its pulls; in a whole document of settings it stands as it was, or goes. */
function refuseTypedFigures(before: Policy, policy: Policy): void {
  const known = new Set(before.ownFigures.map(canonicalJson));
  const faults = policy.ownFigures.flatMap((figure, index) =>
    known.has(canonicalJson(figure))
      ? []
      : [
          {
            path: `content.ownFigures[${index}]`,
            message: `No such figure for ${figure.machine} is in force. One is adopted from measured pulls, under Log, Season.`,
          },
        ],
  );
  if (faults.length > 0) throw invalid(faults);
}
