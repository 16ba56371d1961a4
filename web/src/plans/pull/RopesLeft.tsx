import { useGetGearQuery, useListLoadsQuery } from '../../api/wainrope-api.ts';
import { LoadTotals } from '../../logbook/LoadTotals.tsx';

/** How many pulls each rope has left, and how long it still has to rest. */
export function RopesLeft({ ropes }: { readonly ropes: readonly string[] }) {
  return ropes.map((gearId) => <RopeLeft key={gearId} gearId={gearId} />);
}

function RopeLeft({ gearId }: { readonly gearId: string }) {
  const { data: gear } = useGetGearQuery({ gearId });
  const { data: loads } = useListLoadsQuery({ gearId, limit: 1 });
  if (!gear || !loads?.summary) return null;
  return (
    <section aria-label={`${gear.tag}, pulls left`} data-rope-left={gear.tag}>
      <h3 className="font-head text-lg font-semibold">{`${gear.tag} ${gear.name}`}</h3>
      <LoadTotals gear={gear} summary={loads.summary} />
    </section>
  );
}
