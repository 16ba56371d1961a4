import { type Edit, isLanyard, lanyardReaches, type Rig, roleWords, usesOf } from '@wainrope/core';
import { Choice } from '../../fields/Choice.tsx';
import type { RegisterPiece } from '../../register/use-register.ts';

interface LanyardRowsProps {
  readonly rig: Rig;
  readonly pieces: readonly RegisterPiece[];
  readonly apply: (edits: readonly Edit[], merge?: string) => void;
}

/** Every safety lanyard: which piece it is, what it catches and what it is tied to. */
export function LanyardRows({ rig, pieces, apply }: LanyardRowsProps) {
  const lanyards = rig.lanyards ?? [];
  const own = pieces.filter(({ facts }) => isLanyard(facts));
  const tagOf = (gearId: string) => pieces.find(({ gear }) => gear.gearId === gearId)?.gear.tag ?? gearId;
  return lanyards.map((lanyard) => {
    const { gearId: chosen, ...bare } = lanyard;
    const caught = usesOf(rig).find(({ use }) => use.id === lanyard.useId)?.use;
    const ties = lanyardReaches(rig);
    const now = ties.find(({ to }) => JSON.stringify(to) === JSON.stringify(lanyard.to))?.id ?? '';
    return (
      <fieldset key={lanyard.id} className="border-b border-rule py-2" data-lanyard={lanyard.id}>
        <legend className="text-[15px]">
          Lanyard of {caught ? `${caught.gearId === undefined ? '' : `${tagOf(caught.gearId)}, `}${roleWords[caught.role]}` : 'a piece'}
        </legend>
        <div className="grid grid-cols-2 items-end gap-x-3 gap-y-2">
          <Choice
            label="Piece"
            value={chosen ?? ''}
            options={['', ...own.map(({ gear }) => gear.gearId)]}
            words={(gearId) => (gearId === '' ? 'none yet' : tagOf(gearId))}
            onChange={(gearId) => apply([{ kind: 'put', list: 'lanyards', entry: gearId === '' ? bare : { ...bare, gearId } }])}
          />
          <Choice
            label="Tied to"
            value={now}
            options={ties.map(({ id }) => id)}
            words={(id) => ties.find((tie) => tie.id === id)?.words ?? 'nothing yet'}
            onChange={(id) => {
              const tie = ties.find((entry) => entry.id === id);
              if (tie) apply([{ kind: 'put', list: 'lanyards', entry: { ...lanyard, to: tie.to } }]);
            }}
          />
          <button
            type="button"
            className="action justify-self-start"
            onClick={() => apply([{ kind: 'remove', list: 'lanyards', id: lanyard.id }])}
          >
            Take off
          </button>
        </div>
      </fieldset>
    );
  });
}
