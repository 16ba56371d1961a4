import { randomUUID } from 'node:crypto';
import { readFile } from 'node:fs/promises';
import { join } from 'node:path';
import type { INestApplicationContext } from '@nestjs/common';
import type { HookUpCreate, KitCreate, VehicleCreate } from '@wainrope/contract';
import { addDays, daysBetween, isDay, type Rig, readRigFile } from '@wainrope/core';
import { AccessRepository } from '../access/access.repository.ts';
import type { Actor } from '../actor/actor.ts';
import { Clock } from '../clock/clock.ts';
import { TeamDatabase } from '../database/team-database.ts';
import { GearService } from '../gear/gear.service.ts';
import { RegisterImportService } from '../gear/register-import.service.ts';
import { KitService } from '../kits/kit.service.ts';
import { PlanService } from '../plans/plan.service.ts';
import { TeamRepository } from '../team/team.repository.ts';
import { TeamService } from '../team/team.service.ts';
import { VehicleService } from '../vehicles/vehicle.service.ts';
import { seedDemoHistory } from './demo-history.ts';

interface DemoFile {
  readonly baseDate: string;
  readonly team: { readonly name: string; readonly decimalMark: '.' | ',' };
  readonly people: readonly { readonly name: string; readonly role: Actor['role'] }[];
  readonly kits: readonly (Omit<KitCreate, 'kitId' | 'vehicleId'> & { readonly vehicle?: string })[];
  readonly vehicles: readonly Omit<VehicleCreate, 'vehicleId'>[];
  readonly hookUps: readonly Omit<HookUpCreate, 'entryId'>[];
  readonly plans: readonly string[];
}

/** Moves every calendar day in a text by some days, so that the demo is always as fresh as on its base date. */
export function shiftDays(text: string, days: number): string {
  return text.replace(/\b\d{4}-\d{2}-\d{2}\b/g, (day) => (isDay(day) ? addDays(day, days) : day));
}

/** Loads the demo team from its open files through the same services that people use. */
export async function seedDemoTeam(app: INestApplicationContext, folder: string): Promise<void> {
  const demo = JSON.parse(await readFile(join(folder, 'team.json'), 'utf8')) as DemoFile;
  const days = daysBetween(demo.baseDate, app.get(Clock).today());
  const actor = await app
    .get(TeamService)
    .found({ ...demo.team, people: demo.people, demo: 'Everything here is invented: the team, its people, its gear and its country.' });
  await openDemoAccounts(app, actor.teamId);
  for (const vehicle of demo.vehicles) await app.get(VehicleService).add(actor, { ...vehicle, vehicleId: randomUUID() });
  for (const entry of demo.hookUps) await app.get(VehicleService).write(actor, { ...entry, entryId: randomUUID() });
  const { vehicles } = await app.get(TeamService).view(actor);
  for (const { vehicle, ...kit } of demo.kits) {
    const vehicleId = vehicles.find(({ name }) => name === vehicle)?.vehicleId;
    await app.get(KitService).add(actor, { ...kit, kitId: randomUUID(), ...(vehicleId && { vehicleId }) });
  }
  await importRegister(app, actor, shiftDays(await readFile(join(folder, 'register.csv'), 'utf8'), days));
  const idOfName = await idsByName(app, actor);
  await seedDemoHistory(app, actor);
  for (const file of demo.plans) await addPlan(app, actor, await readFile(join(folder, 'plans', file), 'utf8'), idOfName);
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

async function importRegister(app: INestApplicationContext, actor: Actor, csv: string): Promise<void> {
  const service = app.get(RegisterImportService);
  const request = { fileName: 'register.csv', contentBase64: Buffer.from(csv).toString('base64') };
  const { rows } = await service.preview(actor, request);
  const faulty = rows.filter(({ outcome }) => outcome === 'faulty');
  if (faulty.length > 0) throw new Error(`The demo register has faults: ${JSON.stringify(faulty)}`);
  await service.commit(actor, { ...request, rows: rows.filter(({ outcome }) => outcome !== 'empty').map(({ row }) => row) });
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
async function addPlan(app: INestApplicationContext, actor: Actor, text: string, idOfName: ReadonlyMap<string, string>): Promise<void> {
  const file = readRigFile(JSON.parse(text));
  if (!file.ok) throw new Error(`A demo plan is not readable: ${file.faults[0]?.path} ${file.faults[0]?.message}`);
  const { name, rig } = file.value.case;
  const named = JSON.parse(JSON.stringify(rig), (key, value) =>
    key === 'gearId' || key === 'vehicleId' ? (idOfName.get(value) ?? value) : value,
  ) as Rig;
  await app.get(PlanService).create(actor, { planId: randomUUID(), name, rig: named });
}
