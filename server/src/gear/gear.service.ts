import { Injectable } from '@nestjs/common';
import {
  attributeFaults,
  type GearChange,
  type GearCreate,
  type GearInput,
  type GearPage,
  type GearPageQuery,
  type GearPageStarts,
  type GearPageStartsQuery,
  type GearView,
  gearFactsOf,
  nothingLeft,
} from '@wainrope/contract';
import { canonicalJson, type DecimalMark, isDay, isPartialDate, keyWords, type Mark, parseMark, type TonUnit } from '@wainrope/core';
import type { Actor } from '../actor/actor.ts';
import { AuditTrail } from '../audit/audit-trail.ts';
import { TeamDatabase, type TeamTransaction } from '../database/team-database.ts';
import { conflict, type FieldFault, invalid, notFound } from '../http/problem.ts';
import { Forecasts } from '../sheets/forecasts.ts';
import { TeamRepository, type Whereabouts } from '../team/team.repository.ts';
import { turnedBack } from './counters.ts';
import { type GearColumns, GearRepository } from './gear.repository.ts';

const PAGE = 200;

@Injectable()
export class GearService {
  constructor(
    private readonly database: TeamDatabase,
    private readonly repository: GearRepository,
    private readonly teams: TeamRepository,
    private readonly forecasts: Forecasts,
    private readonly audit: AuditTrail,
  ) {}

  async page(actor: Actor, { limit = PAGE, ...part }: GearPageQuery): Promise<GearPage> {
    const items = await this.database.inTeam(actor.teamId, (trx) => this.repository.page(trx, { ...part, limit: limit + 1 }));
    const shown = items.slice(0, limit);
    const next = items.length > limit ? shown.at(-1)?.tag : undefined;
    return { items: [...shown], ...(next !== undefined && { next }) };
  }

  async starts(actor: Actor, query: GearPageStartsQuery): Promise<GearPageStarts> {
    return { starts: await this.database.inTeam(actor.teamId, (trx) => this.repository.pageStarts(trx, query)) };
  }

  async get(actor: Actor, gearId: string): Promise<GearView> {
    const found = await this.database.inTeam(actor.teamId, (trx) => this.repository.byId(trx, gearId));
    if (!found) throw notFound('piece', gearId);
    return found;
  }

  /** Sent twice with one id, it makes one piece. */
  async create(actor: Actor, { gearId, ...input }: GearCreate): Promise<GearView> {
    return this.database.inTeamOnce(actor.teamId, gearId, async (trx) => {
      const existing = await this.repository.byId(trx, gearId);
      if (existing) return existing;
      const marks = await this.checked(trx, input);
      await this.refuseTakenTag(trx, input.tag);
      await this.repository.insert(trx, actor, [{ gearId, columns: columnsOf(input), marks }]);
      const after = await this.found(trx, gearId);
      await this.audit.note(trx, actor, {
        action: 'added a piece',
        kind: 'gear',
        id: gearId,
        name: gearName(after),
        after: told(after, await this.teams.whereabouts(trx)),
      });
      return after;
    });
  }

  async change(actor: Actor, gearId: string, { rowVersion, ...input }: GearChange): Promise<GearView> {
    return this.database.inTeam(actor.teamId, async (trx) => {
      const before = await this.repository.byIdLocked(trx, gearId);
      if (!before) throw notFound('piece', gearId);
      if (before.rowVersion !== rowVersion) throw conflict(`${before.tag} was changed while you worked on it.`, before);
      if (before.state !== input.state)
        throw invalid([
          {
            path: 'state',
            message: `${before.tag} is ${keyWords(before.state)}. Its state changes by an inspection, by quarantine or by retiring it.`,
          },
        ]);
      const lower = turnedBack(before, { ...before, ...input });
      if (lower.length > 0) throw invalid(lower);
      const marks = await this.checked(trx, input);
      await this.refuseTakenTag(trx, input.tag, gearId);
      await this.repository.replace(trx, actor, {
        gearId,
        columns: columnsOf(input),
        marks,
        factsChanged: factsChange(before, { ...before, ...input, marks: marks.map(viewed) }),
      });
      await this.forecasts.renew(trx, [gearId]);
      const after = await this.found(trx, gearId);
      const places = await this.teams.whereabouts(trx);
      await this.audit.note(trx, actor, {
        action: 'changed a piece',
        kind: 'gear',
        id: gearId,
        name: gearName(after),
        before: told(before, places),
        after: told(after, places),
      });
      return after;
    });
  }

  private async found(trx: TeamTransaction, gearId: string): Promise<GearView> {
    const view = await this.repository.byId(trx, gearId);
    if (!view) throw new Error(`Broken invariant: piece ${gearId} vanished inside its transaction`);
    return view;
  }

