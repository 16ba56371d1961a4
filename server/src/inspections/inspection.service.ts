import { isDeepStrictEqual } from 'node:util';
import { Injectable } from '@nestjs/common';
import {
  type GearView,
  type InspectionCreate,
  type InspectionList,
  type InspectionQuery,
  type InspectionView,
  isUseCheck,
} from '@wainrope/contract';
import {
  type GearState,
  type Grade,
  gearClasses,
  gradeFault,
  type InspectionAnswers,
  type InspectionSheet,
  isDay,
  openPoints,
  type ProposedGrade,
  proposeGrade,
} from '@wainrope/core';
import type { Actor } from '../actor/actor.ts';
import { AuditRepository } from '../audit/audit.repository.ts';
import { type Act, AuditTrail } from '../audit/audit-trail.ts';
import { Clock } from '../clock/clock.ts';
import { TeamDatabase, type TeamTransaction } from '../database/team-database.ts';
import { pullsOf } from '../gear/counters.ts';
import { GearRepository } from '../gear/gear.repository.ts';
import { gearName } from '../gear/gear.service.ts';
import { type FieldFault, invalid, notFound, ProblemException } from '../http/problem.ts';
import { Forecasts } from '../sheets/forecasts.ts';
import { SheetRepository } from '../sheets/sheet.repository.ts';
import { refuseForOthers } from './confirmed-by.ts';
import { defectsOf, recoveredPoints } from './defects-of.ts';
import { doneAt } from './done-at.ts';
import { refuseFull } from './full-inspection.ts';
import { InspectionRepository } from './inspection.repository.ts';
import { returnRefusal } from './returning.ts';

/** A device's clock may be ahead, so that just before midnight it says tomorrow, milliseconds. */
const CLOCKS_APART_MS = 15 * 60_000;

/** An inspection as it is about to be kept. */
interface Weighed {
  readonly input: InspectionCreate;
  readonly piece: GearView;
  readonly sheet: InspectionSheet;
  readonly answers: InspectionAnswers;
  readonly proposed: ProposedGrade;
  /** Nothing for a check before or after use that passed. */
  readonly grade: Grade | undefined;
  /** When it was made, which a device without a signal tells later. */
  readonly doneAt: Date;
  /** Inspections of the piece that were made after this one and are known already. */
  readonly later: readonly string[];
}

@Injectable()
export class InspectionService {
  constructor(
    private readonly database: TeamDatabase,
    private readonly repository: InspectionRepository,
    private readonly sheets: SheetRepository,
    private readonly gear: GearRepository,
    private readonly forecasts: Forecasts,
    private readonly audit: AuditTrail,
    private readonly trail: AuditRepository,
    private readonly clock: Clock,
  ) {}

  async list(actor: Actor, query: InspectionQuery): Promise<InspectionList> {
    return this.database.inTeam(actor.teamId, async (trx) => ({ items: await this.repository.list(trx, query) }));
  }

  async get(actor: Actor, inspectionId: string): Promise<InspectionView> {
    return this.database.inTeam(actor.teamId, (trx) => this.found(trx, inspectionId));
  }

  /**
   * Keeps an inspection and everything that follows from it, in one transaction: defects, quarantine or return, overloads forgotten.
   * Sent twice with one id, it is kept once.
   */
  async add(actor: Actor, input: InspectionCreate): Promise<InspectionView> {
    refuseForOthers(actor, input.confirmedBy);
    return this.database.inTeamOnce(actor.teamId, input.inspectionId, async (trx) => {
      const piece = await this.gear.byIdLocked(trx, input.gearId);
      if (!piece) throw notFound('piece', input.gearId);
      const existing = await this.repository.byId(trx, input.inspectionId);
      if (existing) return sameAs(existing, input);
      if (!isUseCheck(input.kind)) refuseFull(actor);
      const weighed = await this.weigh(trx, input, piece);
      await this.keep(trx, actor, weighed);
      return this.found(trx, input.inspectionId);
    });
  }

