import { useLayoutEffect, useRef, useState } from 'react';

type Acts = { readonly [name: string]: (...said: never[]) => void };

/** The same acts under names that stay the same, so that what is handed them need not be drawn anew: each does what it does by now. */
export function useStableActs<T extends Acts>(acts: T): T {
  const newest = useRef(acts);
  useLayoutEffect(() => {
    newest.current = acts;
  });
  const [stable] = useState(
    () => Object.fromEntries(Object.keys(acts).map((name) => [name, (...said: never[]) => newest.current[name]?.(...said)])) as T,
  );
  return stable;
}
