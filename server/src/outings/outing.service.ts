import { Injectable } from '@nestjs/common';
import type { GearView, OutingClose, OutingCreate, OutingList, OutingPieces, OutingView } from '@wainrope/contract';
import { isDay } from '@wainrope/core';
import type { Actor } from '../actor/actor.ts';
import { type Act, AuditTrail } from '../audit/audit-trail.ts';
import { TeamDatabase, type TeamTransaction } from '../database/team-database.ts';
import { GearRepository } from '../gear/gear.repository.ts';
import { gearName } from '../gear/gear.service.ts';
import { type FieldFault, invalid, notFound } from '../http/problem.ts';
import { TeamRepository } from '../team/team.repository.ts';
import { OutingRepository } from './outing.repository.ts';

@Injectable()
export class OutingService {
  constructor(
    private readonly database: TeamDatabase,
    private readonly repository: OutingRepository,
    private readonly gear: GearRepository,
    private readonly teams: TeamRepository,
    private readonly audit: AuditTrail,
  ) {}

  async list(actor: Actor): Promise<OutingList> {
    return this.database.inTeam(actor.teamId, async (trx) => ({ items: await this.repository.list(trx) }));
  }

  async get(actor: Actor, outingId: string): Promise<OutingView> {
    return this.database.inTeam(actor.teamId, (trx) => this.found(trx, outingId));
  }

  /** Checks pieces out. Sent twice with one id, it is done once. */
  async begin(actor: Actor, input: OutingCreate): Promise<OutingView> {
    return this.database.inTeamOnce(actor.teamId, input.outingId, async (trx) => {
      const existing = await this.repository.byId(trx, input.outingId);
      if (existing) return existing;
      const holder = await this.holderOf(trx, input);
      const pieces = await this.takeable(trx, input.gearIds);
      await this.repository.add(trx, {
        team_id: actor.teamId,
        outing_id: input.outingId,
        name: input.name,
        holder_kind: input.holderKind,
        holder_person: input.holderKind === 'person' ? (input.holderId ?? null) : null,
        holder_vehicle: input.holderKind === 'vehicle' ? (input.holderId ?? null) : null,
        holder_name: input.holderKind === 'outside' ? holder : null,
        out_by: actor.personId,
        due_back_on: input.dueBackOn ?? null,
        closed_at: null,
        closed_by: null,
        missing_note: null,
      });
      await this.repository.addPieces(
        trx,
        { teamId: actor.teamId, outingId: input.outingId, by: actor.personId },
        pieces.map(({ gearId }) => gearId),
      );
      const after = { to: holder, dueBackOn: input.dueBackOn, pieces: pieces.map(({ tag }) => tag) };
      await this.audit.noteAll(trx, actor, [
        { action: 'checked out', kind: 'outing', id: input.outingId, name: input.name, after },
        ...pieces.map((piece) => moved(piece, `checked out to ${holder}`)),
      ]);
      return this.found(trx, input.outingId);
    });
  }

  async addPieces(actor: Actor, outingId: string, { gearIds }: OutingPieces): Promise<OutingView> {
    return this.database.inTeam(actor.teamId, async (trx) => {
      const outing = await this.open(trx, outingId);
      const own = outing.pieces.filter(({ backAt }) => backAt === undefined).map(({ gearId }) => gearId);
      const pieces = await this.takeable(
        trx,
        gearIds.filter((id) => !own.includes(id)),
      );
      if (pieces.length === 0) return this.found(trx, outingId);
      await this.repository.addPieces(
        trx,
        { teamId: actor.teamId, outingId, by: actor.personId },
        pieces.map(({ gearId }) => gearId),
      );
      await this.audit.noteAll(trx, actor, [
        { action: 'added to', kind: 'outing', id: outingId, name: outing.name, after: { pieces: pieces.map(({ tag }) => tag) } },
        ...pieces.map((piece) => moved(piece, `checked out to ${outing.holder}`)),
      ]);
      return this.found(trx, outingId);
    });
  }

  /** Counts pieces back. One counted twice is counted once. */
  async countBack(actor: Actor, outingId: string, { gearIds }: OutingPieces): Promise<OutingView> {
    return this.database.inTeam(actor.teamId, async (trx) => {
      const outing = await this.open(trx, outingId);
      const foreign = gearIds.filter((id) => !outing.pieces.some(({ gearId }) => gearId === id));
      if (foreign.length > 0)
        throw invalid([{ path: 'gearIds', message: `${foreign.length} of these pieces did not go out with ${outing.name}.` }]);
      const back = outing.pieces.filter(({ gearId, backAt }) => gearIds.includes(gearId) && backAt === undefined);
      await this.repository.countBack(
        trx,
        outingId,
        actor.personId,
        back.map(({ gearId }) => gearId),
      );
      await this.audit.noteAll(
        trx,
        actor,
        back.map((piece) => moved(piece, `counted back from ${outing.holder}`)),
      );
      if (back.length > 0)
        await this.audit.note(trx, actor, {
          action: 'counted back',
          kind: 'outing',
          id: outingId,
          name: outing.name,
          after: { pieces: back.map(({ tag }) => tag) },
        });
      return this.found(trx, outingId);
    });
  }

