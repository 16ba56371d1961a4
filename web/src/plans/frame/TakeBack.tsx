import { Redo2, Undo2 } from 'lucide-react';
import { shallowEqual } from 'react-redux';
import { useAppDispatch, useAppSelector } from '../../store.ts';
import { redone, undone } from '../draft/planner-slice.ts';

/** Undo and redo. */
export function TakeBack() {
  const { undoable, redoable } = useAppSelector(
    ({ planner: { past, future } }) => ({ undoable: past.length > 0, redoable: future.length > 0 }),
    shallowEqual,
  );
  const dispatch = useAppDispatch();
  const key = 'grid h-11 w-10 place-items-center disabled:opacity-30 max-[760px]:w-11';
  return (
    <>
      <button type="button" className={key} disabled={!undoable} onClick={() => dispatch(undone())} aria-label="Undo" title="Undo">
        <Undo2 size={19} />
      </button>
      <button type="button" className={key} disabled={!redoable} onClick={() => dispatch(redone())} aria-label="Redo" title="Redo">
        <Redo2 size={19} />
      </button>
    </>
  );
}
