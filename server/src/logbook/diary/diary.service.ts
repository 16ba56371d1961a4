import { Injectable } from '@nestjs/common';
import { type DiaryCreate, type DiaryKind, type DiaryView, type GearView, may, type NewestQuery } from '@wainrope/contract';
import { type CutSizes, cutBack, gearClasses, SHORTEST_LINE_M } from '@wainrope/core';
import type { Actor } from '../../actor/actor.ts';
import { AuditTrail } from '../../audit/audit-trail.ts';
import { Clock } from '../../clock/clock.ts';
import { given } from '../../database/rows.ts';
import { TeamDatabase, type TeamTransaction } from '../../database/team-database.ts';
import { GearRepository } from '../../gear/gear.repository.ts';
import { gearName } from '../../gear/gear.service.ts';
import { LISTED, readPageKey } from '../../http/page-key.ts';
import { type FieldFault, invalid, notFound, ProblemException } from '../../http/problem.ts';
import { dayFaults } from '../load-keeper.ts';
import { DiaryRepository } from './diary.repository.ts';

const OF_LINES: readonly DiaryKind[] = ['cut-back', 'spliced', 'stretched'];
const OF_KEEPERS: readonly DiaryKind[] = ['cut-back', 'spliced'];

/** What is done to drums and lines, and what it changes of them: how a drum is spooled, how long a line is, where its marks are. */
@Injectable()
export class DiaryService {
  constructor(
    private readonly database: TeamDatabase,
    private readonly repository: DiaryRepository,
    private readonly gear: GearRepository,
    private readonly audit: AuditTrail,
    private readonly clock: Clock,
  ) {}

  async list(actor: Actor, gearId: string, { before, limit }: NewestQuery): Promise<DiaryView> {
    const key = readPageKey(before, /^\d{1,18}$/);
    return this.database.inTeam(actor.teamId, async (trx) => {
      if (!(await this.gear.byId(trx, gearId))) throw notFound('piece', gearId);
      return this.view(trx, gearId, { ...given('limit', limit), before: key });
    });
  }

  /** Sent twice with one id, it is written once. */
  async add(actor: Actor, gearId: string, input: DiaryCreate): Promise<DiaryView> {
    return this.database.inTeamOnce(actor.teamId, input.entryId, async (trx) => {
      const piece = await this.gear.byIdLocked(trx, gearId);
      if (!piece) throw notFound('piece', gearId);
      if (await this.repository.has(trx, input.entryId)) return this.view(trx, gearId);
      if (OF_KEEPERS.includes(input.kind) && !may(actor.role, 'gear.write'))
        throw new ProblemException({
          status: 403,
          title: 'Not allowed',
          detail: 'Only a gear keeper may cut a line back and splice it.',
        });
      const faults = [...dayFaults(input.on, this.clock.today()), ...entryFaults(piece, input)];
      if (faults.length > 0) throw invalid(faults);
      await this.keep(trx, actor, piece, input);
      return this.view(trx, gearId);
    });
  }

  /** The line of a pull that was logged ran over the drum: so many metres more since it was spooled. */
  async ran(trx: TeamTransaction, actor: Actor, piece: GearView, entry: DiaryCreate): Promise<void> {
    await this.keep(trx, actor, piece, entry);
  }

  private async keep(trx: TeamTransaction, actor: Actor, piece: GearView, input: DiaryCreate): Promise<void> {
    const { entryId, on, kind, spoolState, tensionN, metres, cutAt, endTermination, eyeLock, note } = input;
    await this.repository.add(trx, {
      team_id: actor.teamId,
      entry_id: entryId,
      gear_id: piece.gearId,
      done_on: on,
      kind,
      spool_state: spoolState ?? null,
      tension_n: tensionN ?? null,
      metres: metres ?? null,
      cut_at: cutAt ?? null,
      end_termination: endTermination ?? null,
      eye_lock: eyeLock ?? null,
      note: note?.trim() || null,
      recorded_by: actor.personId,
    });
    const attributes = { ...piece.attributes, ...changesOf(piece, input) };
    await this.gear.settle(trx, actor, piece, { ...piece, attributes, factsChanged: false });
    await this.audit.note(trx, actor, {
      action: actionWords[kind],
      kind: 'gear',
      id: piece.gearId,
      name: gearName(piece),
      before: before(piece.attributes, changesOf(piece, input)),
      after: { ...changesOf(piece, input), ...(metres !== undefined && { metres }), ...(tensionN !== undefined && { tensionN }) },
      note,
    });
  }

