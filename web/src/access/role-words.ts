import type { PersonRole } from '@wainrope/contract';

export const roleWords: { readonly [R in PersonRole]: string } = {
  coordinator: 'coordinator',
  'gear-keeper': 'gear keeper',
  member: 'member',
  reader: 'reader',
};

/** What a role may do, in a line. */
export const roleLines: { readonly [R in PersonRole]: string } = {
  coordinator: 'everything, and answers for the gear',
  'gear-keeper': 'register, inspections, states, kits, and what members do',
  member: 'plans, checks before and after use, checking gear out and back',
  reader: 'sees all, changes nothing',
};
