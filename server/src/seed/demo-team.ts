import { randomUUID } from 'node:crypto';
import { readFile } from 'node:fs/promises';
import { join } from 'node:path';
import type { INestApplicationContext } from '@nestjs/common';
import type { HookUpCreate, KitCreate, VehicleCreate } from '@wainrope/contract';
import { addDays, addMonths, daysBetween, isDay, type Rig, readRigFile } from '@wainrope/core';
import { AccessRepository } from '../access/access.repository.ts';
import type { Actor } from '../actor/actor.ts';
import { Clock } from '../clock/clock.ts';
import { TeamDatabase } from '../database/team-database.ts';
import { GearService } from '../gear/gear.service.ts';
import { KitService } from '../kits/kit.service.ts';
import { LoadService } from '../logbook/load.service.ts';
import { PeopleService } from '../people/people.service.ts';
import { PlanService } from '../plans/plan.service.ts';
import { TeamRepository } from '../team/team.repository.ts';
import { TeamService } from '../team/team.service.ts';
import { VehicleService } from '../vehicles/vehicle.service.ts';
import { type HistoryFile, liveThrough, type PastDeed, pastDeeds } from './demo-history.ts';
import { DemoRegister } from './demo-register.ts';
import { HISTORY_MONTHS } from './past-inspections.ts';

interface DemoPerson {
  readonly name: string;
  readonly role: Actor['role'];
  /** Whoever came after the founding says how long ago. */
  readonly joinedMonthsAgo?: number;
  readonly firstAider?: boolean;
}

interface DemoFile {
  readonly baseDate: string;
  readonly team: { readonly name: string; readonly decimalMark: '.' | ',' };
  readonly callIfHurt: string;
  readonly people: readonly DemoPerson[];
  readonly kits: readonly (Omit<KitCreate, 'kitId' | 'vehicleId'> & { readonly vehicle?: string })[];
  readonly vehicles: readonly Omit<VehicleCreate, 'vehicleId'>[];
  readonly hookUps: readonly Omit<HookUpCreate, 'entryId'>[];
  readonly plans: readonly string[];
}

/** Moves every calendar day in a text by some days, so that the demo is always as fresh as on its base date. */
export function shiftDays(text: string, days: number): string {
  return text.replace(/\b\d{4}-\d{2}-\d{2}\b/g, (day) => (isDay(day) ? addDays(day, days) : day));
}

/** Loads the demo team from its open files through the same services that people use, and lives through its three years. */
export async function seedDemoTeam(app: INestApplicationContext, folder: string): Promise<void> {
  const text = (name: string) => readFile(join(folder, name), 'utf8');
  const demo = JSON.parse(await text('team.json')) as DemoFile;
  const today = app.get(Clock).today();
  const began = addMonths(today, -HISTORY_MONTHS);
  const csv = shiftDays(await text('register.csv'), daysBetween(demo.baseDate, today));
  const actor = await app.get(Clock).during(new Date(`${began}T07:00:00Z`), () => found(app, demo));
  const register = new DemoRegister(app, actor, csv);
  const joining = demo.people.filter(({ joinedMonthsAgo }) => joinedMonthsAgo !== undefined);
  const later = joining.map(({ name, role, joinedMonthsAgo = 0, firstAider }) => ({
    teamId: actor.teamId,
    personId: randomUUID(),
    name,
    role,
    joinedMonthsAgo,
    ...(firstAider && { firstAider }),
  }));
  const people = new Map([...(await peopleOf(app, actor.teamId)), ...later].map((known) => [known.name.split(' ')[0], known]));
  const person = (name: string) => {
    const known = people.get(name);
    if (!known) throw new Error(`The demo has no person called ${name}`);
    return known;
  };
  const history = JSON.parse(await text('history.json')) as HistoryFile;
  const deeds = [
    ...later.map(({ joinedMonthsAgo, ...newcomer }) => ({
      on: addMonths(today, -joinedMonthsAgo),
      does: () => app.get(PeopleService).add(actor, newcomer),
    })),
    ...arrivals(register, began),
    ...pastDeeds({ app, today, person, register }, history),
  ];
  await liveThrough(app, deeds);
  await register.bring(register.rows.map(({ tag }) => tag));
  const idOfName = await idsByName(app, actor);
  const planIds = new Map<string, string>();
  for (const name of demo.plans) planIds.set(name, await addPlan(app, actor, await text(join('plans', name)), idOfName));
  for (const pull of history.measured) await pullDeed(app, person(pull.by), planIds.get(pull.plan) ?? '', { ...pull, today });
  // Last: until somebody can sign in, the next start takes it for cut short and begins anew.
  await openDemoAccounts(app, actor.teamId);
}

