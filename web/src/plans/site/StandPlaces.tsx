import { type Case, type Edit, type Rig, type Stand } from '@wainrope/core';
import { MapPin } from 'lucide-react';
import { useState } from 'react';
import { Loading } from '../../shell/Loading.tsx';
import { useFigures } from '../../shell/use-figures.ts';
import { dutyBeside } from '../duty-words.ts';
import { useStands } from '../solver/questions.ts';
import { placedEdits } from './placed-edits.ts';

interface StandPlacesProps {
  readonly rig: Rig;
  readonly subject: Case;
  readonly apply: (edits: readonly Edit[], merge?: string) => void;
}

/** Proposes where everybody stands by the rig as it is, says why in a line each, and puts them there in one act. */
export function StandPlaces({ rig, subject, apply }: StandPlacesProps) {
  const [open, setOpen] = useState(false);
  const { value: stands, failed } = useStands(open ? subject : undefined);
  const moves = stands ? placedEdits(rig, stands) : [];
  return (
    <section aria-label="Where everybody stands" className="stitched pb-3" data-stands={stands?.length}>
      <h2 className="font-head text-lg font-semibold">Where everybody stands</h2>
      {rig.lines.length === 0 && <p className="text-[15px] text-quiet">Lay a line first: its zones say where nobody may be.</p>}
      {rig.lines.length > 0 && !open && (
        <button type="button" className="action my-1" onClick={() => setOpen(true)}>
          <MapPin size={17} aria-hidden /> Propose places
        </button>
      )}
      {moves.length > 0 && (
        <button type="button" className="action-main my-1" onClick={() => apply(moves)}>
          Put everybody there
        </button>
      )}
      {open && failed && <p className="text-rust">No places could be worked out for this rig.</p>}
      {open && !stands && !failed && <Loading what="the places" className="py-1" />}
      {stands?.length === 0 && <p className="text-[15px]">No line is tight yet, so there is nothing to keep clear of.</p>}
      {stands && stands.length > 0 && moves.length === 0 && <p className="font-semibold">Everybody who can stand safely is there.</p>}
      {stands && stands.length > 0 && <Places stands={stands} />}
      <p className="pt-1 text-[14px] text-quiet">
        Nobody crosses the dashed line while a rope is tight. Drag anybody to another place: it is judged at once.
      </p>
    </section>
  );
}

function Places({ stands }: { readonly stands: readonly Stand[] }) {
  const { text } = useFigures();
  return (
    <ol className="text-[15px]">
      {stands.map(({ id, label, duty, why, xM }) => (
        <li key={id} className="border-b border-rule py-1.5" data-stand={id}>
          <strong className={xM === undefined ? 'text-rust' : ''}>{label}</strong>{' '}
          <span className="text-quiet">{dutyBeside({ label, duty })}</span>
          <span className="block">{text(why)}</span>
        </li>
      ))}
    </ol>
  );
}
