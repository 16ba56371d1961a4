export const personRoles = ['coordinator', 'gear-keeper', 'member', 'reader'] as const;
export type PersonRole = (typeof personRoles)[number];

const ALL = personRoles;
const CREW = ['coordinator', 'gear-keeper', 'member'] as const;
const KEEPERS = ['coordinator', 'gear-keeper'] as const;
const COORDINATOR = ['coordinator'] as const;

/** Who may do what: the one table that the server's guard refuses by and the pages show buttons by. */
export const capabilities = {
  'own.account': ALL,
  'team.read': ALL,
  'register.read': ALL,
  'plan.read': ALL,
  'plan.write': CREW,
  'inspection.use-check': CREW,
  'inspection.full': KEEPERS,
  'gear.write': KEEPERS,
  'gear.state': KEEPERS,
  /** Returning a piece to use, by a full inspection; what one took out oneself is another’s to return. */
  'gear.return': KEEPERS,
  'gear.return-own': COORDINATOR,
  'gear.counters': KEEPERS,
  /** What a pull put on a piece; putting a record right is a keeper’s. */
  'load.write': CREW,
  'load.correct': KEEPERS,
  /** An incident or a near miss, and what is changed because of it; putting a record right is a keeper’s. */
  'incident.write': CREW,
  /** A bought piece that was pulled until it broke. */
  'break-test.write': KEEPERS,
  /** What is done to a drum or a line; cutting it back and splicing it anew is a keeper’s. */
  'diary.write': CREW,
  'exposure.write': CREW,
  'whereabouts.write': CREW,
  'kit.write': KEEPERS,
  'vehicle.write': KEEPERS,
  'hook-up.write': CREW,
  'practice.write': CREW,
  'audit.read': KEEPERS,
  /** What was done to one thing, and what others did since one last looked. */
  'audit.of-one': CREW,
  'template.write': COORDINATOR,
  'policy.write': COORDINATOR,
  /** Planning by what the team’s own measured pulls came to. */
  'figure.adopt': COORDINATOR,
  'people.write': COORDINATOR,
  'bundle.read': COORDINATOR,
} as const satisfies { readonly [capability: string]: readonly PersonRole[] };
export type Capability = keyof typeof capabilities;

export function may(role: PersonRole, capability: Capability): boolean {
  return (capabilities[capability] as readonly PersonRole[]).includes(role);
}
