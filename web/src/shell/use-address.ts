import { useCallback } from 'react';
import { useSearchParams } from 'react-router';

/** What a link to this view opens: what was chosen stands in the address, what is usual does not. */
export function useAddress() {
  const [params, setParams] = useSearchParams();
  const put = useCallback(
    (key: string, value: string | undefined) =>
      setParams(
        (before) => {
          const next = new URLSearchParams(before);
          if (value) next.set(key, value);
          else next.delete(key);
          return next;
        },
        { replace: true },
      ),
    [setParams],
  );
  return { params, put, setParams };
}
