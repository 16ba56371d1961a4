import { randomUUID } from 'node:crypto';
import { Injectable } from '@nestjs/common';
import type { PolicyHistory, PolicyPreview, PolicySave } from '@wainrope/contract';
import { type Policy, policyDifferences, policyFaults, rules } from '@wainrope/core';
import type { Actor } from '../actor/actor.ts';
import { AuditTrail } from '../audit/audit-trail.ts';
import { TeamDatabase, type TeamTransaction } from '../database/team-database.ts';
import { conflict, invalid } from '../http/problem.ts';
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
    const plans = await this.tasks.follow(actor, 'Judging the plans under these settings', asked, (run) =>
      this.plans.under(actor, policy, run),
    );
    return { changes: policyDifferences(before, policy).map(({ path, from, to }) => ({ path, from, to })), plans };
  }

  async save(actor: Actor, { baseHash, content: policy, reason }: PolicySave): Promise<PolicyHistory> {
    refuseFaulty(policy);
    return this.database.inTeam(actor.teamId, async (trx) => {
      await this.repository.lockTeam(trx);
      const before = await this.repository.policyInForce(trx);
      if (before.contentHash !== baseHash) throw conflict('The settings were changed while you worked on them.', await this.historyOf(trx));
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
