import type { VehicleView } from '@wainrope/contract';
import type { Rig } from '@wainrope/core';
import { useGetHookUpBookQuery } from '../../api/wainrope-api.ts';
import { HookUpList } from '../../vehicles/HookUpList.tsx';

/** What the hook-up book says of the vehicles of this plan, by model. */
export function HookUpNotes({ rig, vehicles }: { readonly rig: Rig; readonly vehicles: readonly VehicleView[] }) {
  const { data } = useGetHookUpBookQuery();
  const entries = data?.items ?? [];
  const named = rig.bodies.flatMap((body) => {
    const vehicle = body.kind === 'vehicle' ? vehicles.find(({ vehicleId }) => vehicleId === body.vehicleId) : undefined;
    const known = entries.filter(({ model }) => model.toLowerCase() === vehicle?.model.toLowerCase());
    return vehicle && known.length > 0 ? [{ vehicle, known }] : [];
  });
  return named.map(({ vehicle, known }) => (
    <section key={vehicle.vehicleId} aria-label={`Hook-up book: ${vehicle.model}`} className="pt-4">
      <h3 className="stitched pb-1 text-lg">
        Hook-up book: {vehicle.name}, {vehicle.model}
      </h3>
      <HookUpList entries={known} photos={false} />
    </section>
  ));
}
