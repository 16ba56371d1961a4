import type { PlanView, VariantView } from '@wainrope/contract';
import type { Rig } from '@wainrope/core';
import { useState } from 'react';
import { Link, useNavigate } from 'react-router';
import { useMay } from '../../access/use-session.ts';
import { useChooseVariantMutation, useCreatePlanMutation } from '../../api/wainrope-api.ts';
import { ProblemNote } from '../../shell/ProblemNote.tsx';
import { verdictWords } from '../../shell/VerdictMark.tsx';
import { useAppSelector } from '../../store.ts';
import { TaskNote } from '../../tasks/TaskNote.tsx';
import { CompareWith, type CompareWithProps } from './CompareWith.tsx';

interface VariantsProps extends Omit<CompareWithProps, 'otherId' | 'close'> {
  readonly rig: Rig;
}

/** Several ways of doing one plan, side by side until one of them is chosen. */
export function Variants(props: VariantsProps) {
  const { plan, rig } = props;
  const ways = plan.variants ?? [];
  const may = useMay();
  const mayWrite = may('plan.write');
  if (ways.length === 0 && !(mayWrite && plan.state === 'draft')) return null;
  return (
    <section aria-label="Variants">
      <h2 className="font-head text-lg font-semibold">Variants</h2>
      {ways.length > 0 && <Ways {...props} ways={ways} />}
      {mayWrite && plan.state === 'draft' && <TryAnotherWay planId={plan.planId} rig={rig} isFirst={ways.length === 0} />}
    </section>
  );
}

function Ways({ plan, subject, report, facts, apply, ways }: VariantsProps & { readonly ways: readonly VariantView[] }) {
  const dirty = useAppSelector((state) => state.planner.dirty);
  const mayWrite = useMay()('plan.write');
  const navigate = useNavigate();
  const [comparedId, setCompared] = useState('');
  const [choose, choosing] = useChooseVariantMutation();
  const [root] = ways;
  if (!root) return null;
  const take = async ({ planId, version }: VariantView) => {
    const answer = await choose({ planId, task: crypto.randomUUID(), variantChoice: { version, baseVersion: root.version } });
    if (answer.data && answer.data.planId !== plan.planId) navigate(`/plans/${answer.data.planId}?show=record`);
  };
  return (
    <>
      <p className="text-[15px] text-quiet">
        {ways.length} ways of doing it. None can be declared ready until one is chosen; the others are then put away.
      </p>
      <ul>
        {ways.map((way) => (
          <li key={way.planId} className="border-b border-rule py-1.5" data-variant={way.name}>
            <p>
              <strong>{way.name}</strong>
              <span className="block text-[15px] text-quiet">
                {placeOf(way, root, plan)} · {verdictWords[way.verdict].toLowerCase()} when it was saved
              </span>
            </p>
            <p className="flex flex-wrap gap-2 py-1.5">
              {way.planId !== plan.planId && (
                <>
                  <Link className="action" to={`/plans/${way.planId}?show=record`}>
                    Open
                  </Link>
                  <button type="button" className="action" onClick={() => setCompared(way.planId)}>
                    Compare
                  </button>
                </>
              )}
              {mayWrite && (
                <button type="button" className="action" disabled={dirty || choosing.isLoading} onClick={() => take(way)}>
                  {way === root ? 'Keep the plan as it is' : 'Choose this one'}
                </button>
              )}
            </p>
            {comparedId === way.planId && (
              <CompareWith {...{ plan, subject, report, facts, apply }} otherId={comparedId} close={() => setCompared('')} />
            )}
          </li>
        ))}
      </ul>
      {mayWrite && dirty && <p className="py-1 text-amber-ink">What you changed here is not saved yet: save it, then choose.</p>}
      <TaskNote task={choosing.originalArgs?.task} isRunning={choosing.isLoading} what="Judging the one that was chosen" />
      <ProblemNote error={choosing.error} />
    </>
  );
}

/** What a way is to the plan, and whether it is the one that is open. */
const placeOf = (way: VariantView, root: VariantView, plan: PlanView): string =>
  [way === root ? 'the plan as it stands' : 'a variant', way.planId === plan.planId && 'open here'].filter(Boolean).join(', ');

interface TryAnotherWayProps {
  readonly planId: string;
  readonly rig: Rig;
  readonly isFirst: boolean;
}

/** Begins a variant with the rig as it is drawn now. */
function TryAnotherWay({ planId, rig, isFirst }: TryAnotherWayProps) {
  const navigate = useNavigate();
  const [name, setName] = useState('');
  const [create, creating] = useCreatePlanMutation();
  const begin = async () => {
    const planCreate = { planId: crypto.randomUUID(), name: name.trim(), rig, variantOf: planId };
    const answer = await create({ task: crypto.randomUUID(), planCreate });
    if (answer.data) navigate(`/plans/${answer.data.planId}?show=record`);
  };
  return (
    <form
      className="pt-1"
      onSubmit={(event) => {
        event.preventDefault();
        void begin();
      }}
    >
      <label className="block text-[15px]">
        {isFirst ? 'Try it another way: name of the variant' : 'Name of another variant'}
        <input value={name} maxLength={120} placeholder="With two strands" onChange={(event) => setName(event.target.value)} />
      </label>
      <button type="submit" className="action mt-1" disabled={name.trim() === '' || creating.isLoading}>
        Begin the variant
      </button>
      <TaskNote task={creating.originalArgs?.task} isRunning={creating.isLoading} what="Judging the variant" />
      <ProblemNote error={creating.error} />
    </form>
  );
}