  private async view(
    trx: TeamTransaction,
    gearId: string,
    { limit = LISTED, before }: { readonly limit?: number; readonly before?: readonly [string, string] | undefined } = {},
  ): Promise<DiaryView> {
    const page = await this.repository.page(trx, gearId, limit, before);
    return before ? page : { ...page, ...(await this.repository.ranSince(trx, gearId)) };
  }
}

const actionWords: { readonly [K in DiaryKind]: string } = {
  spooled: 'spooled',
  ran: 'noted a run of line on',
  covered: 'covered the drum of',
  uncovered: 'uncovered the drum of',
  'cut-back': 'cut back',
  spliced: 'spliced anew',
  stretched: 'stretched under tension',
};

const one = (path: string, message: string): FieldFault[] => [{ path, message }];

/** What an entry needs, and whose it is: a drum is spooled, a line is cut. */
function entryFaults(piece: GearView, entry: DiaryCreate): FieldFault[] {
  const { kind, spoolState, metres, endTermination } = entry;
  const isOfLines = OF_LINES.includes(kind);
  const { carriesOn, line } = gearClasses[piece.kind];
  if (isOfLines ? line === 'none' : carriesOn !== 'spool')
    return one(
      'kind',
      `${piece.tag} is ${isOfLines ? 'not a line' : 'not a winch'}; this is written down for ${isOfLines ? 'lines' : 'winches'} only.`,
    );
  if (kind === 'spooled' && spoolState === undefined) return one('spoolState', 'Say how it lies: under tension, slack or stacked.');
  if (kind === 'ran' && metres === undefined) return one('metres', 'Say how many metres the line ran.');
  if (kind === 'spliced' && endTermination === undefined) return one('endTermination', 'Say how the new end is made up.');
  return kind === 'cut-back' ? cutFaults(piece, entry) : [];
}

function cutFaults({ tag, attributes }: GearView, { metres, cutAt }: DiaryCreate): FieldFault[] {
  const { lengthM } = attributes as Partial<CutSizes>;
  if (metres === undefined) return one('metres', 'Say how much was cut off.');
  if (cutAt === undefined) return one('cutAt', 'Say at which end it was cut.');
  if (lengthM === undefined) return one('metres', `The length of ${tag} is not on record; enter it in the register as it is now.`);
  if (lengthM - metres >= SHORTEST_LINE_M) return [];
  return one('metres', `${tag} is ${lengthM} m long; ${metres} m off it would leave less than ${SHORTEST_LINE_M} m. Retire it.`);
}

/** What an entry changes of the piece itself. */
function changesOf({ attributes }: GearView, entry: DiaryCreate): object {
  const { kind, spoolState, metres = 0, cutAt, endTermination, eyeLock, on } = entry;
  switch (kind) {
    case 'spooled':
      return { spoolState };
    case 'covered':
      return { coverOn: true };
    case 'uncovered':
      return { coverOn: false };
    case 'spliced':
      return { endTermination, ...(eyeLock && { eyeLock }) };
    case 'stretched':
      return { stretchedOn: on };
    case 'cut-back':
      return whatIsLeft(attributes as CutSizes, metres, cutAt ?? 'drum');
    case 'ran':
      return {};
    default: {
      const never: never = kind;
      return never;
    }
  }
}

/** What is left of a line; a mark that was cut off is taken off the record too. */
const whatIsLeft = (sizes: CutSizes, metres: number, at: 'hook' | 'drum'): object => ({
  endMarkM: undefined,
  colourChangeM: undefined,
  ...cutBack(sizes, metres, at),
});

const before = (attributes: object, changed: object): object =>
  Object.fromEntries(Object.keys(changed).map((key) => [key, (attributes as { readonly [key: string]: unknown })[key]]));