  private async weigh(trx: TeamTransaction, input: InspectionCreate, piece: GearView): Promise<Weighed> {
    const sheet = await this.sheets.version(trx, piece.kind, input.sheetVersion);
    if (!sheet)
      throw invalid([{ path: 'sheetVersion', message: `There is no version ${input.sheetVersion} of the sheet for this class.` }]);
    const { answers } = input;
    const before = input.device && (await this.repository.deviceBefore(trx, input.device));
    const made = doneAt({ stamp: input.device, now: this.clock.now(), before });
    const later = input.device ? await this.repository.madeAfter(trx, piece.gearId, { on: input.on, doneAt: made }) : [];
    const proposed = proposeGrade(sheet, answers, piece.attributes as { readonly [key: string]: unknown });
    const faults = [
      ...answerFaults(sheet, answers, proposed),
      ...this.dayFaults(input),
      ...gradeFaults(input, proposed),
      ...pullFaults(input, piece),
      ...(await this.returnFaults(trx, input, recoveredPoints(sheet, answers, proposed))),
      ...(await this.correctionFaults(trx, input)),
    ];
    if (faults.length > 0) throw invalid(faults);
    const failsInUse = isUseCheck(input.kind) && proposed.grade === 'D' ? ('D' as const) : undefined;
    const grade = isUseCheck(input.kind) ? failsInUse : input.grade;
    return { input, piece, sheet, answers, proposed, grade, doneAt: made, later };
  }

  private dayFaults({ on, nextDue }: InspectionCreate): FieldFault[] {
    const today = this.clock.today();
    const faults: FieldFault[] = [];
    if (!isDay(on)) faults.push({ path: 'on', message: `${on} is not a day of the calendar.` });
    else if (on > this.clock.dayIn(CLOCKS_APART_MS)) faults.push({ path: 'on', message: `${on} has not come yet; today is ${today}.` });
    if (nextDue !== undefined && !isDay(nextDue)) faults.push({ path: 'nextDue', message: `${nextDue} is not a day of the calendar.` });
    else if (nextDue !== undefined && nextDue <= on)
      faults.push({ path: 'nextDue', message: `The next inspection, ${nextDue}, must come after this one, ${on}.` });
    return faults;
  }

  /** Nothing returns to use with a failure still open: the point or measure that failed must be found in order, or closed by a person. */
  private async returnFaults(
    trx: TeamTransaction,
    { gearId, returnsToUse }: InspectionCreate,
    healed: readonly string[],
  ): Promise<FieldFault[]> {
    if (!returnsToUse) return [];
    const open = await this.repository.defects(trx, { gearId, open: true });
    return open
      .filter(({ point, failed }) => failed && !healed.includes(point))
      .map(({ words }) => ({
        path: 'returnsToUse',
        message: `Still open: ${words}. Look at it or measure it again, or close the defect with how it was put right.`,
      }));
  }

  /** What is corrected counts no more, so a check before or after use, which sets no grade, must not take the place of one that does. */
  private async correctionFaults(trx: TeamTransaction, { gearId, kind, corrects }: InspectionCreate): Promise<FieldFault[]> {
    if (corrects === undefined) return [];
    const corrected = await this.repository.byId(trx, corrects);
    if (corrected?.gearId !== gearId) return [{ path: 'corrects', message: 'The inspection to be corrected is not one of this piece.' }];
    if (isUseCheck(kind) && !isUseCheck(corrected.kind))
      return [
        {
          path: 'corrects',
          message: `The inspection of ${corrected.on} sets a grade; only another full inspection can correct it. Save this check as one of its own.`,
        },
      ];
    return [];
  }

