import { randomUUID } from 'node:crypto';
import type { INestApplicationContext } from '@nestjs/common';
import type { GearView, InspectionCreate, OutingCreate, PersonRole } from '@wainrope/contract';
import { addDays, addMonths, type GearClass, type InspectionSheet, type PointAnswer, standardSheets } from '@wainrope/core';
import type { Actor } from '../actor/actor.ts';
import { Clock } from '../clock/clock.ts';
import { TeamDatabase } from '../database/team-database.ts';
import { GearService } from '../gear/gear.service.ts';
import { InspectionService } from '../inspections/inspection.service.ts';
import { PieceCareService } from '../inspections/piece-care.service.ts';
import { OutingService } from '../outings/outing.service.ts';
import { PeopleService } from '../team/people.service.ts';
import { TeamRepository } from '../team/team.repository.ts';

const YEARS_MONTHS = 36;
/** Every so many pieces one has something worth a remark. */
const WORN_EVERY = 4;

interface History {
  readonly app: INestApplicationContext;
  readonly people: ReadonlyMap<string, Actor>;
  readonly pieces: ReadonlyMap<string, GearView>;
  readonly today: string;
}

/** Three years behind the demo: inspections with wear that grows, outings, exposure, practice; all through the services that people use. */
export async function seedDemoHistory(app: INestApplicationContext, actor: Actor): Promise<void> {
  const { items } = await app.get(GearService).page(actor, { limit: 1000 });
  const history: History = {
    app,
    people: await peopleOf(app, actor.teamId),
    pieces: new Map(items.map((piece) => [piece.tag, piece])),
    today: app.get(Clock).today(),
  };
  for (const [index, piece] of items.entries()) await inspectPast(history, piece, index);
  await seedPractice(history);
  await seedOutings(history);
  await seedCare(history);
}

async function peopleOf(app: INestApplicationContext, teamId: string): Promise<ReadonlyMap<string, Actor>> {
  const rows = await app.get(TeamDatabase).inTeam(teamId, (trx) => app.get(TeamRepository).people(trx));
  return new Map(
    rows.map(({ person_id, name, role }) => [name.split(' ')[0] ?? name, { teamId, personId: person_id, name, role: role as PersonRole }]),
  );
}

function person({ people }: History, name: string): Actor {
  const found = people.get(name);
  if (!found) throw new Error(`The demo has no person called ${name}`);
  return found;
}

/** Yearly or half-yearly inspections up to the one that the register brings along. */
async function inspectPast(history: History, piece: GearView, index: number): Promise<void> {
  const last = piece.inspection?.on;
  if (last === undefined || piece.overloadsSinceInspection > 0 || piece.state !== 'in-use') return;
  const sheet = standardSheets[piece.kind];
  const step = Math.max(sheet.everyMonths, 12);
  const born = piece.firstUsedOn ?? addMonths(history.today, -YEARS_MONTHS);
  const days = Array.from({ length: Math.floor(YEARS_MONTHS / step) }, (_, count) => (count + 1) * step).reverse();
  for (const back of days) {
    const on = addMonths(last, -back);
    if (on <= born) continue;
    const input = pastInspection(piece, sheet, { on, step, age: YEARS_MONTHS - back, index });
    await history.app.get(InspectionService).add(person(history, index % 3 === 0 ? 'Isla' : 'Tomas'), input);
  }
}

interface Moment {
  readonly on: string;
  readonly step: number;
  readonly age: number;
  readonly index: number;
}

function pastInspection(piece: GearView, sheet: InspectionSheet, { on, step, age, index }: Moment): InspectionCreate {
  const worn = index % WORN_EVERY === 0 && age > YEARS_MONTHS / 3;
  const soft = sheet.points.find(({ immediate }) => !immediate);
  const points = Object.fromEntries(sheet.points.map(({ id }) => [id, (worn && id === soft?.id ? 'worn' : 'ok') as PointAnswer]));
  const attributes = piece.attributes as { readonly [key: string]: unknown };
  const measures = Object.fromEntries(
    sheet.measures.flatMap(({ id, limit, newFrom }) => {
      const whenNew = newFrom === undefined ? undefined : attributes[newFrom];
      if (typeof whenNew !== 'number') return [];
      const share = limit.value * 0.4 * (age / YEARS_MONTHS) * ((index % 5) / 4);
      const value = limit.kind === 'loss' ? whenNew * (1 - share) : whenNew * (1 + share);
      return [[id, { value: Math.round(value * 1e5) / 1e5 }]];
    }),
  );
  return {
    inspectionId: randomUUID(),
    gearId: piece.gearId,
    kind: 'calendar',
    on,
    sheetVersion: 0,
    answers: { points, measures, notes: worn && soft ? { [soft.id]: 'a little, to be watched' } : {} },
    grade: worn ? 'B' : 'A',
    nextDue: addMonths(on, step),
  };
}

