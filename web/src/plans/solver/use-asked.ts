import { useEffect, useRef, useState } from 'react';

interface Answer<T> {
  readonly ask: () => Promise<T>;
  readonly value: T | undefined;
}

/**
 * An answer of the solver to one question. One is asked at a time; of those that come meanwhile only the newest is asked, and what it
 * overtakes is dropped. The last answer stands until the next is there, and none while there is nothing to ask; `ask` stays the same
 * while the question does.
 */
export function useAsked<T>(ask: (() => Promise<T>) | undefined): { readonly value: T | undefined; readonly isNewest: boolean } {
  const [answer, setAnswer] = useState<Answer<T>>();
  const newest = useRef<(() => Promise<T>) | undefined>(undefined);
  const busy = useRef(false);
  useEffect(() => {
    newest.current = ask;
    const next = async (): Promise<void> => {
      const wanted = newest.current;
      if (busy.current || wanted === undefined) return;
      busy.current = true;
      const value = await wanted().catch(() => undefined);
      busy.current = false;
      if (newest.current === wanted) setAnswer({ ask: wanted, value });
      else await next();
    };
    void next();
    return () => {
      newest.current = undefined;
    };
  }, [ask]);
  return ask === undefined ? { value: undefined, isNewest: true } : { value: answer?.value, isNewest: answer?.ask === ask };
}
