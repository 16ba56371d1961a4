import type { OwnFigureView } from '@wainrope/contract';
import { isFigureOf, keyWords, percent } from '@wainrope/core';
import { useState } from 'react';
import { useMay } from '../../access/use-session.ts';
import { useListOwnFiguresQuery } from '../../api/wainrope-api.ts';
import { depthWords } from '../../fields/situation-words.ts';
import { useTeam } from '../../register/use-register.ts';
import { day } from '../../shell/days.ts';
import { ProblemNote } from '../../shell/ProblemNote.tsx';
import { useFigures } from '../../shell/use-figures.ts';
import { AdoptFigure } from './AdoptFigure.tsx';

/** So far from what was planned an estimate is off, either way. */
const OFF = 0.25;

/** What pulls with a gauge came to, by ground, depth and machine, beside what was planned for them. */
export function OwnFigures() {
  const { data, error, refetch } = useListOwnFiguresQuery();
  return (
    <section aria-label="What measured pulls came to">
      <h2 className="stitched mt-6 pb-1.5 text-xl">What measured pulls came to, of all seasons</h2>
      <ProblemNote error={error} retry={refetch} />
      {data?.items.length === 0 && (
        <p className="pt-2 text-quiet">
          No pull with a gauge on record. One from a plan, with its largest line tension, is held against the estimate here.
        </p>
      )}
      <ul>
        {data?.items.map((figure) => (
          <OwnFigure key={`${figure.surface} ${figure.depth} ${figure.machine}`} of={figure} />
        ))}
      </ul>
    </section>
  );
}

function OwnFigure({ of }: { readonly of: OwnFigureView }) {
  const { figure } = useFigures();
  const share = (value: number) => figure(percent(value));
  const { surface, depth, machine, pulls, median, low, high, largest, ofPlanned, lastOn } = of;
  const isOff = pulls >= 3 && Math.abs(ofPlanned - 1) > OFF;
  return (
    <li className="grid gap-x-4 border-b border-rule py-1.5 sm:grid-cols-[1.2fr_1fr_1.4fr]">
      <span>
        {machine}, {keyWords(surface)}, {depthWords(depth)}
      </span>
      <span>
        {pulls} {pulls === 1 ? 'pull' : 'pulls'}, the last on {day(lastOn)}
      </span>
      <span>
        {median !== undefined && low !== undefined && high !== undefined && largest !== undefined ? (
          <>
            <strong>{share(median)}</strong> of its weight, {share(low)} to {share(high)} without the outer tenths, {share(largest)} at most
          </>
        ) : (
          <span className="text-quiet">a figure wants three pulls</span>
        )}
        <span className={`block ${isOff ? 'text-amber-ink' : 'text-quiet'}`}>
          {share(ofPlanned)} of what was planned
          {isOff && (ofPlanned > 1 ? ': the estimates are too low here' : ': the estimates are too high here')}
        </span>
      </span>
      <Adoption of={of} />
    </li>
  );
}

/** Digits of a share that nobody would tell apart. */
const SAME = 1e-9;

/** Whether plans go by the figure, and the way to it for whoever may decide it. */
function Adoption({ of }: { readonly of: OwnFigureView }) {
  const { figure } = useFigures();
  const { policy } = useTeam();
  const may = useMay();
  const [isOpen, setOpen] = useState(false);
  const { adoptable } = of;
  const adopted = policy?.ownFigures.find((each) => isFigureOf(each, of));
  const isNew = adoptable !== undefined && Math.abs(adoptable - (adopted?.share ?? 0)) > SAME;
  if (!policy || (!adopted && adoptable === undefined)) return null;
  return (
    <div className="col-span-full flex flex-wrap items-center gap-x-4 gap-y-1">
      {adopted && (
        <span className="font-semibold text-moss">
          Plans go by {figure(percent(adopted.share))} of its weight, from {adopted.pulls.length} pulls.
        </span>
      )}
      {isNew && (
        <span>
          {adopted ? 'By the newest pulls it would be' : 'Plans could go by'} {figure(percent(adoptable))} of its weight.
        </span>
      )}
      {isNew && may('figure.adopt') && !isOpen && (
        <button type="button" className="action no-print" onClick={() => setOpen(true)}>
          Plan by this figure
        </button>
      )}
      {isOpen && <AdoptFigure of={of} done={() => setOpen(false)} />}
    </div>
  );
}