const PRACTISED: readonly (readonly [name: string, layout: string, months: number, seenBy: string])[] = [
  ['Isla', 'Double line, self-recovery', 4, 'Tomas'],
  ['Isla', 'Compound by winch', 14, 'Tomas'],
  ['Isla', 'Redirect plus double', 9, 'Mirren'],
  ['Tomas', 'Double line to another vehicle', 4, 'Isla'],
  ['Tomas', 'Back-anchored vehicle', 16, 'Isla'],
  ['Mirren', 'Single line to an anchor', 3, 'Isla'],
  ['Mirren', 'Double line, self-recovery', 3, 'Isla'],
  ['Mirren', 'Stretch-rope pull', 21, 'Tomas'],
  ['Osric', 'Single line to an anchor', 28, 'Tomas'],
];

async function seedPractice(history: History): Promise<void> {
  for (const [name, layout, months, seenBy] of PRACTISED) {
    const input = { practiceId: randomUUID(), layout, on: addMonths(history.today, -months), seenBy: person(history, seenBy).personId };
    await history.app.get(PeopleService).addPractice(person(history, 'Isla'), person(history, name).personId, input);
  }
}

/** What went out; all of it came back, but for what is out now. */
const OUTINGS: readonly {
  readonly name: string;
  readonly to: string;
  readonly tags: readonly string[];
  readonly by: string;
  readonly dueInDays?: number;
}[] = [
  { name: 'Night at the ford', to: 'Mirren', tags: ['SS-01', 'SS-02', 'TS-01'], by: 'Mirren' },
  { name: 'Practice on the quarry track', to: 'Osric', tags: ['SH-01', 'SH-03', 'KR-01'], by: 'Osric' },
  { name: 'Forest road, tree down', to: 'Tomas', tags: ['TS-03', 'SB-01'], by: 'Tomas' },
  { name: 'Marking out the practice ground', to: 'Osric', tags: ['SH-05', 'SS-08'], by: 'Osric', dueInDays: -5 },
];

async function seedOutings({ app, pieces, people, today }: History): Promise<void> {
  const service = app.get(OutingService);
  for (const { name, to, tags, by, dueInDays } of OUTINGS) {
    const [holder, actor] = [people.get(to), people.get(by)];
    const gearIds = tags.flatMap((tag) => pieces.get(tag)?.gearId ?? []);
    if (!holder || !actor || gearIds.length === 0) continue;
    const input: OutingCreate = {
      outingId: randomUUID(),
      name,
      holderKind: 'person',
      holderId: holder.personId,
      gearIds,
      ...(dueInDays !== undefined && { dueBackOn: addDays(today, dueInDays) }),
    };
    await service.begin(actor, input);
    if (dueInDays !== undefined) continue;
    await service.countBack(actor, input.outingId, { gearIds });
    await service.close(actor, input.outingId, {});
  }
}

/** Mud noted and washed off, and a piece that a member found cut. */
async function seedCare({ app, pieces, people, today }: History): Promise<void> {
  const [tomas, mirren] = [people.get('Tomas'), people.get('Mirren')];
  if (!tomas || !mirren) return;
  const care = app.get(PieceCareService);
  const note = async (tag: string, kind: 'mud' | 'washed', days: number, words: string) => {
    const piece = pieces.get(tag);
    if (piece) await care.expose(mirren, piece.gearId, { exposureId: randomUUID(), kind, on: addDays(today, days), note: words });
  };
  await note('TS-05', 'mud', -40, 'Bog below the quarry, up to the eyes');
  await note('TS-05', 'washed', -39, 'Rinsed and hung up');
  const cut = [...pieces.values()].find(
    ({ kind, kitId, state }) => kind === ('repair-strap' satisfies GearClass) && kitId !== undefined && state === 'in-use',
  );
  if (!cut) return;
  const { points } = standardSheets[cut.kind];
  const answers = {
    points: Object.fromEntries(points.map(({ id }, index) => [id, index === points.length - 1 ? 'fails' : 'ok'])),
    measures: {},
    notes: {},
  };
  await app.get(InspectionService).add(tomas, {
    inspectionId: randomUUID(),
    gearId: cut.gearId,
    kind: 'after-use',
    on: addDays(today, -12),
    sheetVersion: 0,
    answers,
    note: 'The ratchet does not hold',
  });
}
