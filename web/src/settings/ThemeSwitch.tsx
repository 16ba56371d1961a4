import { Moon, Sun } from 'lucide-react';
import { useAppDispatch, useAppSelector } from '../store.ts';
import { themeChosen } from './settings-slice.ts';

export function ThemeSwitch() {
  const theme = useAppSelector((state) => state.settings.theme);
  const dispatch = useAppDispatch();
  const next = theme === 'dark' ? 'light' : 'dark';
  return (
    <button
      type="button"
      className="grid size-11 shrink-0 place-items-center"
      onClick={() => dispatch(themeChosen(next))}
      aria-label={`Switch to the ${next} theme`}
    >
      {theme === 'dark' ? <Sun size={20} /> : <Moon size={20} />}
    </button>
  );
}
