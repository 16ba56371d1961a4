import { Dialog, DialogBackdrop, DialogPanel, DialogTitle } from '@headlessui/react';
import { type PieceUse, type Rig, roleWords } from '@wainrope/core';
import { useState } from 'react';
import { limitWords, whereWords } from '../gear/gear-words.ts';
import type { RegisterPiece } from '../gear/use-register.ts';
import { Tag } from '../shell/Tag.tsx';
import { useFigures } from '../shell/use-figures.ts';
import { candidatesFor } from './candidates.ts';

interface PiecePickerProps {
  readonly rig: Rig;
  readonly use: PieceUse | undefined;
  readonly pieces: readonly RegisterPiece[];
  readonly today: string;
  readonly vehicleId: string | undefined;
  readonly choose: (piece: RegisterPiece) => void;
  readonly close: () => void;
}

/** The team's pieces for one place: usable ones first, the others with the reason why not. */
export function PiecePicker({ rig, use, pieces, today, vehicleId, choose, close }: PiecePickerProps) {
  const { figure } = useFigures();
  const [search, setSearch] = useState('');
  if (!use) return null;
  const words = search.toLowerCase().split(/\s+/).filter(Boolean);
  const all = candidatesFor(pieces, { rig, use, today, vehicleId });
  const shown = all.filter(({ piece: { gear, kit } }) =>
    words.every((word) =>
      `${gear.tag} ${gear.name} ${kit} ${gear.marks.map(({ asWritten }) => asWritten).join(' ')}`.toLowerCase().includes(word),
    ),
  );
  return (
    <Dialog open onClose={close} className="relative z-40">
      <DialogBackdrop className="fixed inset-0 bg-board/50" />
      <div className="fixed inset-0 grid place-items-end sm:place-items-center">
        <DialogPanel className="flex max-h-[88dvh] w-full max-w-2xl flex-col border-2 border-ink bg-sheet">
          <div className="flex items-center gap-3 border-b border-rule px-4 py-3">
            <DialogTitle className="text-xl">Choose the {roleWords[use.role]}</DialogTitle>
            <button type="button" className="action ml-auto" onClick={close}>
              Close
            </button>
          </div>
          <label className="px-4 py-2">
            <span className="sr-only">Search</span>
            <input
              autoFocus
              type="search"
              value={search}
              placeholder="Search tag, name, kit, mark…"
              onChange={(event) => setSearch(event.target.value)}
            />
          </label>
          <ul className="overflow-y-auto px-4 pb-3">
            {shown.map(({ piece, whyNot, remark }) => (
              <li key={piece.gear.gearId} className="border-b border-rule">
                <button
                  type="button"
                  disabled={whyNot !== undefined}
                  onClick={() => choose(piece)}
                  aria-current={piece.gear.gearId === use.gearId}
                  className="grid min-h-12 w-full grid-cols-[6.2rem_1fr_auto] items-center gap-x-3 py-1.5 text-left enabled:hover:bg-paper aria-[current=true]:shadow-[inset_4px_0_var(--rope)] disabled:cursor-not-allowed"
                >
                  <span className="pl-2">
                    <Tag code={piece.gear.tag} />
                  </span>
                  <span className={whyNot ? 'text-quiet' : ''}>
                    {piece.gear.name} <span className="text-quiet">{whereWords(piece)}</span>
                    {(whyNot ?? remark) && (
                      <span className={`block text-[15px] ${whyNot ? 'text-rust' : 'text-amber-ink'}`}>{whyNot ?? remark}</span>
                    )}
                  </span>
                  <span className="font-mono">{limitWords(piece.limit, figure)}</span>
                </button>
              </li>
            ))}
            {shown.length === 0 && (
              <li className="py-6 text-center">
                {all.length === 0
                  ? `The register has no piece that serves as ${roleWords[use.role]} here. Add one, or import your list.`
                  : 'No piece fits this search.'}
              </li>
            )}
          </ul>
        </DialogPanel>
      </div>
    </Dialog>
  );
}
