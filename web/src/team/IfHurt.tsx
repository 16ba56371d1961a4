import { useForm } from 'react-hook-form';
import { useMay } from '../access/use-session.ts';
import { problemOf, useGetTeamQuery, useSetIfHurtMutation } from '../api/wainrope-api.ts';
import { FormProblem } from '../shell/FormProblem.tsx';
import { faultsByPath } from '../shell/faults-by-path.ts';
import { Labelled } from '../shell/Labelled.tsx';

/** Whom the team calls if somebody is hurt: it stands on every field card. */
export function IfHurt() {
  const { data: team } = useGetTeamQuery();
  const may = useMay();
  if (!team) return null;
  // A device may have kept the team as it was told before there was such a thing.
  const call = (team.ifHurt as typeof team.ifHurt | undefined)?.call ?? '';
  return (
    <section aria-label="If somebody is hurt" className="mt-6 max-w-[760px]">
      <h2 className="stitched pb-1.5 text-xl">If somebody is hurt</h2>
      {may('people.write') ? (
        <CallForm key={call} call={call} />
      ) : (
        <p className="pt-2">{call === '' ? 'Nobody has said yet whom the team calls.' : <strong>{call}</strong>}</p>
      )}
      <p className="pt-1 text-[15px] text-quiet">
        It is printed on every field card, with the plan’s position and any first aiders on the plan. Where there is no signal, agree on
        another way before the line is connected.
      </p>
    </section>
  );
}

function CallForm({ call }: { readonly call: string }) {
  const [set, { error, isLoading }] = useSetIfHurtMutation();
  const { register, handleSubmit, formState } = useForm({ defaultValues: { call } });
  const faults = faultsByPath(error && problemOf(error));
  return (
    <form noValidate onSubmit={handleSubmit(async (ifHurt) => void (await set({ ifHurt })))}>
      <div className="grid items-start gap-3 pt-3 sm:grid-cols-[3.5fr_auto]">
        <Labelled label="Whom to call, and how" fault={faults.call}>
          <input {...register('call')} autoComplete="off" placeholder="a number, a radio channel" />
        </Labelled>
        <button type="submit" className="action sm:mt-[1.35rem]" disabled={isLoading || !formState.isDirty}>
          Save
        </button>
      </div>
      <FormProblem error={error} shown={['call']} />
    </form>
  );
}
