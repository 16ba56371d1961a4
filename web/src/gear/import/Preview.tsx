import type { ImportPreview, ImportRowView } from '@wainrope/contract';
import { Undo2 } from 'lucide-react';
import { useState } from 'react';
import { Columns } from './Columns.tsx';
import { Questions } from './Questions.tsx';
import { RowPreview } from './RowPreview.tsx';
import { answered, type Import, mendedBy } from './use-import.ts';

type Outcome = ImportRowView['outcome'];
type Shown = Outcome | 'guessed' | '';

const FILTERS: readonly { readonly shown: Shown; readonly words: string }[] = [
  { shown: '', words: 'all' },
  { shown: 'faulty', words: 'need mending' },
  { shown: 'asked', words: 'wait for an answer' },
  { shown: 'guessed', words: 'class by its words' },
  { shown: 'new', words: 'new' },
  { shown: 'changed', words: 'changed' },
  { shown: 'unchanged', words: 'as they are' },
  { shown: 'aside', words: 'no pieces' },
];
const MOST_SHOWN = 400;

const isShown = ({ outcome, kindIsGuessed }: ImportRowView, shown: Shown): boolean =>
  shown === '' ? outcome !== 'empty' : shown === 'guessed' ? kindIsGuessed === true : outcome === shown;

const isUsable = ({ outcome }: ImportRowView): boolean => outcome === 'new' || outcome === 'changed' || outcome === 'unchanged';

interface PreviewProps {
  readonly preview: ImportPreview;
  readonly whole: Import;
}

export function Preview({ preview, whole }: PreviewProps) {
  const { rows } = preview;
  const { reading, say, asking, committing, bringIn, canUndo, undo } = whole;
  const count = (shown: Shown) => rows.filter((row) => isShown(row, shown)).length;
  const [chosen, setChosen] = useState<Shown>();
  // What is faulty is shown first, for as long as something is.
  const only = chosen !== undefined && (chosen === '' || count(chosen) > 0) ? chosen : count('faulty') > 0 ? 'faulty' : '';
  const shown = rows.filter((row) => isShown(row, only));
  return (
    <div aria-busy={asking.isLoading}>
      <Questions preview={preview} answer={(question, answer) => say(answered(reading, preview, question, answer))} />
      <Columns preview={preview} correct={(columns) => say({ columns })} readAs={(encoding) => say({ encoding })} />
      <h2 className="mt-5 text-xl">Rows</h2>
      <div className="flex flex-wrap gap-2 py-2">
        {FILTERS.filter((filter) => filter.shown === '' || count(filter.shown) > 0).map(({ shown: by, words }) => (
          <button key={by} type="button" className="action" aria-pressed={only === by} onClick={() => setChosen(by)}>
            {`${words} ${count(by)}`}
          </button>
        ))}
        {canUndo && (
          <button type="button" className="action ml-auto" onClick={undo} disabled={asking.isLoading}>
            <Undo2 size={16} aria-hidden="true" /> Undo the last answer
          </button>
        )}
      </div>
      <ul className="border-t-2 border-ink">
        {shown.slice(0, MOST_SHOWN).map((row) => (
          <RowPreview key={row.row} row={row} mend={(column, text) => say(mendedBy(reading, { row: row.row, column, text }))} />
        ))}
      </ul>
      {shown.length > MOST_SHOWN && <p className="py-2 text-quiet">and {shown.length - MOST_SHOWN} more of this kind.</p>}
      <BringIn rows={rows} busy={committing.isLoading || asking.isLoading} bringIn={bringIn} />
    </div>
  );
}

interface BringInProps {
  readonly rows: readonly ImportRowView[];
  readonly busy: boolean;
  readonly bringIn: (rows: number[]) => void;
}

function BringIn({ rows, busy, bringIn }: BringInProps) {
  const [leavesOut, setLeavesOut] = useState(false);
  const usable = rows.filter(isUsable);
  const pieces = usable.reduce((sum, { pieces: several = 1 }) => sum + several, 0);
  const open = rows.filter(({ outcome }) => outcome === 'faulty' || outcome === 'asked').length;
  const untagged = usable.filter(({ tagIsMade }) => tagIsMade).length;
  return (
    <div className="sticky bottom-0 mt-3 flex max-[760px]:bottom-14 flex-wrap items-center gap-x-4 gap-y-2 border-t-2 border-ink bg-paper py-3">
      {untagged > 0 && (
        <p className="basis-full text-quiet">
          {untagged === 1 ? 'One row has no tag: its' : `${untagged} rows have no tag: their`} pieces get the next free tags, as shown.
          Bring such a list in once only; a second time would add the pieces again.
        </p>
      )}
      {open > 0 && (
        <label className="flex min-h-11 items-center gap-2 font-semibold">
          <input type="checkbox" checked={leavesOut} onChange={(event) => setLeavesOut(event.target.checked)} />
          Leave {open} unsettled {open === 1 ? 'row' : 'rows'} out
        </label>
      )}
      <button
        type="button"
        className="action-main ml-auto"
        disabled={busy || usable.length === 0 || (open > 0 && !leavesOut)}
        onClick={() => bringIn(usable.map(({ row }) => row))}
      >
        {busy ? 'One moment …' : `Bring in ${pieces} ${pieces === 1 ? 'piece' : 'pieces'}`}
      </button>
    </div>
  );
}