  private async keep(trx: TeamTransaction, actor: Actor, weighed: Weighed): Promise<void> {
    const { input, piece, sheet, answers, proposed, grade, doneAt: made, later } = weighed;
    const overloads = isUseCheck(input.kind) || (await this.overloadedSince(trx, weighed)) ? piece.overloadsSinceInspection : 0;
    const state = await this.nextState(trx, actor, weighed);
    await this.repository.add(trx, {
      team_id: actor.teamId,
      inspection_id: input.inspectionId,
      gear_id: piece.gearId,
      inspected_on: input.on,
      grade: grade ?? null,
      next_due_on: (isUseCheck(input.kind) ? piece.inspection?.nextDue : input.nextDue) ?? null,
      inspector: null,
      kind: input.kind,
      counts: grade !== undefined,
      sheet_version: input.sheetVersion,
      sheet: JSON.stringify(sheet),
      answers: JSON.stringify(answers),
      proposed_grade: proposed.grade,
      note: input.note ?? null,
      corrects: input.corrects ?? null,
      recorded_by: actor.personId,
      device_id: input.device?.deviceId ?? null,
      device_sequence: input.device?.sequence ?? null,
      device_clock: input.device ? new Date(input.device.clock) : null,
      ...(input.device && { done_at: made }),
    });
    await this.follow(trx, actor, weighed);
    await this.forecasts.renew(trx, [piece.gearId]);
    await this.gear.settle(trx, actor, piece, {
      state,
      overloadsSinceInspection: overloads,
      attributes: {
        ...piece.attributes,
        ...(input.spoolState && later.length === 0 && gearClasses[piece.kind].carriesOn === 'spool' && { spoolState: input.spoolState }),
        ...(input.pullsUsed !== undefined && gearClasses[piece.kind].carriesOn === 'pulls' && { pullsUsed: input.pullsUsed }),
      },
      factsChanged: grade !== undefined || input.corrects !== undefined,
    });
    await this.changeState(trx, actor, weighed, state);
    await this.audit.noteAll(trx, actor, await this.acts(trx, weighed, state));
  }

  /** An overload that was counted after this inspection was made is not forgotten by it. */
  private async overloadedSince(trx: TeamTransaction, { input, piece, doneAt: made }: Weighed): Promise<boolean> {
    return input.device !== undefined && piece.overloadsSinceInspection > 0 && (await this.trail.countedAfter(trx, piece.gearId, made));
  }

  /** A failing piece is out of use at once; a quarantined one comes back only when an allowed person says so. */
  private async nextState(trx: TeamTransaction, actor: Actor, { input, piece, grade, doneAt: made }: Weighed): Promise<GearState> {
    if (piece.state === 'retired') throw invalid([{ path: 'gearId', message: `${piece.tag} is retired and is not inspected any more.` }]);
    if (input.returnsToUse) {
      const tookItOut = (await this.repository.quarantinedBy(trx, piece.gearId)) === actor.personId;
      const { tag } = piece;
      const refusal = returnRefusal({
        tag,
        role: actor.role,
        kind: input.kind,
        grade,
        tookItOut: piece.state === 'quarantined' && tookItOut,
      });
      if (refusal) throw refusal;
      if (input.device && (await this.repository.takenOutAfter(trx, piece.gearId, made)))
        throw invalid([
          { path: 'returnsToUse', message: `${tag} was taken out of use after this inspection was made. Inspect it again to return it.` },
        ]);
    }
    if (grade === 'D') return 'quarantined';
    if (piece.state !== 'quarantined' || !input.returnsToUse) return piece.state;
    return 'in-use';
  }

  private async changeState(trx: TeamTransaction, actor: Actor, { input, piece, proposed }: Weighed, state: GearState): Promise<void> {
    if (state === piece.state) return;
    const failing = proposed.reasons.filter(({ grade }) => grade === 'D').map(({ words }) => words);
    await this.repository.addStateChange(trx, {
      team_id: actor.teamId,
      gear_id: piece.gearId,
      from_state: piece.state,
      to_state: state,
      reason: state === 'quarantined' ? failing.join('; ') || input.note || 'Graded D' : input.note || 'Inspected and fit',
      destroyed: null,
      inspection_id: input.inspectionId,
      changed_by: actor.personId,
    });
  }

  /** Opens what was found and closes what an earlier inspection had found and this one no longer does. */
  private async follow(trx: TeamTransaction, actor: Actor, { input, piece, sheet, answers, proposed, later }: Weighed): Promise<void> {
    const open = await this.repository.defects(trx, { gearId: piece.gearId, open: true });
    const healed = isUseCheck(input.kind) ? [] : recoveredPoints(sheet, answers, proposed);
    await this.repository.closeDefects(
      trx,
      open
        .filter(({ point, inspectionId }) => healed.includes(point) && !later.includes(inspectionId))
        .map(({ defectId }) => ({
          team_id: actor.teamId,
          defect_id: defectId,
          closed_on: input.on,
          closed_by: actor.personId,
          how: 'Found in order at a later inspection',
          inspection_id: input.inspectionId,
        })),
    );
    const followed = open.filter(({ point }) => !healed.includes(point)).map(({ point, failed }) => ({ point, failed }));
    await this.repository.addDefects(
      trx,
      defectsOf(proposed, answers, followed).map((defect) => ({
        ...defect,
        team_id: actor.teamId,
        gear_id: piece.gearId,
        inspection_id: input.inspectionId,
        opened_on: input.on,
        opened_by: actor.personId,
      })),
    );
  }

