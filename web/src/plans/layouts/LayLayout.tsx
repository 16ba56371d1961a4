import { Dialog, DialogBackdrop, DialogPanel, DialogTitle } from '@headlessui/react';
import {
  type Assignment,
  applied,
  assignBodies,
  bodiesOfLayout,
  type Edit,
  fillEdits,
  layOnSite,
  mayStandFor,
  type Rig,
} from '@wainrope/core';
import { useState } from 'react';
import { Choice } from '../../fields/Choice.tsx';
import type { RegisterPiece } from '../../register/use-register.ts';
import { LayoutGallery, type OfferedLayout } from './LayoutGallery.tsx';
import { useOwnLayouts } from './use-own-layouts.ts';

interface LayLayoutProps {
  readonly rig: Rig;
  readonly pieces: readonly RegisterPiece[];
  readonly today: string;
  readonly apply: (edits: readonly Edit[]) => void;
  readonly close: () => void;
}

/** Chooses a layout and lays it on what stands on the site; what it lacks is added. One undo takes it back. */
export function LayLayout({ rig, pieces, today, apply, close }: LayLayoutProps) {
  const own = useOwnLayouts();
  const [layout, setLayout] = useState<OfferedLayout>();
  const [assignment, setAssignment] = useState<Assignment>({});
  const choose = (wanted: OfferedLayout) => {
    setLayout(wanted);
    setAssignment(assignBodies(wanted, rig));
  };
  const lay = () => {
    if (!layout) return;
    const laid = layOnSite(layout, rig, assignment);
    apply([{ kind: 'replace-rig', rig: applied(laid, fillEdits(laid, { pieces, today })) }]);
    close();
  };
  return (
    <Dialog open onClose={close} className="relative z-40">
      <DialogBackdrop className="fixed inset-0 bg-board/50" />
      <div className="fixed inset-0 grid place-items-end sm:place-items-center">
        <DialogPanel className="flex max-h-[92dvh] w-full max-w-4xl flex-col border-2 border-ink bg-sheet">
          <div className="flex items-center gap-3 border-b border-rule px-4 py-3">
            <DialogTitle className="text-xl">Lay a layout on this site</DialogTitle>
            <button type="button" className="action ml-auto" onClick={close}>
              Close
            </button>
          </div>
          <div className="overflow-y-auto px-4 py-3">
            <LayoutGallery chosen={layout?.id} own={own} choose={choose} />
          </div>
          {layout && (
            <div className="border-t-2 border-ink px-4 py-3">
              <h3 className="pb-1 text-lg first-letter:uppercase">{layout.label}</h3>
              <div className="grid grid-cols-2 gap-x-3 gap-y-2 sm:grid-cols-3">
                {bodiesOfLayout(layout).map((wanted) => (
                  <Choice
                    key={wanted.id}
                    label={wanted.isLoad ? 'Which vehicle is to be moved?' : `Which is your ${wanted.label}?`}
                    value={assignment[wanted.id] ?? ''}
                    options={['', ...rig.bodies.filter((body) => mayStandFor(body, wanted)).map(({ id }) => id)]}
                    words={(id) => rig.bodies.find((body) => body.id === id)?.label ?? 'a new one'}
                    onChange={(id) => setAssignment(changed(assignment, wanted.id, id))}
                  />
                ))}
              </div>
              <div className="mt-3 flex items-center gap-3">
                <button type="button" className="action-main" onClick={lay}>
                  Lay it
                </button>
                {rig.lines.length > 0 && <p className="text-quiet">It replaces the lines that are laid now. Undo brings them back.</p>}
              </div>
            </div>
          )}
        </DialogPanel>
      </div>
    </Dialog>
  );
}

/** Each body of the site stands for one place; choosing it again frees the other. */
function changed(assignment: Assignment, wanted: string, bodyId: string): Assignment {
  const rest = Object.entries(assignment).filter(([key, value]) => key !== wanted && value !== bodyId);
  return Object.fromEntries(bodyId === '' ? rest : [...rest, [wanted, bodyId]]);
}
