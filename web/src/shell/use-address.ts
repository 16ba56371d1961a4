import { useCallback } from 'react';
import { useSearchParams } from 'react-router';

/** What a link to this view opens: what was chosen stands in the address, what is usual does not. */
export function useAddress() {
  const [params, setParams] = useSearchParams();
  /** Puts several at once: of two acts in one moment the second would not know of the first. */
  const putAll = useCallback(
    (entries: { readonly [key: string]: string | undefined }) =>
      setParams(
        (before) => {
          const next = new URLSearchParams(before);
          for (const [key, value] of Object.entries(entries)) {
            if (value) next.set(key, value);
            else next.delete(key);
          }
          return next;
        },
        { replace: true },
      ),
    [setParams],
  );
  const put = useCallback((key: string, value: string | undefined) => putAll({ [key]: value }), [putAll]);
  return { params, put, putAll, setParams };
}
