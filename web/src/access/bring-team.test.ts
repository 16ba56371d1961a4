import { expect, it } from 'vitest';
import { openBundle } from './BringTeam.tsx';

const person = (person_id: string, role: string, left_on?: string) => ({
  person_id,
  name: person_id.toUpperCase(),
  role,
  ...(left_on && { left_on }),
});
const file = (tables: object) => JSON.stringify({ format: 'wainrope.team', version: 1, team: { name: 'Peat' }, tables });

it('offers a team’s coordinators who have not left', () => {
  const people = [person('a', 'member'), person('b', 'coordinator'), person('c', 'coordinator', '2025-01-01')];
  expect(openBundle(file({ person: people }))).toMatchObject({ teamName: 'Peat', coordinators: [{ personId: 'b', name: 'B' }] });
});
it('takes nothing for a team’s file that is none', () => {
  for (const text of ['', 'not json', 'null', '[]', '{"format":"wainrope.rig"}']) expect(openBundle(text)).toBeUndefined();
});
