import { Injectable } from '@nestjs/common';
import {
  type CounterCorrection,
  type DefectClose,
  type DefectList,
  type ExposureCreate,
  type GearView,
  PHOTO_MAX_BYTES,
  type PhotoCreate,
  type PhotoView,
  type PieceCare,
  type QuarantineRequest,
  type RetireRequest,
  THUMBNAIL_MAX_BYTES,
} from '@wainrope/contract';
import { type GearState, isDay } from '@wainrope/core';
import type { Actor } from '../actor/actor.ts';
import { AuditTrail } from '../audit/audit-trail.ts';
import { Clock } from '../clock/clock.ts';
import { TeamDatabase, type TeamTransaction } from '../database/team-database.ts';
import { pullsOf } from '../gear/counters.ts';
import { GearRepository } from '../gear/gear.repository.ts';
import { factsChange, gearName } from '../gear/gear.service.ts';
import { invalid, notFound } from '../http/problem.ts';
import { refuseForOthers } from './confirmed-by.ts';
import { InspectionRepository } from './inspection.repository.ts';
import { redrawn } from './photo-bytes.ts';

/** Pixels of the longer side, as photos are kept. */
const PHOTO_MAX_SIDE = 2400;
const THUMBNAIL_MAX_SIDE = 320;

const subjectWords = {
  inspection: 'the inspection',
  vehicle: 'the page',
  'hook-up': 'the hook-up book entry',
  incident: 'the record',
} as const;

const stateActions: { readonly [S in GearState]: string } = {
  'in-use': 'returned to use',
  quarantined: 'put into quarantine',
  retired: 'retired',
};

/** What happens to a piece beside inspections: states, exposure, defects, photos. */
@Injectable()
export class PieceCareService {
  constructor(
    private readonly database: TeamDatabase,
    private readonly repository: InspectionRepository,
    private readonly gear: GearRepository,
    private readonly audit: AuditTrail,
    private readonly clock: Clock,
  ) {}

  async care(actor: Actor, gearId: string): Promise<PieceCare> {
    return this.database.inTeam(actor.teamId, async (trx) => {
      if (!(await this.gear.byId(trx, gearId))) throw notFound('piece', gearId);
      return this.careOf(trx, gearId);
    });
  }

  private async careOf(trx: TeamTransaction, gearId: string): Promise<PieceCare> {
    return {
      inspections: await this.repository.list(trx, { gearId }),
      states: await this.repository.states(trx, gearId),
      exposures: await this.repository.exposures(trx, gearId),
      defects: await this.repository.defects(trx, { gearId }),
    };
  }

  async quarantine(actor: Actor, gearId: string, { reason }: QuarantineRequest): Promise<PieceCare> {
    return this.changeState(actor, gearId, { to: 'quarantined', reason });
  }

  /** Retired for good; the record stays. */
  async retire(actor: Actor, gearId: string, { reason, destroyed }: RetireRequest): Promise<PieceCare> {
    return this.changeState(actor, gearId, { to: 'retired', reason, destroyed });
  }

  private async changeState(
    actor: Actor,
    gearId: string,
    { to, reason, destroyed }: { readonly to: GearState; readonly reason: string; readonly destroyed?: string },
  ): Promise<PieceCare> {
    return this.database.inTeam(actor.teamId, async (trx) => {
      const piece = await this.locked(trx, gearId);
      if (piece.state === to || piece.state === 'retired')
        throw invalid([{ path: 'state', message: `${piece.tag} is ${piece.state === 'retired' ? 'retired' : 'in quarantine'} already.` }]);
      await this.repository.addStateChange(trx, {
        team_id: actor.teamId,
        gear_id: gearId,
        from_state: piece.state,
        to_state: to,
        reason,
        destroyed: destroyed ?? null,
        inspection_id: null,
        changed_by: actor.personId,
      });
      await this.gear.settle(trx, actor, piece, { ...piece, state: to, factsChanged: true });
      const note = destroyed === undefined ? reason : `${reason} Destroyed: ${destroyed}`;
      const act = { action: stateActions[to], kind: 'gear' as const, id: gearId, name: gearName(piece) };
      await this.audit.note(trx, actor, { ...act, before: { state: piece.state }, after: { state: to }, note });
      return this.careOf(trx, gearId);
    });
  }

  /** Sent twice with one id, it is noted once. */
  async expose(actor: Actor, gearId: string, { exposureId, kind, on, note }: ExposureCreate): Promise<PieceCare> {
    return this.database.inTeamOnce(actor.teamId, exposureId, async (trx) => {
      const piece = await this.locked(trx, gearId);
      const today = this.clock.today();
      if (!isDay(on) || on > today) throw invalid([{ path: 'on', message: `${on} is not a day up to today, ${today}.` }]);
      if (await this.repository.hasExposure(trx, exposureId)) return this.careOf(trx, gearId);
      await this.repository.addExposure(trx, {
        team_id: actor.teamId,
        exposure_id: exposureId,
        gear_id: gearId,
        kind,
        met_on: on,
        note: note ?? null,
        noted_by: actor.personId,
      });
      const after = (await this.gear.byId(trx, gearId)) ?? piece;
      await this.gear.settle(trx, actor, piece, { ...piece, factsChanged: factsChange(piece, after) });
      await this.audit.note(trx, actor, {
        action: kind === 'washed' ? 'noted as washed' : `noted exposure to ${kind} of`,
        kind: 'gear',
        id: gearId,
        name: gearName(piece),
        before: { nextDue: piece.inspection?.nextDue },
        after: { nextDue: after.inspection?.nextDue },
        note,
      });
      return this.careOf(trx, gearId);
    });
  }