  private async refuseTakenTag(trx: TeamTransaction, tag: string, own?: string): Promise<void> {
    const taken = await this.repository.idOfTag(trx, tag);
    if (taken !== undefined && taken !== own)
      throw invalid([{ path: 'tag', message: `The tag ${tag} is already on another piece; choose a free one.` }]);
  }

  /** Everything beyond the shape: attributes by class, marks by their words, days, kit and vehicle. */
  private async checked(trx: TeamTransaction, input: GearInput): Promise<readonly Mark[]> {
    const { decimal_mark } = await this.teams.team(trx);
    const faults: FieldFault[] = [...attributeFaults(input.kind, input.attributes), ...dayFaults(input)];
    if (input.kitId && !(await this.teams.kits(trx)).some(({ kit_id }) => kit_id === input.kitId))
      faults.push({ path: 'kitId', message: 'There is no such kit.' });
    if (input.vehicleId && !(await this.teams.vehicles(trx)).some(({ vehicle_id }) => vehicle_id === input.vehicleId))
      faults.push({ path: 'vehicleId', message: 'There is no such vehicle.' });
    const marks = readMarks(input, { decimal: decimal_mark, tonOfMaker: await this.repository.tonOfMaker(trx) }, faults);
    if (faults.length > 0) throw invalid(faults);
    return marks;
  }
}

interface MarkSettings {
  readonly decimal: DecimalMark;
  readonly tonOfMaker: ReadonlyMap<string, TonUnit>;
}

/** Reads marks by their words; a bare ton takes what a person confirmed on it, else what was confirmed once for its maker. */
function readMarks(input: GearInput, { decimal, tonOfMaker }: MarkSettings, faults: FieldFault[]): readonly Mark[] {
  return input.marks.flatMap(({ asWritten, basis, source, confirmedUnit = tonOfMaker.get(input.maker?.toLowerCase() ?? '') }, index) => {
    const parsed = parseMark(asWritten, { source, decimal, ...(basis && { basis }), ...(confirmedUnit && { confirmedUnit }) });
    if (parsed.kind === 'mark') return [parsed.mark];
    faults.push({ path: `marks[${index}].asWritten`, message: parsed.message });
    return [];
  });
}

function dayFaults(input: GearInput): readonly FieldFault[] {
  return (['madeOn', 'boughtOn', 'firstUsedOn', 'renewedUntil'] as const).flatMap((path) => {
    const day = input[path];
    const exists = path === 'renewedUntil' ? isDay : isPartialDate;
    return day === undefined || exists(day) ? [] : [{ path, message: `${day} is not in the calendar.` }];
  });
}

const viewed = ({ asWritten, basis, source, settingDecided, readings, confirmedUnit }: Mark) => ({
  ...(confirmedUnit && { confirmedUnit }),
  asWritten,
  basis,
  source,
  settingDecided,
  readings: [...readings],
});

export const gearName = ({ tag, name }: Pick<GearView, 'tag' | 'name'>): string => `${tag} ${name}`;

/** A piece as the trail tells it: marks by their words, kit and vehicle by their names, no inner numbers. */
export function told(piece: GearView, { kitNames, vehicleNames }: Whereabouts): object {
  const { gearId: _id, inspection: _inspection, away: _away, pullsUsedUpOn: _usedUp, kitId = '', vehicleId = '', marks, ...rest } = piece;
  return {
    ...rest,
    kit: kitNames.get(kitId),
    vehicle: vehicleNames.get(vehicleId),
    marks: marks.map(
      ({ asWritten, basis, source, confirmedUnit }) => `${asWritten} (${[basis, source, confirmedUnit].filter(Boolean).join(', ')})`,
    ),
  };
}

/** Whether anything that is judged differs: places, owners and notes do not count. */
export function factsChange(before: GearView, after: GearView): boolean {
  return canonicalJson(gearFactsOf(before)) !== canonicalJson(gearFactsOf(after));
}

export function columnsOf(input: GearInput): GearColumns {
  const { tag, kind, name, state, overloadsSinceInspection, attributes, marks: _rowsOfTheirOwn, ...optional } = input;
  const { maker, model, batch, owner, kitId, vehicleId, madeOn, boughtOn, firstUsedOn, renewedUntil, note, ...rest } = optional;
  nothingLeft(rest);
  return {
    tag,
    kind,
    name,
    state,
    maker: maker ?? null,
    model: model ?? null,
    batch: batch ?? null,
    owner: owner ?? null,
    kit_id: kitId ?? null,
    vehicle_id: vehicleId ?? null,
    made_on: madeOn ?? null,
    bought_on: boughtOn ?? null,
    first_used_on: firstUsedOn ?? null,
    renewed_until: renewedUntil ?? null,
    note: note ?? null,
    overloads_since_inspection: overloadsSinceInspection,
    attributes: JSON.stringify(attributes),
  };
}
