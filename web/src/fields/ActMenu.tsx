import { Menu, MenuButton, MenuItem, MenuItems } from '@headlessui/react';
import { ChevronDown } from 'lucide-react';
import { useState } from 'react';
import { OPENED, ROW } from './choice-look.ts';

interface ActMenuProps<T extends string> {
  /** Read out in place of the words on the button. */
  readonly label: string;
  /** What stands on the button. */
  readonly shown: string;
  readonly acts: readonly T[];
  readonly words: (act: T) => string;
  readonly choose: (act: T) => void;
  readonly className: string;
}

/** Acts of one sort behind one button. */
export function ActMenu<T extends string>({ label, shown, acts, words, choose, className }: ActMenuProps<T>) {
  // A menu remembers the letters it was searched by when it closes; a new one after each act has none.
  const [chosen, setChosen] = useState(0);
  const take = (act: T) => {
    setChosen(chosen + 1);
    choose(act);
  };
  return (
    <Menu key={chosen}>
      <MenuButton
        autoFocus={chosen > 0}
        aria-label={label}
        className={`flex min-h-11 items-center gap-1.5 px-3 text-left text-[16px] ${className}`}
      >
        <span className="min-w-0 truncate">{shown}</span>
        <ChevronDown size={18} className="shrink-0 text-quiet" aria-hidden />
      </MenuButton>
      <MenuItems modal={false} anchor="bottom start" className={`${OPENED} min-w-max text-[15px]`}>
        {acts.map((act) => (
          <MenuItem key={act}>
            <button type="button" className={`${ROW} w-full text-left`} onClick={() => take(act)}>
              {words(act)}
            </button>
          </MenuItem>
        ))}
      </MenuItems>
    </Menu>
  );
}
