import type { OutingView } from '@wainrope/contract';
import { Check } from 'lucide-react';
import { useState } from 'react';
import { Link, useParams } from 'react-router';
import { useMay } from '../access/use-session.ts';
import { problemOf, useCloseOutingMutation, useCountBackMutation, useGetOutingQuery } from '../api/wainrope-api.ts';
import { TagEntry } from '../fields/TagEntry.tsx';
import { useTeam } from '../register/use-register.ts';
import { day, moment } from '../shell/days.ts';
import { FormProblem } from '../shell/FormProblem.tsx';
import { faultsByPath } from '../shell/faults-by-path.ts';
import { Labelled } from '../shell/Labelled.tsx';
import { PageHeading } from '../shell/PageHeading.tsx';
import { ProblemNote } from '../shell/ProblemNote.tsx';
import { Tag } from '../shell/Tag.tsx';

/** One outing: who has what, counting back by tag, and what is missing. */
export function OutingPage() {
  const { outingId = '' } = useParams();
  const { data: outing, error, refetch } = useGetOutingQuery({ outingId });
  return (
    <div className="page py-4">
      <p className="no-print">
        <Link className="underline" to="/outings">
          Out and back
        </Link>
      </p>
      <ProblemNote error={error} retry={refetch} />
      {outing && <Sheet outing={outing} />}
    </div>
  );
}

function Sheet({ outing }: { readonly outing: OutingView }) {
  const { team } = useTeam();
  const may = useMay();
  const [countBack, counting] = useCountBackMutation();
  const open = outing.closedAt === undefined;
  const away = outing.pieces.filter(({ backAt }) => backAt === undefined);
  const count = (gearIds: readonly string[]) => countBack({ outingId: outing.outingId, outingPieces: { gearIds: [...gearIds] } });
  const enter = (code: string): string | undefined => {
    const piece = outing.pieces.find(({ tag }) => tag.toLowerCase() === code.toLowerCase());
    if (!piece) return `${code} did not go out with this. Put it aside and ask.`;
    if (piece.backAt) return `${piece.tag} was counted back already.`;
    count([piece.gearId]);
    return undefined;
  };
  return (
    <>
      <PageHeading title={outing.name} about="outing" />
      <p className="border-b-2 border-ink pb-3">
        With {outing.holder}, since {moment(outing.outAt)}, checked out by {outing.outBy}
        {outing.dueBackOn && `, due back ${day(outing.dueBackOn)}`}.
        {!open && ` Closed ${moment(outing.closedAt ?? '')} by ${outing.closedBy}.`}
      </p>
      <p aria-live="polite" data-count className="pt-3 font-head text-2xl">
        {outing.pieces.length - away.length} of {outing.pieces.length} counted back
      </p>
      {open && may('whereabouts.write') && (
        <div className="pt-2 text-lg">
          <TagEntry label="Tag of a piece that is back" entered={enter} simulated={team?.demo === undefined ? undefined : away[0]?.tag} />
        </div>
      )}
      <ProblemNote error={counting.error} />
      <ul className="pt-3">
        {outing.pieces.map((piece) => (
          <li key={piece.gearId} className="flex min-h-12 flex-wrap items-center gap-x-3 border-b border-rule py-1.5">
            <Link to={`/gear/${piece.gearId}`} aria-label={`${piece.tag} ${piece.name}`}>
              <Tag code={piece.tag} />
            </Link>
            <span>{piece.name}</span>
            {piece.backAt ? (
              <span className="ml-auto flex items-center gap-1 text-moss">
                <Check size={18} aria-hidden="true" /> back {moment(piece.backAt)}, {piece.backBy}
              </span>
            ) : (
              <span className="ml-auto flex items-center gap-3">
                <strong className={open ? 'text-amber-ink' : 'text-rust'}>{open ? 'out' : 'missing'}</strong>
                {open && may('whereabouts.write') && (
                  <button type="button" className="action" aria-label={`${piece.tag} is back`} onClick={() => count([piece.gearId])}>
                    Is back
                  </button>
                )}
              </span>
            )}
          </li>
        ))}
      </ul>
      {outing.missingNote && <p className="pt-3">Missing: “{outing.missingNote}”</p>}
      {open && may('whereabouts.write') && <Close outing={outing} away={away} />}
      {open && (
        <p className="pt-3 text-[15px] text-quiet">
          Back in the shed:{' '}
          <Link className="underline" to="/inspect?kind=after-use">
            check what was used
          </Link>{' '}
          and note mud, sand or salt before it dries in.
        </p>
      )}
    </>
  );
}

function Close({ outing, away }: { readonly outing: OutingView; readonly away: OutingView['pieces'] }) {
  const [close, { error, isLoading }] = useCloseOutingMutation();
  const [note, setNote] = useState('');
  const faults = faultsByPath(error && problemOf(error));
  return (
    <form
      className="mt-5 max-w-xl space-y-3"
      onSubmit={(event) => {
        event.preventDefault();
        close({ outingId: outing.outingId, outingClose: note.trim() ? { missingNote: note } : {} });
      }}
    >
      {away.length > 0 && (
        <>
          <p className="border-l-4 border-signal bg-amber-wash px-4 py-2">
            Missing: {away.map(({ tag, name }) => `${tag} ${name}`).join(', ')}.
          </p>
          <Labelled label="What became of them? Needed to close with pieces missing." fault={faults.missingNote}>
            <input value={note} onChange={(event) => setNote(event.target.value)} />
          </Labelled>
        </>
      )}
      <FormProblem error={error} shown={['missingNote']} />
      <button type="submit" className={away.length === 0 ? 'action-main' : 'action'} disabled={isLoading}>
        {away.length === 0 ? 'All back: close it' : `Close with ${away.length} missing`}
      </button>
    </form>
  );
}
