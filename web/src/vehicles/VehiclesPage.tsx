import type { HookUpView, VehicleDetail } from '@wainrope/contract';
import { type Figure, force, keyWords, length, mass, smallLength } from '@wainrope/core';
import { Plus } from 'lucide-react';
import { useState } from 'react';
import { Link, useParams } from 'react-router';
import { useMay } from '../access/use-session.ts';
import { useGetHookUpBookQuery, useListVehiclesQuery } from '../api/wainrope-api.ts';
import { SubjectPhotos } from '../photos/SubjectPhotos.tsx';
import { GearTabs } from '../register/GearTabs.tsx';
import { type RegisterPiece, useRegister } from '../register/use-register.ts';
import { EmptyPage } from '../shell/EmptyPage.tsx';
import { Loading } from '../shell/Loading.tsx';
import { ProblemNote } from '../shell/ProblemNote.tsx';
import { Tag } from '../shell/Tag.tsx';
import { useFigures } from '../shell/use-figures.ts';
import { HookUpForm } from './HookUpForm.tsx';
import { HookUpList } from './HookUpList.tsx';
import { VehicleForm } from './VehicleForm.tsx';

/** The team's vehicles with what is on them, and the hook-up book by model. */
export function VehiclesPage() {
  const { vehicleId } = useParams();
  const { data, error, refetch } = useListVehiclesQuery();
  const { data: book } = useGetHookUpBookQuery();
  const { pieces } = useRegister();
  const may = useMay();
  const [adding, setAdding] = useState(false);
  const vehicles = data?.items ?? [];
  const entries = book?.items;
  const shown = vehicleId ? vehicles.filter((vehicle) => vehicle.vehicleId === vehicleId) : vehicles;
  const others = [...new Set((entries ?? []).map(({ model }) => model))].filter(
    (model) => !vehicles.some((vehicle) => sameModel(vehicle.model, model)),
  );
  return (
    <div className="page py-4">
      <GearTabs title="Vehicles">
        {may('vehicle.write') && (
          <button type="button" className="action-main" onClick={() => setAdding(!adding)}>
            <Plus size={17} aria-hidden="true" /> Add a vehicle
          </button>
        )}
      </GearTabs>
      <ProblemNote error={error} retry={refetch} />
      {!data && !error && <Loading what="the vehicles" />}
      {data && vehicles.length === 0 && !adding && (
        <EmptyPage of="vehicles" words="No vehicle yet.">
          Add each vehicle that pulls or carries gear: its weight, its winch, and the points one may hook on to.
        </EmptyPage>
      )}
      {adding && <VehicleForm done={() => setAdding(false)} />}
      {shown.map((vehicle) => (
        <VehicleSheet
          key={vehicle.vehicleId}
          vehicle={vehicle}
          pieces={pieces}
          entries={entries?.filter(({ model }) => sameModel(model, vehicle.model))}
        />
      ))}
      {vehicleId && (
        <p className="pt-4">
          <Link className="underline" to="/vehicles">
            All vehicles
          </Link>
        </p>
      )}
      {!vehicleId && (
        <section className="pt-8">
          <h2 className="stitched pb-1.5 text-xl">Hook-up book: other models</h2>
          <p className="pt-1.5 text-quiet">
            What was learned lying under somebody else’s vehicle. Look once, write it down, never guess again.
          </p>
          {others.map((model) => (
            <div key={model} className="pt-3">
              <h3 className="text-lg">{model}</h3>
              <HookUpList entries={entries?.filter((entry) => entry.model === model)} />
            </div>
          ))}
          {may('hook-up.write') && <HookUpForm />}
        </section>
      )}
    </div>
  );
}

const sameModel = (a: string, b: string): boolean => a.trim().toLowerCase() === b.trim().toLowerCase();

interface VehicleSheetProps {
  readonly vehicle: VehicleDetail;
  /** Not there until they are read: then nothing is said of them. */
  readonly pieces: readonly RegisterPiece[] | undefined;
  readonly entries: readonly HookUpView[] | undefined;
}

function VehicleSheet({ vehicle, pieces, entries }: VehicleSheetProps) {
  const may = useMay();
  const { figure } = useFigures();
  const [doing, setDoing] = useState<'edit' | 'hook-up'>();
  const on = pieces?.filter(({ gear }) => gear.vehicleId === vehicle.vehicleId && gear.state !== 'retired');
  return (
    <section className="border-b-2 border-ink py-4" aria-label={vehicle.name}>
      <div className="flex flex-wrap items-center gap-x-4 gap-y-1">
        <h2 className="text-2xl">{vehicle.name}</h2>
        <span className="text-quiet">
          {vehicle.model}, {figure(mass(vehicle.massKg))}, {figure(length(vehicle.lengthM))} × {figure(length(vehicle.widthM))}
        </span>
        <span className="ml-auto flex gap-2">
          {may('hook-up.write') && (
            <button type="button" className="action" onClick={() => setDoing(doing === 'hook-up' ? undefined : 'hook-up')}>
              Write in the hook-up book
            </button>
          )}
          {may('vehicle.write') && (
            <button
              type="button"
              className="action"
              aria-label={`Change ${vehicle.name}`}
              onClick={() => setDoing(doing === 'edit' ? undefined : 'edit')}
            >
              Change
            </button>
          )}
        </span>
      </div>
      {doing === 'edit' && <VehicleForm before={vehicle} done={() => setDoing(undefined)} />}
      {doing === 'hook-up' && <HookUpForm model={vehicle.model} done={() => setDoing(undefined)} />}
      <div className="grid gap-x-12 gap-y-3 pt-2 lg:grid-cols-2">
        <div>
          <h3 className="text-lg">On it</h3>
          {on?.length === 0 && (
            <p className="text-quiet">
              No winch, line or recovery point is noted on it. Add them to the register and say which vehicle they are on.
            </p>
          )}
          <ul>
            {on?.map(({ gear, limit }) => (
              <li key={gear.gearId} className="grid grid-cols-[6rem_1fr_auto] items-center gap-x-3 border-b border-rule py-1">
                <Link to={`/gear/${gear.gearId}`} aria-label={`${gear.tag} ${gear.name}`}>
                  <Tag code={gear.tag} />
                </Link>
                <span>
                  {gear.name} <span className="text-[15px] text-quiet">{pointWords(gear.attributes, figure)}</span>
                </span>
                {limit.kind === 'rated' && <span className="font-mono text-[15px]">{figure(force(limit.wllN))}</span>}
                {limit.kind === 'unrated' && <span className="text-rust">not rated</span>}
              </li>
            ))}
          </ul>
          <SubjectPhotos subjectId={vehicle.vehicleId} subjectKind="vehicle" photoIds={vehicle.photoIds} name={vehicle.name} />
        </div>
        <div>
          <h3 className="text-lg">Hook-up book</h3>
          <HookUpList entries={entries} />
        </div>
      </div>
    </section>
  );
}

/** Where a recovery point or winch sits: what kind, how high, what edge. */
function pointWords(attributes: object, figure: (value: Figure) => string): string {
  const { pointKind, heightM, edgeRadiusM, spoolState } = attributes as {
    readonly pointKind?: string;
    readonly heightM?: number;
    readonly edgeRadiusM?: number;
    readonly spoolState?: string;
  };
  return [
    pointKind && keyWords(pointKind),
    heightM !== undefined && `${figure(length(heightM))} high`,
    edgeRadiusM !== undefined && `edge ${figure(smallLength(edgeRadiusM))}`,
    spoolState && `spooled ${keyWords(spoolState)}`,
  ]
    .filter(Boolean)
    .join(', ');
}