  /** Ends it. What is missing is named, and needs a word about what became of it. */
  async close(actor: Actor, outingId: string, { missingNote }: OutingClose): Promise<OutingView> {
    return this.database.inTeam(actor.teamId, async (trx) => {
      const outing = await this.open(trx, outingId);
      const missing = outing.pieces.filter(({ backAt }) => backAt === undefined).map(({ tag }) => tag);
      if (missing.length > 0 && !missingNote?.trim())
        throw invalid([{ path: 'missingNote', message: `Missing: ${missing.join(', ')}. Count them back, or say what became of them.` }]);
      await this.repository.close(trx, outingId, actor.personId, missingNote?.trim() || null);
      const after = missing.length > 0 ? { missing } : undefined;
      await this.audit.note(trx, actor, {
        action: missing.length > 0 ? 'closed with pieces missing' : 'closed, all counted back',
        kind: 'outing',
        id: outingId,
        name: outing.name,
        after,
        note: missingNote,
      });
      return this.found(trx, outingId);
    });
  }

  private async holderOf(trx: TeamTransaction, { holderKind, holderId, holderName, dueBackOn, gearIds }: OutingCreate): Promise<string> {
    const faults: FieldFault[] = [];
    const holder = await this.holderName(trx, { holderKind, holderId, holderName });
    if (!holder)
      faults.push(
        holderKind === 'outside'
          ? { path: 'holderName', message: 'Say who is borrowing it.' }
          : { path: 'holderId', message: `Choose the ${holderKind}.` },
      );
    if (dueBackOn !== undefined && !isDay(dueBackOn))
      faults.push({ path: 'dueBackOn', message: `${dueBackOn} is not a day of the calendar.` });
    if (gearIds.length === 0) faults.push({ path: 'gearIds', message: 'Enter at least one piece.' });
    if (!holder || faults.length > 0) throw invalid(faults);
    return holder;
  }

  private async holderName(
    trx: TeamTransaction,
    {
      holderKind,
      holderId,
      holderName,
    }: Pick<OutingCreate, 'holderKind'> & { readonly holderId: string | undefined; readonly holderName: string | undefined },
  ): Promise<string | undefined> {
    if (holderKind === 'outside') return holderName;
    if (holderId === undefined) return undefined;
    if (holderKind === 'person') return (await this.teams.person(trx, holderId))?.name;
    return (await this.teams.vehicles(trx)).find(({ vehicle_id }) => vehicle_id === holderId)?.name;
  }

  /** Pieces that may go out: known, in use, and not out with somebody else. */
  private async takeable(trx: TeamTransaction, gearIds: readonly string[]): Promise<readonly GearView[]> {
    await this.gear.lock(trx, gearIds);
    const pieces = await this.gear.byIds(trx, gearIds);
    const faults = [
      ...gearIds.filter((id) => !pieces.some(({ gearId }) => gearId === id)).map((id) => `No piece has the id ${id}.`),
      ...pieces.filter(({ state }) => state !== 'in-use').map(({ tag, state }) => `${tag} is ${state} and must not go out.`),
      ...pieces.flatMap(({ tag, away }) => (away ? [`${tag} is out already, with ${away.holder}; count it back first.`] : [])),
    ];
    if (faults.length > 0) throw invalid(faults.map((message) => ({ path: 'gearIds', message })));
    return pieces;
  }

  private async open(trx: TeamTransaction, outingId: string): Promise<OutingView> {
    const outing = await this.repository.locked(trx, outingId);
    if (!outing) throw notFound('outing', outingId);
    if (outing.closedAt !== undefined) throw invalid([{ path: 'outingId', message: `${outing.name} was closed by ${outing.closedBy}.` }]);
    return outing;
  }

  private async found(trx: TeamTransaction, outingId: string): Promise<OutingView> {
    const outing = await this.repository.byId(trx, outingId);
    if (!outing) throw notFound('outing', outingId);
    return outing;
  }
}

const moved = (piece: { readonly gearId: string; readonly tag: string; readonly name: string }, action: string): Act => ({
  action,
  kind: 'gear',
  id: piece.gearId,
  name: gearName(piece),
});
