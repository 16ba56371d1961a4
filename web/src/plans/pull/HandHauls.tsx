import { type Bag, type Case, count, type Edit, force, type HandHaul, length, mass, type Rig, type ToldReport } from '@wainrope/core';
import { Scale } from 'lucide-react';
import { useState } from 'react';
import { useRegister } from '../../register/use-register.ts';
import { Loading } from '../../shell/Loading.tsx';
import { useFigures } from '../../shell/use-figures.ts';
import { verdictWords } from '../../shell/VerdictMark.tsx';
import { useLightestBag } from '../solver/questions.ts';

interface HandHaulsProps {
  readonly rig: Rig;
  readonly subject: Case;
  readonly report: ToldReport;
  readonly apply: (edits: readonly Edit[]) => void;
  readonly locked: boolean;
}

/** A haul by hand as people plan for it: who, how often, with how much rope, and what has to be carried there. */
export function HandHauls({ rig, subject, report, apply, locked }: HandHaulsProps) {
  return (
    <section aria-label="By hand" data-hand-haul>
      <h3 className="font-head text-lg font-semibold">By hand</h3>
      {report.pull.hands.map((haul) => (
        <Haul key={haul.lineId} haul={haul} report={report} />
      ))}
      <WhatToCarry {...{ rig, subject, report, apply, locked }} />
    </section>
  );
}

function Haul({ haul, report }: { readonly haul: HandHaul; readonly report: ToldReport }) {
  const { figure } = useFigures();
  const { people, neededPeople, eachN, throws, neededM, ropeM, heldBy } = haul;
  const few = neededPeople !== undefined && neededPeople > people;
  const hauledM = throws.reduce((sum, one) => sum + one.ropeM, 0);
  const grips = report.places.filter(({ subject }) => heldBy.includes(subject.id)).map(({ tag, name }) => tag ?? name);
  return (
    <table className="w-full text-[15px] [&_td]:py-1 [&_td:last-child]:text-right [&_tr]:border-b [&_tr]:border-rule">
      <tbody>
        <tr>
          <td>People at the rope</td>
          <td className={few ? 'font-semibold text-rust' : ''} data-people>
            {figure(count(people))}
            {neededPeople !== undefined && `, ${few ? 'but ' : ''}${figure(count(neededPeople))} needed`}
            {eachN !== undefined && <span className="block text-quiet">{figure(force(eachN))} each, at most</span>}
          </td>
        </tr>
        <tr>
          <td>Throws</td>
          <td data-throws>
            {throws.length === 0 ? 'say how far the load has to go' : figure(count(throws.length))}
            {throws.length > 1 && ` · grips moved back ${throws.length === 2 ? 'once' : `${figure(count(throws.length - 1))} times`}`}
            {throws.length > 1 && <span className="block text-quiet">to {throws.map(({ toM }) => figure(length(toM))).join(', ')}</span>}
          </td>
        </tr>
        {throws.length > 0 && (
          <tr>
            <td>Rope taken in</td>
            <td>{figure(length(hauledM))}</td>
          </tr>
        )}
        {neededM !== undefined && (
          <tr>
            <td>Rope needed, from hands to end</td>
            <td>
              {figure(length(neededM))} {ropeM === undefined ? 'of a rope whose length is not on record' : `of ${figure(length(ropeM))}`}
            </td>
          </tr>
        )}
        <tr>
          <td>Held when hands let go</td>
          <td className={grips.length === 0 ? 'font-semibold' : ''}>{grips.length > 0 ? `by ${grips.join(', ')}` : 'by nothing'}</td>
        </tr>
      </tbody>
    </table>
  );
}

function WhatToCarry({ rig, subject, report, apply, locked }: HandHaulsProps) {
  const { pieces } = useRegister();
  // The rig that somebody asked about: another is another question.
  const [asked, setAsked] = useState<Rig>();
  const isAsked = asked === rig;
  const { value: found, failed } = useLightestBag(isAsked ? subject : undefined, pieces);
  const { figure } = useFigures();
  if (!isAsked)
    return (
      <button type="button" className="action mt-2" disabled={!pieces} onClick={() => setAsked(rig)}>
        <Scale size={17} aria-hidden /> Find the lightest bag
      </button>
    );
  if (failed) return <p className="pt-2 text-rust">The lightest bag could not be worked out. Ask again.</p>;
  if (!found) return <Loading what="the lightest bag" className="pt-2" />;
  const { now, lightest, edits = [], without, isWhole } = found;
  const savedKg = now.massKg - (lightest?.massKg ?? now.massKg);
  const carryKg = subject.policy.hand.carryKg.value;
  return (
    <div className="pt-2" data-bag>
      {lightest ? (
        <>
          <p className="font-semibold">
            {edits.length === 0 ? 'The bag as it is, ' : 'The lightest bag that does it, '}
            {figure(mass(lightest.massKg))}
            {lightest.unweighed.length > 0 && ` and ${lightest.unweighed.length} not weighed`}: {verdictWords[lightest.verdict]}
          </p>
          {edits.length > 0 && (
            <p className="flex flex-wrap items-center gap-2 text-[15px]">
              {savedKg > 0
                ? `${figure(mass(savedKg))} less than now.`
                : `As rigged now it weighs ${figure(mass(now.massKg))}, and does not hold.`}
              {!locked && (
                <button type="button" className="action" onClick={() => apply(edits)}>
                  Use these pieces
                </button>
              )}
            </p>
          )}
          <p className="text-[15px] text-quiet">
            {isWhole
              ? 'No single piece of known weight can be exchanged for a lighter one.'
              : 'The search stopped before everything was tried: there may be something lighter.'}
          </p>
          <Carriers bag={lightest} mostKg={carryKg} />
        </>
      ) : (
        <p className="font-semibold text-rust">
          The register has nothing that holds in place of {without.map((useId) => namedPlace(report, useId)).join(', ')}. As rigged now it
          weighs {figure(mass(now.massKg))}.
        </p>
      )}
    </div>
  );
}

/** Who carries what, each bag with its weight. */
function Carriers({ bag: { carriers, unweighed, pieces }, mostKg }: { readonly bag: Bag; readonly mostKg: number }) {
  const { figure } = useFigures();
  const tags = unweighed.map((id) => pieces.find(({ gearId }) => gearId === id)?.tag ?? id);
  return (
    <>
      <ol className="pt-1 text-[15px]">
        {carriers.map(({ name, pieces: own, massKg }, index) => (
          <li key={own[0]?.gearId} className="flex justify-between gap-3 border-b border-rule py-1">
            <span>
              <strong>{name || `Hand ${index + 1}`}</strong>: {own.map(({ tag }) => tag).join(', ')}
            </span>
            <span className={`whitespace-nowrap ${massKg > mostKg ? 'font-semibold text-rust' : ''}`}>
              {figure(mass(massKg))}
              {massKg > mostKg && <span className="block">over {figure(mass(mostKg))}</span>}
            </span>
          </li>
        ))}
      </ol>
      {carriers.length === 0 && <p className="text-[15px]">Nobody is there to carry it: add the crew or the people on the site.</p>}
      {tags.length > 0 && (
        <p className="pt-1 text-[15px] text-quiet">
          Not weighed: {tags.join(', ')}. With their weight on record they would count, and could be exchanged.
        </p>
      )}
    </>
  );
}

/** What is in a place now. */
function namedPlace({ places }: ToldReport, useId: string): string {
  const place = places.find(({ subject }) => subject.id === useId);
  return place ? [place.tag, place.name].filter(Boolean).join(' ') : 'a piece not chosen';
}
