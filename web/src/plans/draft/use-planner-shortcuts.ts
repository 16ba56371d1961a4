import { useEffect } from 'react';
import { useAppDispatch } from '../../store.ts';
import { redone, undone } from './planner-slice.ts';

/** Ctrl+S saves; Ctrl+Z and Ctrl+Shift+Z undo and redo, outside text fields. */
export function usePlannerShortcuts(save: () => void): void {
  const dispatch = useAppDispatch();
  useEffect(() => {
    const typing = ({ target }: KeyboardEvent) =>
      target instanceof HTMLTextAreaElement || (target instanceof HTMLInputElement && target.type !== 'checkbox');
    const actions: { readonly [key: string]: (event: KeyboardEvent) => void } = {
      s: save,
      z: (event) => dispatch(event.shiftKey ? redone() : undone()),
    };
    const press = (event: KeyboardEvent) => {
      const key = event.key.toLowerCase();
      const action = event.ctrlKey || event.metaKey ? actions[key] : undefined;
      if (!action || (key === 'z' && typing(event))) return;
      event.preventDefault();
      action(event);
    };
    window.addEventListener('keydown', press);
    return () => window.removeEventListener('keydown', press);
  }, [dispatch, save]);
}
