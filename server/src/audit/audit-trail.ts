import { Injectable } from '@nestjs/common';
import type { AuditChange, AuditEntryView, AuditPage, AuditQuery, SubjectKind } from '@wainrope/contract';
import { canonicalJson } from '@wainrope/core';
import type { Actor } from '../actor/actor.ts';
import { TeamDatabase, type TeamTransaction } from '../database/team-database.ts';
import { AuditRepository } from './audit.repository.ts';

export interface Act {
  /** What was done, in the past tense, as the trail reads it aloud. */
  readonly action: string;
  readonly kind: SubjectKind;
  readonly id: string;
  readonly name: string;
  readonly before?: object | undefined;
  readonly after?: object | undefined;
  readonly note?: string | undefined;
  /** The entry that this one corrects. */
  readonly corrects?: string | undefined;
}

const PAGE = 100;
/** Counters that change with every save say nothing to a reader. */
const SILENT = ['rowVersion', 'factsRevision'];

/** The append-only trail: every change of a team’s records is noted in the transaction that makes it, and told to whoever listens. */
@Injectable()
export class AuditTrail {
  constructor(
    private readonly database: TeamDatabase,
    private readonly repository: AuditRepository,
  ) {}

  async note(trx: TeamTransaction, actor: Actor, act: Act): Promise<void> {
    await this.noteAll(trx, actor, [act]);
  }

  async noteAll(trx: TeamTransaction, actor: Actor, acts: readonly Act[]): Promise<void> {
    const told = acts.map((act) => ({ ...act, changes: changesBetween(act.before, act.after) }));
    await this.repository.add(trx, actor, told.filter(saysSomething));
  }

  async page(actor: Actor, query: AuditQuery & { readonly subjectId?: string }): Promise<AuditPage> {
    const limit = query.limit ?? PAGE;
    const items: AuditEntryView[] = await this.database.inTeam(actor.teamId, (trx) =>
      this.repository.page(trx, { ...query, limit: limit + 1 }),
    );
    const shown = items.slice(0, limit);
    const last = items.length > limit ? shown.at(-1) : undefined;
    return { items: shown, ...(last && { next: last.entryNo }) };
  }
}

/** A change of nothing, without a word, is none. */
const saysSomething = ({ before, after, note, changes }: Act & { readonly changes: readonly AuditChange[] }) =>
  before === undefined || after === undefined || note !== undefined || changes.length > 0;

/** Fields that differ, first level by name and nested objects one level deeper. */
export function changesBetween(before: object | undefined, after: object | undefined): AuditChange[] {
  const [was, is] = [flattened(before), flattened(after)];
  const fields = [...new Set([...Object.keys(was), ...Object.keys(is)])].filter((field) => !SILENT.includes(field));
  return fields
    .filter((field) => canonicalJson(was[field] ?? null) !== canonicalJson(is[field] ?? null))
    .map((field) => ({
      field,
      ...(was[field] !== undefined && { before: was[field] }),
      ...(is[field] !== undefined && { after: is[field] }),
    }));
}

function flattened(value: object | undefined): Record<string, unknown> {
  return Object.fromEntries(
    Object.entries(value ?? {}).flatMap(([key, entry]) =>
      typeof entry === 'object' && entry !== null && !Array.isArray(entry)
        ? Object.entries(entry).map(([inner, deep]) => [`${key}.${inner}`, deep])
        : [[key, entry]],
    ),
  );
}