/** The team with whoever was there from the beginning, its vehicles, hook-up book and kits. */
async function found(app: INestApplicationContext, demo: DemoFile): Promise<Actor> {
  const actor = await app.get(TeamService).found({
    ...demo.team,
    people: demo.people.filter(({ joinedMonthsAgo }) => joinedMonthsAgo === undefined),
    demo: 'Everything here is invented: the team, its people, its gear and its country.',
  });
  await app.get(TeamService).setIfHurt(actor, { call: demo.callIfHurt });
  for (const vehicle of demo.vehicles) await app.get(VehicleService).add(actor, { ...vehicle, vehicleId: randomUUID() });
  for (const entry of demo.hookUps) await app.get(VehicleService).write(actor, { ...entry, entryId: randomUUID() });
  const { vehicles } = await app.get(TeamService).view(actor);
  for (const { vehicle, ...kit } of demo.kits) {
    const vehicleId = vehicles.find(({ name }) => name === vehicle)?.vehicleId;
    await app.get(KitService).add(actor, { ...kit, kitId: randomUUID(), ...(vehicleId && { vehicleId }) });
  }
  return actor;
}

async function peopleOf(app: INestApplicationContext, teamId: string): Promise<readonly Actor[]> {
  const rows = await app.get(TeamDatabase).inTeam(teamId, (trx) => app.get(TeamRepository).people(trx));
  return rows.map(({ person_id, name, role }) => ({ teamId, personId: person_id, name, role }));
}

/** Pieces come when they were bought or first used; what was there before the history comes with it. */
function arrivals(register: DemoRegister, began: string): readonly PastDeed[] {
  const tagsOfDay = new Map<string, string[]>();
  for (const { tag, boughtOn, firstUsedOn, madeOn } of register.rows) {
    const came = boughtOn ?? firstUsedOn ?? madeOn ?? began;
    const on = came > began ? came : began;
    tagsOfDay.set(on, [...(tagsOfDay.get(on) ?? []), tag]);
  }
  return [...tagsOfDay].map(([on, tags]) => ({ on, does: () => register.take(tags) }));
}

/** The demo's people have accounts that no password opens; the sign-in page offers them by name. */
async function openDemoAccounts(app: INestApplicationContext, teamId: string): Promise<void> {
  await app.get(TeamDatabase).inTeam(teamId, async (trx) => {
    for (const { person_id, name } of await app.get(TeamRepository).people(trx)) {
      const accountId = randomUUID();
      const login = name.toLowerCase().replace(/[^a-z0-9]+/g, '.');
      await app.get(AccessRepository).addAccount(trx, { accountId, login, passwordHash: 'none' });
      await app.get(AccessRepository).addMembership(trx, accountId, { teamId, personId: person_id });
    }
  });
}

/** Ids of pieces by tag and of vehicles by name. */
async function idsByName(app: INestApplicationContext, actor: Actor): Promise<ReadonlyMap<string, string>> {
  const { items } = await app.get(GearService).page(actor, { limit: 1000 });
  const { vehicles } = await app.get(TeamService).view(actor);
  return new Map([
    ...items.map(({ tag, gearId }) => [tag, gearId] as const),
    ...vehicles.map(({ name, vehicleId }) => [name, vehicleId] as const),
  ]);
}

/** Demo plans name pieces by tag and vehicles by name; the register's ids take their place. */
async function addPlan(app: INestApplicationContext, actor: Actor, text: string, idOfName: ReadonlyMap<string, string>): Promise<string> {
  const file = readRigFile(JSON.parse(text));
  if (!file.ok) throw new Error(`A demo plan is not readable: ${file.faults[0]?.path} ${file.faults[0]?.message}`);
  const { name, rig } = file.value.case;
  const named = JSON.parse(JSON.stringify(rig), (key, value) =>
    key === 'gearId' || key === 'vehicleId' ? (idOfName.get(value) ?? value) : value,
  ) as Rig;
  const planId = randomUUID();
  await app.get(PlanService).create(actor, { planId, name, rig: named });
  return planId;
}

/** A pull by a plan with a gauge on its line, which showed a share of what was planned. */
async function pullDeed(
  app: INestApplicationContext,
  actor: Actor,
  planId: string,
  { daysAgo, ofPlanned, note, today }: HistoryFile['measured'][number] & { readonly today: string },
): Promise<void> {
  const { version, fresh } = await app.get(PlanService).get(actor, planId);
  const linePeakN = Math.round((fresh.report.plannedPullN ?? 0) * ofPlanned);
  await app
    .get(LoadService)
    .logPull(actor, planId, { pullId: randomUUID(), version, on: addDays(today, -daysAgo), pulls: 1, linePeakN, note });
}
