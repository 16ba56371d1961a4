import { randomUUID } from 'node:crypto';
import type { INestApplicationContext } from '@nestjs/common';
import {
  type ExposureCreate,
  type GearView,
  type IncidentKind,
  type InspectionKind,
  may,
  type OutingCreate,
  type RegisterRow,
} from '@wainrope/contract';
import { addDays, addMonths, standardSheets } from '@wainrope/core';
import type { Actor } from '../actor/actor.ts';
import { Clock } from '../clock/clock.ts';
import { GearService } from '../gear/gear.service.ts';
import { InspectionService } from '../inspections/inspection.service.ts';
import { PieceCareService } from '../inspections/piece-care.service.ts';
import { IncidentService } from '../logbook/incident.service.ts';
import { LoadService } from '../logbook/load.service.ts';
import { OutingService } from '../outings/outing.service.ts';
import { PeopleService } from '../people/people.service.ts';
import type { DemoRegister } from './demo-register.ts';
import { daysBefore, HISTORY_MONTHS, pastInspection, pointsOf } from './past-inspections.ts';

/** The demo's past in `demo/history.json`; days and months count back from the day of seeding. */
export interface HistoryFile {
  readonly practice: readonly { readonly who: string; readonly layout: string; readonly monthsAgo: number; readonly seenBy: string }[];
  readonly outings: readonly {
    readonly name: string;
    readonly to: string;
    readonly tags: readonly string[];
    readonly by: string;
    readonly daysAgo: number;
    /** Counted back after so many days; without, it is out still. */
    readonly days?: number;
    readonly dueInDays?: number;
  }[];
  readonly care: readonly {
    readonly tag: string;
    readonly kind: ExposureCreate['kind'];
    readonly daysAgo: number;
    readonly note: string;
  }[];
  /** Which point failed in the last inspection of a piece, by tag. */
  readonly lastFailed: { readonly [tag: string]: string };
  readonly checks: readonly {
    readonly tag: string;
    readonly by: string;
    readonly daysAgo: number;
    readonly kind: InspectionKind;
    readonly fails?: string;
    readonly returns?: boolean;
    readonly note?: string;
    readonly spoolState?: 'under-tension' | 'slack' | 'stacked';
  }[];
  /** How much of what each measure allows is used up at the last yearly inspection, by tag; without, a little. */
  readonly worn: { readonly [tag: string]: number };
  readonly loads: readonly {
    readonly tag: string;
    readonly by: string;
    readonly daysAgo: number;
    readonly plannedN: number;
    readonly peakN?: number;
    readonly pulls: number;
    readonly place: string;
    readonly note?: string;
  }[];
  /** Pulls by plans with a gauge on the line: which share of the planned line pull it showed. */
  readonly measured: readonly {
    readonly plan: string;
    readonly by: string;
    readonly daysAgo: number;
    readonly ofPlanned: number;
    readonly note: string;
  }[];
  readonly incidents: readonly {
    readonly by: string;
    readonly daysAgo: number;
    readonly kind: IncidentKind;
    readonly words: string;
    readonly place: string;
    readonly told: string;
    readonly tags: readonly string[];
    readonly changed: readonly { readonly by: string; readonly daysAgo: number; readonly words: string }[];
  }[];
}

/** Something that was done on a day of the past. */
export interface PastDeed {
  readonly on: string;
  readonly does: () => Promise<unknown>;
}

interface Past {
  readonly app: INestApplicationContext;
  readonly today: string;
  readonly person: (name: string) => Actor;
  readonly register: DemoRegister;
}

/** Does what was done, in the order in which it was done, each at its own day, through the services that people use. */
export async function liveThrough(app: INestApplicationContext, deeds: readonly PastDeed[]): Promise<void> {
  const inOrder = [...deeds].sort((a, b) => a.on.localeCompare(b.on));
  for (const [index, { on, does }] of inOrder.entries()) {
    const minutes = 8 * 60 + (index % 540);
    const at = new Date(`${on}T${String(Math.floor(minutes / 60)).padStart(2, '0')}:${String(minutes % 60).padStart(2, '0')}:00Z`);
    await app.get(Clock).during(at, does);
  }
}

export function pastDeeds(past: Past, file: HistoryFile): readonly PastDeed[] {
  return [
    ...past.register.rows.flatMap((row, index) =>
      inspectionDeeds(past, row, { index, fails: file.lastFailed[row.tag], worn: file.worn[row.tag] }),
    ),
    ...file.practice.map((entry) => practiceDeed(past, entry)),
    ...file.outings.flatMap((entry) => outingDeeds(past, entry)),
    ...file.care.map(({ tag, kind, daysAgo, note }) => {
      const on = addDays(past.today, -daysAgo);
      const does = async () => {
        const { gearId } = await pieceOf(past, tag);
        return past.app.get(PieceCareService).expose(past.person('Mirren'), gearId, { exposureId: randomUUID(), kind, on, note });
      };
      return { on, does };
    }),
    ...file.checks.map((entry) => checkDeed(past, entry)),
    ...file.loads.map((entry) => loadDeed(past, entry)),
    ...file.incidents.flatMap((entry) => incidentDeeds(past, entry)),
  ];
}

async function pieceOf({ app, person, register }: Past, tag: string): Promise<GearView> {
  return app.get(GearService).get(person('Isla'), register.idOf(tag));
}

