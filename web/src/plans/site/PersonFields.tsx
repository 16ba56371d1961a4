import { skipToken } from '@reduxjs/toolkit/query/react';
import { type Body, duties, keyWords, type Rig } from '@wainrope/core';
import { useGetPersonQuery, useListPeopleQuery } from '../../api/wainrope-api.ts';
import { Choice } from '../../fields/Choice.tsx';
import { day } from '../../shell/days.ts';

type Person = Extract<Body, { readonly kind: 'person' }>;

interface PersonFieldsProps {
  readonly rig: Rig;
  readonly body: Person;
  readonly put: (next: Person, merge?: string) => void;
}

const PRACTISED = { yes: 'has practised it', no: 'has not practised it', '': 'not said' } as const;

/** Who stands there: which of the team, what they do, where they take cover, and what they have practised. */
export function PersonFields({ rig, body, put }: PersonFieldsProps) {
  const { data } = useListPeopleQuery();
  const people = (data?.items ?? []).filter(({ left }) => !left);
  const who = people.find(({ name }) => name === body.label);
  const vehicles = rig.bodies.filter(({ kind }) => kind === 'vehicle');
  const { inVehicleId: _seat, ...outside } = body;
  const { shelter: _cover, ...open } = body;
  const { practised: _said, ...unsaid } = body;
  return (
    <>
      {people.length > 0 && (
        <Choice
          label="Which of the team"
          value={who?.personId ?? ''}
          options={['', ...people.map(({ personId }) => personId)]}
          words={(id) => people.find(({ personId }) => personId === id)?.name ?? 'somebody else'}
          onChange={(id) => put({ ...unsaid, label: people.find(({ personId }) => personId === id)?.name ?? 'Somebody' })}
        />
      )}
      <Choice label="Duty" value={body.duty} options={duties} words={keyWords} onChange={(duty) => put({ ...body, duty })} />
      <Choice
        label="In the cab of"
        value={body.inVehicleId ?? ''}
        options={['', ...vehicles.map(({ id }) => id)]}
        words={(id) => vehicles.find((vehicle) => vehicle.id === id)?.label ?? 'nobody’s: outside'}
        onChange={(id) => put(id === '' ? outside : { ...outside, inVehicleId: id })}
      />
      <label className="block text-[15px]">
        Shelter
        <input
          value={body.shelter ?? ''}
          maxLength={80}
          placeholder="a thick tree, a wall"
          onChange={({ target: { value } }) => put(value.trim() === '' ? open : { ...open, shelter: value }, 'shelter')}
        />
      </label>
      <Choice
        label="This layout"
        value={body.practised === undefined ? '' : body.practised ? 'yes' : 'no'}
        options={['', 'yes', 'no'] as const}
        words={(said) => PRACTISED[said]}
        onChange={(said) => put(said === '' ? unsaid : { ...unsaid, practised: said === 'yes' })}
      />
      <Practised personId={who?.personId} />
    </>
  );
}

/** What the records say that somebody has practised, the newest first. */
function Practised({ personId }: { readonly personId: string | undefined }) {
  const { data } = useGetPersonQuery(personId === undefined ? skipToken : { personId });
  if (personId === undefined || !data) return null;
  const newest = [...data.practised].sort((a, b) => b.on.localeCompare(a.on));
  return (
    <div className="col-span-2 text-[15px]" data-practised>
      <span className="text-quiet">{newest.length === 0 ? 'No practised layout is on record.' : 'Practised, by the records:'}</span>
      <ul>
        {newest.map(({ practiceId, layout, on, seenBy }) => (
          <li key={practiceId}>
            {layout} <span className="text-quiet">{`${day(on)}, seen by ${seenBy}`}</span>
          </li>
        ))}
      </ul>
    </div>
  );
}
