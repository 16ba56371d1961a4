import type { FirstSteps as Steps } from '@wainrope/contract';
import { Check } from 'lucide-react';
import { Link } from 'react-router';
import { useMay } from '../access/use-session.ts';
import { useGetFirstStepsQuery, usePutFirstStepsAwayMutation } from '../api/wainrope-api.ts';

interface Step {
  readonly key: Exclude<keyof Steps, 'putAway'>;
  readonly title: string;
  readonly why: string;
  readonly ways: readonly { readonly to: string; readonly words: string }[];
}

const STEPS: readonly Step[] = [
  {
    key: 'gear',
    title: 'Bring in your gear',
    why: 'The list you keep will do, in your own words. Or add pieces one by one.',
    ways: [
      { to: '/gear/import', words: 'Import your list' },
      { to: '/gear/new', words: 'Add a piece' },
    ],
  },
  {
    key: 'vehicle',
    title: 'Add a vehicle',
    why: 'What it weighs and where its winch sits decide what a pull comes to.',
    ways: [{ to: '/vehicles', words: 'Add a vehicle' }],
  },
  {
    key: 'kit',
    title: 'Pack a kit',
    why: 'Put together what goes out together, and see each morning whether it is fit to go.',
    ways: [{ to: '/kits', words: 'Pack a kit' }],
  },
  {
    key: 'people',
    title: 'Invite your people',
    why: 'Everybody signs in under their own name, so the record says who did what.',
    ways: [{ to: '/people', words: 'Invite people' }],
  },
  {
    key: 'plan',
    title: 'Plan your first pull',
    why: 'See which piece is the weakest, and by how much, before anyone tensions a line.',
    ways: [{ to: '/plans/new', words: 'Plan a pull' }],
  },
];

/** What a new team does first, and how far it is; gone once all is done, or put away. */
export function FirstSteps() {
  const may = useMay();
  const { data: steps } = useGetFirstStepsQuery(undefined, { skip: !may('gear.write') });
  const [put, { isLoading }] = usePutFirstStepsAwayMutation();
  if (!steps || steps.putAway) return null;
  const asked = STEPS.filter(({ key }) => key !== 'people' || may('people.write'));
  const done = asked.filter(({ key }) => steps[key]).length;
  if (done === asked.length) return null;
  const next = asked.find(({ key }) => !steps[key]);
  return (
    <section aria-labelledby="first-steps" className="no-print mt-4 border-2 border-ink bg-sheet px-4 py-3">
      <div className="flex flex-wrap items-baseline gap-x-4">
        <h2 id="first-steps" className="text-xl">
          First steps
        </h2>
        <p className="text-quiet">
          {done} of {asked.length} done
        </p>
        <button
          type="button"
          className="ml-auto min-h-11 underline"
          disabled={isLoading}
          onClick={() => put({ firstStepsChange: { putAway: true } })}
        >
          Put this list away
        </button>
      </div>
      <ol>
        {asked.map((step) => (
          <StepRow key={step.key} step={step} isDone={steps[step.key]} isNext={step === next} />
        ))}
      </ol>
    </section>
  );
}

interface StepRowProps {
  readonly step: Step;
  readonly isDone: boolean;
  readonly isNext: boolean;
}

function StepRow({ step: { title, why, ways }, isDone, isNext }: StepRowProps) {
  return (
    <li className="grid grid-cols-[1.75rem_1fr] items-center gap-x-2 gap-y-1 border-t border-rule py-2 sm:grid-cols-[1.75rem_1fr_auto]">
      {isDone ? (
        <Check size={20} className="text-moss" aria-label="done" />
      ) : (
        <span aria-hidden="true" className="ml-0.5 inline-block size-4 rounded-full border-2 border-ink" />
      )}
      <span className={isDone ? 'text-quiet' : ''}>
        <strong className={isDone ? 'font-normal' : 'font-head text-lg'}>{title}</strong>
        {!isDone && <span className="block text-quiet">{why}</span>}
      </span>
      {!isDone && (
        <span className="col-start-2 flex flex-wrap gap-2 sm:col-start-3">
          {ways.map(({ to, words }, index) => (
            <Link key={to} className={isNext && index === 0 ? 'action-main' : 'action'} to={to}>
              {words}
            </Link>
          ))}
        </span>
      )}
    </li>
  );
}
