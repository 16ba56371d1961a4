import type { GearView, KitDetail, PersonRole, SessionView, TeamView } from '@wainrope/contract';
import { teamStandard } from '@wainrope/core';
import type { Routes } from './fake-server.ts';

/** The day on which the tests of the pages live. */
export const TODAY = '2026-01-15';

export const people = {
  coordinator: { personId: 'p-isla', name: 'Isla Wrenfell', role: 'coordinator' },
  'gear-keeper': { personId: 'p-tomas', name: 'Tomas Aldbrook', role: 'gear-keeper' },
  member: { personId: 'p-mirren', name: 'Mirren Sedge', role: 'member' },
  reader: { personId: 'p-odd', name: 'Odd Fellside', role: 'reader' },
} as const satisfies { readonly [R in PersonRole]: object };

export const session = (role: PersonRole = 'coordinator'): SessionView => ({
  signedIn: true,
  needsSetUp: false,
  person: people[role],
  team: { teamId: 't-1', name: 'Harrowmoss Recovery' },
  demoPeople: [],
});

export const heron = { vehicleId: 'v-heron', name: 'Heron', model: 'Long 4 × 4', massKg: 2600, lengthM: 4.6, widthM: 1.85 };
export const otter = { vehicleId: 'v-otter', name: 'Otter', model: 'Short 4 × 4', massKg: 2100, lengthM: 4.1, widthM: 1.8 };

export const team = (role: PersonRole = 'coordinator', change: Partial<TeamView> = {}): TeamView => ({
  teamId: 't-1',
  name: 'Harrowmoss Recovery',
  decimalMark: '.',
  today: TODAY,
  actor: people[role],
  kits: [
    { kitId: 'k-bog', name: 'Bog bag' },
    { kitId: 'k-roof', name: 'Roof box' },
  ],
  vehicles: [heron, otter],
  policy: { policyVersionId: 'pol-1', contentHash: 'hash-1', content: teamStandard },
  ifHurt: { call: '' },
  firstAiders: [],
  ...change,
});

/** A tree strap in use, inspected last summer; a test says what is otherwise. */
export const piece = (tag: string, change: Partial<GearView> = {}): GearView => ({
  gearId: `g-${tag.toLowerCase()}`,
  tag,
  kind: 'tree-strap',
  name: 'Tree strap 2.4 m',
  state: 'in-use',
  marks: [],
  attributes: { lengthM: 2.4, widthM: 0.06 },
  overloadsSinceInspection: 0,
  rowVersion: 3,
  factsRevision: 2,
  inspection: { on: '2025-08-01', grade: 'A', nextDue: '2026-08-01', by: 'Tomas Aldbrook' },
  ...change,
});

export const kit = (change: Partial<KitDetail> = {}): KitDetail => ({
  kitId: 'k-bog',
  name: 'Bog bag',
  terrain: 'woods',
  wanted: [{ kind: 'tree-strap', count: 2, leastWllN: 20_000 }],
  rowVersion: 4,
  ...change,
});

/** Who is signed in, the team and its register: what almost every page asks for. */
export const asRole = (role: PersonRole, register: readonly GearView[] = []): Routes => ({
  'GET /api/v1/session': session(role),
  'GET /api/v1/team': team(role),
  'GET /api/v1/gear': { items: register },
  'GET /api/v1/rounds': { items: [] },
});