/** The yearly inspections, the last one as the register says; one by somebody without the right to grade is taken over from the list. */
function inspectionDeeds(
  past: Past,
  row: RegisterRow,
  { index, fails, worn }: { readonly index: number; readonly fails: string | undefined; readonly worn: number | undefined },
): readonly PastDeed[] {
  const { inspection, tag } = row;
  if (!inspection) return [];
  const { everyMonths } = standardSheets[row.kind];
  const began = addMonths(past.today, -HISTORY_MONTHS);
  const born = row.firstUsedOn !== undefined && row.firstUsedOn > began ? row.firstUsedOn : began;
  const earlier = daysBefore(inspection.on, everyMonths, born);
  const byTurns = past.person(index % 3 === 0 ? 'Isla' : 'Tomas');
  const add = async (actor: Actor, input: Parameters<typeof pastInspection>[1]) =>
    past.app.get(InspectionService).add(actor, pastInspection(await pieceOf(past, tag), input));
  const deeds = earlier.map(({ on, age }) => ({
    on,
    does: () => add(byTurns, { on, age, index, ...(worn !== undefined && { worn }), nextDue: addMonths(on, Math.max(everyMonths, 12)) }),
  }));
  const { on, grade, nextDue, by } = inspection;
  const inspector = past.person(by?.split(' ')[0] ?? 'Isla');
  if (!may(inspector.role, 'inspection.full') || nextDue === undefined) return [...deeds, { on, does: () => past.register.bring([tag]) }];
  const failing = fails === undefined ? {} : { fails, ...(row.note !== undefined && { note: row.note }) };
  return [
    ...deeds,
    { on, does: () => add(inspector, { on, age: HISTORY_MONTHS, index, nextDue, grade, ...(worn !== undefined && { worn }), ...failing }) },
  ];
}

function practiceDeed(past: Past, { who, layout, monthsAgo, seenBy }: HistoryFile['practice'][number]): PastDeed {
  const on = addMonths(past.today, -monthsAgo);
  const does = async () => {
    const input = { practiceId: randomUUID(), layout, on, seenBy: past.person(seenBy).personId };
    return past.app.get(PeopleService).addPractice(past.person('Isla'), past.person(who).personId, input);
  };
  return { on, does };
}

function outingDeeds(past: Past, { name, to, tags, by, daysAgo, days, dueInDays }: HistoryFile['outings'][number]): readonly PastDeed[] {
  const service = past.app.get(OutingService);
  const outingId = randomUUID();
  const on = addDays(past.today, -daysAgo);
  const ids = () => tags.map((tag) => past.register.idOf(tag));
  const goes = async () => {
    const input: OutingCreate = {
      outingId,
      name,
      holderKind: 'person',
      holderId: past.person(to).personId,
      gearIds: ids(),
      ...(dueInDays !== undefined && { dueBackOn: addDays(past.today, dueInDays) }),
    };
    await service.begin(past.person(by), input);
  };
  const comesBack = async () => {
    await service.countBack(past.person(by), outingId, { gearIds: ids() });
    await service.close(past.person(by), outingId, {});
  };
  return [{ on, does: goes }, ...(days === undefined ? [] : [{ on: addDays(on, days), does: comesBack }])];
}

function checkDeed(past: Past, { tag, by, daysAgo, kind, fails, returns, note, spoolState }: HistoryFile['checks'][number]): PastDeed {
  const on = addDays(past.today, -daysAgo);
  const does = async () => {
    const piece = await pieceOf(past, tag);
    const sheet = standardSheets[piece.kind];
    const points = pointsOf(sheet, (id) => (id === fails ? 'fails' : 'ok'));
    const full = kind === 'after-repair' && {
      grade: 'A' as const,
      nextDue: addMonths(on, sheet.everyMonths),
      returnsToUse: returns === true,
    };
    return past.app.get(InspectionService).add(past.person(by), {
      inspectionId: randomUUID(),
      gearId: piece.gearId,
      kind,
      on,
      sheetVersion: 0,
      answers: { points, measures: {}, notes: {} },
      ...(note !== undefined && { note }),
      ...(spoolState && { spoolState }),
      ...full,
    });
  };
  return { on, does };
}

function loadDeed(past: Past, { tag, by, daysAgo, ...load }: HistoryFile['loads'][number]): PastDeed {
  const on = addDays(past.today, -daysAgo);
  const does = async () => {
    const { gearId } = await pieceOf(past, tag);
    return past.app.get(LoadService).add(past.person(by), { recordId: randomUUID(), gearId, on, ...load });
  };
  return { on, does };
}

function incidentDeeds(past: Past, { by, daysAgo, tags, changed, ...incident }: HistoryFile['incidents'][number]): readonly PastDeed[] {
  const service = past.app.get(IncidentService);
  const incidentId = randomUUID();
  const on = addDays(past.today, -daysAgo);
  const happens = () =>
    service.add(past.person(by), {
      incidentId,
      on,
      ...incident,
      pieces: tags.map((tag) => ({ gearId: past.register.idOf(tag), takenOut: false })),
    });
  const later = changed.map(
    (entry): PastDeed => ({
      on: addDays(past.today, -entry.daysAgo),
      does: () => service.addFollowUp(past.person(entry.by), incidentId, { followUpId: randomUUID(), words: entry.words }),
    }),
  );
  return [{ on, does: happens }, ...later];
}