  /** Sets a counter that was wrong, by name and with the reason; where it stands so already, nothing happens. */
  async correctCounter(actor: Actor, gearId: string, { counter, value, reason }: CounterCorrection): Promise<PieceCare> {
    return this.database.inTeam(actor.teamId, async (trx) => {
      const piece = await this.locked(trx, gearId);
      const logged = counter === 'pulls' ? pullsOf(piece) : piece.overloadsSinceInspection;
      if (logged === undefined) throw invalid([{ path: 'counter', message: `${piece.tag} counts no pulls.` }]);
      if (logged === value) return this.careOf(trx, gearId);
      const overloadsSinceInspection = counter === 'overloads' ? value : piece.overloadsSinceInspection;
      const attributes = counter === 'pulls' ? { ...piece.attributes, pullsUsed: value } : piece.attributes;
      await this.gear.settle(trx, actor, piece, { ...piece, overloadsSinceInspection, attributes, factsChanged: true });
      await this.audit.note(trx, actor, {
        action: `corrected the ${counter} of`,
        kind: 'gear',
        id: gearId,
        name: gearName(piece),
        before: { [counter]: logged },
        after: { [counter]: value },
        note: reason,
      });
      return this.careOf(trx, gearId);
    });
  }

  async openDefects(actor: Actor): Promise<DefectList> {
    return this.database.inTeam(actor.teamId, async (trx) => ({ items: await this.repository.defects(trx, { open: true }) }));
  }

  async closeDefect(actor: Actor, defectId: string, { how }: DefectClose): Promise<DefectList> {
    return this.database.inTeam(actor.teamId, async (trx) => {
      const [defect] = await this.repository.defects(trx, { defectId });
      if (!defect) throw notFound('defect', defectId);
      if (defect.closedOn !== undefined)
        throw invalid([{ path: 'defectId', message: `It was closed on ${defect.closedOn} by ${defect.closedBy}.` }]);
      await this.repository.closeDefects(trx, [
        { team_id: actor.teamId, defect_id: defectId, closed_on: this.clock.today(), closed_by: actor.personId, how, inspection_id: null },
      ]);
      await this.audit.note(trx, actor, {
        action: 'closed a defect of',
        kind: 'defect',
        id: defectId,
        name: gearName(defect),
        after: { defect: defect.words },
        note: how,
      });
      return { items: await this.repository.defects(trx, { open: true }) };
    });
  }

  /** Keeps a photo without what the camera wrote beside it. Sent twice with one id, it is kept once. */
  async addPhoto(actor: Actor, { confirmedBy, ...photo }: PhotoCreate): Promise<PhotoView> {
    refuseForOthers(actor, confirmedBy);
    const { photoId, subjectId, subjectKind, contentBase64, thumbnailBase64 } = photo;
    const content = await picture(contentBase64, 'contentBase64', { side: PHOTO_MAX_SIDE, bytes: PHOTO_MAX_BYTES });
    const thumbnail = await picture(thumbnailBase64, 'thumbnailBase64', { side: THUMBNAIL_MAX_SIDE, bytes: THUMBNAIL_MAX_BYTES });
    return this.database.inTeamOnce(actor.teamId, photoId, async (trx) => {
      if (await this.repository.hasPhoto(trx, photoId)) return { photoId };
      const name = await this.repository.photoSubject(trx, subjectKind, subjectId);
      if (name === undefined) throw notFound(subjectWords[subjectKind], subjectId);
      await this.repository.addPhoto(trx, {
        team_id: actor.teamId,
        photo_id: photoId,
        subject_kind: subjectKind,
        subject_id: subjectId,
        media_type: 'image/jpeg',
        content,
        thumbnail,
        taken_by: actor.personId,
      });
      await this.audit.note(trx, actor, {
        action: `added a photo to ${subjectWords[subjectKind]} of`,
        kind: subjectKind,
        id: subjectId,
        name,
      });
      return { photoId };
    });
  }

  async photo(actor: Actor, photoId: string, column: 'content' | 'thumbnail'): Promise<Buffer> {
    const bytes = await this.database.inTeam(actor.teamId, (trx) => this.repository.photo(trx, photoId, column));
    if (!bytes) throw notFound('photo', photoId);
    return bytes;
  }

  private async locked(trx: TeamTransaction, gearId: string): Promise<GearView> {
    const piece = await this.gear.byIdLocked(trx, gearId);
    if (!piece) throw notFound('piece', gearId);
    return piece;
  }
}

async function picture(base64: string, path: string, most: Parameters<typeof redrawn>[1]): Promise<Buffer> {
  const outcome = await redrawn(Buffer.from(base64, 'base64'), most);
  if (!outcome.ok) throw invalid([{ path, message: outcome.message }]);
  return outcome.bytes;
}
