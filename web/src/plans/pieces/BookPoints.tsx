import type { HookUpView } from '@wainrope/contract';
import { type Edit, force, type PieceUse, type Rig } from '@wainrope/core';
import { useState } from 'react';
import { useGetHookUpBookQuery, useGetTeamQuery } from '../../api/wainrope-api.ts';
import { useFigures } from '../../shell/use-figures.ts';
import { bookEdits, entriesFor } from './book-points.ts';

interface BookPointsProps {
  readonly rig: Rig;
  readonly use: PieceUse;
  readonly apply: (edits: readonly Edit[]) => void;
  readonly close: () => void;
}

/** What the hook-up book knows of this model: used before, last resorts by the owner's consent, and what is never hooked up at. */
export function BookPoints({ rig, use, apply, close }: BookPointsProps) {
  const { data } = useGetHookUpBookQuery();
  const { data: team } = useGetTeamQuery();
  const entries = entriesFor(rig, use.id, data?.items ?? [], (id) => team?.vehicles.find(({ vehicleId }) => vehicleId === id)?.model);
  return entries.map((entry) => (
    <BookPoint
      key={entry.entryId}
      entry={entry}
      hook={(consent) => {
        if (team) apply(bookEdits(rig, use, entry, consent, { person: team.actor.name, on: team.today }));
        close();
      }}
    />
  ));
}

function BookPoint({ entry, hook }: { readonly entry: HookUpView; readonly hook: (consent: string) => void }) {
  const { figure } = useFigures();
  const [consent, setConsent] = useState('');
  const { kind, place, loadN, note } = entry;
  return (
    <li className="flex flex-wrap items-center gap-2 border-b border-rule py-1.5" data-book-point={kind}>
      <span className="mr-auto">
        {place} <span className="text-quiet">hook-up book{loadN !== undefined && `, held ${figure(force(loadN))}`}</span>
        {note && <span className="block text-[15px] text-quiet">{note}</span>}
        {kind === 'refused' && <span className="block text-[15px] text-rust">Never here.</span>}
      </span>
      {kind === 'last-resort' && (
        <label className="w-full text-[15px] text-amber-ink">
          Last resort: who of the owner’s side knows the risk and agrees?
          <input value={consent} maxLength={40} placeholder="Name" onChange={(event) => setConsent(event.target.value)} />
        </label>
      )}
      {kind !== 'refused' && (
        <button type="button" className="action" disabled={kind === 'last-resort' && consent.trim() === ''} onClick={() => hook(consent)}>
          Hook up here
        </button>
      )}
    </li>
  );
}
