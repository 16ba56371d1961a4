import { type Terrain, terrainLists, terrains } from '@wainrope/core';
import { Plus } from 'lucide-react';
import { useState } from 'react';
import { Link, useNavigate } from 'react-router';
import { useMay } from '../access/use-session.ts';
import { problemOf, useAddKitMutation } from '../api/wainrope-api.ts';
import { Choice } from '../fields/Choice.tsx';
import { GearTabs } from '../register/GearTabs.tsx';
import { EmptyPage } from '../shell/EmptyPage.tsx';
import { FormProblem } from '../shell/FormProblem.tsx';
import { faultsByPath } from '../shell/faults-by-path.ts';
import { Labelled } from '../shell/Labelled.tsx';
import { Loading } from '../shell/Loading.tsx';
import { ProblemNote } from '../shell/ProblemNote.tsx';
import { terrainWords } from './kit-words.ts';
import { ReadyMark } from './ReadyMark.tsx';
import { useKits } from './use-kits.ts';

export function KitListPage() {
  const { kits, team, error, refetch } = useKits();
  const may = useMay();
  return (
    <div className="page py-4">
      <GearTabs title="Kits" />
      <ProblemNote error={error} retry={refetch} />
      {!kits && !error && <Loading what="the kits" />}
      <ul>
        {kits?.map(({ kit, inside, readiness }) => (
          <li key={kit.kitId} className="border-b border-rule">
            <Link
              to={`/kits/${kit.kitId}`}
              className="grid items-center gap-x-5 gap-y-1 px-1 py-2.5 hover:bg-sheet sm:grid-cols-[9rem_1fr_auto]"
            >
              <ReadyMark readiness={readiness} asked={kit.wanted.length > 0} />
              <span>
                <span className="block font-head text-xl font-semibold">{kit.name}</span>
                <span className="text-quiet">
                  {[kit.terrain && terrainWords[kit.terrain], team?.vehicles.find(({ vehicleId }) => vehicleId === kit.vehicleId)?.name]
                    .filter(Boolean)
                    .join(', ')}
                </span>
              </span>
              <span className="text-quiet">{inside.length} pieces</span>
            </Link>
          </li>
        ))}
      </ul>
      {kits?.length === 0 && (
        <EmptyPage of="kits" words="No kit yet.">
          Make one from the packing list of the ground you work on. Each day this page then says whether it can go, and what it lacks.
        </EmptyPage>
      )}
      {may('kit.write') && <AddKit />}
    </div>
  );
}

function AddKit() {
  const [add, { error, isLoading }] = useAddKitMutation();
  const [name, setName] = useState('');
  const [terrain, setTerrain] = useState<Terrain | ''>('');
  const navigate = useNavigate();
  const faults = faultsByPath(error && problemOf(error));
  return (
    <form
      className="mt-5 grid max-w-[760px] items-start gap-3 sm:grid-cols-[1.5fr_1.2fr_auto]"
      onSubmit={async (event) => {
        event.preventDefault();
        const wanted = terrain ? terrainLists[terrain] : [];
        const answer = await add({ kitCreate: { kitId: crypto.randomUUID(), name, wanted, ...(terrain && { terrain }) } });
        if (answer.data) navigate(`/kits/${answer.data.kitId}`);
      }}
    >
      <Labelled label="Name of a new kit" fault={faults.name}>
        <input value={name} onChange={(event) => setName(event.target.value)} />
      </Labelled>
      <Choice
        label="Packing list"
        value={terrain}
        options={['', ...terrains]}
        words={(entry) => (entry === '' ? 'none to begin with' : terrainWords[entry])}
        onChange={setTerrain}
      />
      <button type="submit" className="action-main sm:mt-[1.35rem]" disabled={isLoading}>
        <Plus size={17} aria-hidden="true" /> Make a kit
      </button>
      <FormProblem error={error} shown={['name']} />
    </form>
  );
}