  private async acts(trx: TeamTransaction, { input, piece, grade, proposed }: Weighed, state: GearState): Promise<readonly Act[]> {
    const corrected = input.corrects === undefined ? undefined : await this.trail.entryOf(trx, input.corrects);
    const name = gearName(piece);
    const found = proposed.reasons.map(({ words }) => words);
    const after = { kind: input.kind, on: input.on, ...(grade && { grade, nextDue: input.nextDue }), found };
    return [
      {
        action: input.corrects === undefined ? 'inspected' : 'corrected an inspection of',
        kind: 'inspection',
        id: input.inspectionId,
        name,
        after,
        note: input.note,
        corrects: corrected,
      },
      {
        action: grade ? `inspected, grade ${grade}` : 'checked',
        kind: 'gear',
        id: piece.gearId,
        name,
        before: { state: piece.state, grade: piece.inspection?.grade },
        after: { state, grade: grade ?? piece.inspection?.grade },
        note: input.note,
        corrects: corrected,
      },
    ];
  }

  private async found(trx: TeamTransaction, inspectionId: string): Promise<InspectionView> {
    const view = await this.repository.byId(trx, inspectionId);
    if (!view) throw notFound('inspection', inspectionId);
    return view;
  }
}

/** What is sent again must say the same: what was confirmed otherwise meanwhile is refused, not taken for the same. */
function sameAs(existing: InspectionView, input: InspectionCreate): InspectionView {
  const { gearId, kind, on, answers, note } = existing;
  const told = { gearId: input.gearId, kind: input.kind, on: input.on, answers: input.answers, note: input.note };
  if (isDeepStrictEqual({ gearId, kind, on, answers, note }, told) && (isUseCheck(kind) || existing.grade === input.grade)) return existing;
  throw new ProblemException({
    status: 409,
    title: 'Already kept with other answers',
    detail: 'The register has this inspection already, with other answers. Discard this one, or correct that one from its own page.',
  });
}

/** Every point must have its answer, every measure taken must be weighed, and nothing may be answered that is not on the sheet. */
function answerFaults(sheet: InspectionSheet, answers: InspectionAnswers, { unweighed }: ProposedGrade): FieldFault[] {
  const words = new Map(sheet.points.map(({ id, look }) => [id, look]));
  const measures = sheet.measures.map(({ id }) => id);
  return [
    ...unweighed.map((id) => ({
      path: `answers.measures.${id}.whenNew`,
      message: 'Without its value when new it cannot be judged; give that, or leave the measure out.',
    })),
    ...openPoints(sheet, answers).map((id) => ({ path: `answers.points.${id}`, message: `“${words.get(id)}” has no answer yet.` })),
    ...Object.keys(answers.points)
      .filter((id) => !words.has(id))
      .map((id) => ({ path: `answers.points.${id}`, message: `“${id}” is not on the sheet.` })),
    ...Object.keys(answers.measures)
      .filter((id) => !measures.includes(id))
      .map((id) => ({ path: `answers.measures.${id}`, message: `“${id}” is not on the sheet.` })),
  ];
}

/** The pulls of a rope only rise: an inspection counts what happened, it corrects nothing. */
function pullFaults({ pullsUsed }: InspectionCreate, piece: GearView): FieldFault[] {
  const logged = pullsOf(piece);
  if (pullsUsed === undefined || logged === undefined || pullsUsed >= logged) return [];
  const message = `${piece.tag} has ${logged} pulls logged, ${pullsUsed} would be fewer. Correct the counter on its page, with the reason.`;
  return [{ path: 'pullsUsed', message }];
}

/** The person may be stricter than the findings; milder only with a reason, and never about a failing point. */
function gradeFaults(input: InspectionCreate, proposed: ProposedGrade): FieldFault[] {
  const fault = gradeFault({ ...input, useCheck: isUseCheck(input.kind) }, proposed);
  return fault ? [{ path: fault.field, message: fault.words }] : [];
}
