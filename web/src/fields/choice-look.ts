/** The list that opens under a choice or a menu, and a row of it. */
export const OPENED = 'z-40 max-h-80 overflow-y-auto border border-quiet bg-sheet shadow-lg';
export const ROW =
  'flex min-h-11 cursor-pointer items-center px-2 data-disabled:text-quiet data-disabled:line-through data-focus:bg-paper data-selected:font-semibold';
