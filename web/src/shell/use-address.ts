import { useCallback } from 'react';
import { type Location, useLocation, useSearchParams } from 'react-router';

/** What was last put from a view that still shows an earlier address: a second act before the view is drawn anew goes on from there. */
const put = new WeakMap<Location, URLSearchParams>();

/** What a link to this view opens: what was chosen stands in the address, what is usual does not. */
export function useAddress() {
  const [params, setParams] = useSearchParams();
  const shown = useLocation();
  const putAll = useCallback(
    (entries: { readonly [key: string]: string | undefined }) => {
      const next = new URLSearchParams(put.get(shown) ?? new URLSearchParams(shown.search));
      for (const [key, value] of Object.entries(entries)) {
        if (value) next.set(key, value);
        else next.delete(key);
      }
      put.set(shown, next);
      setParams(next, { replace: true });
    },
    [shown, setParams],
  );
  const putOne = useCallback((key: string, value: string | undefined) => putAll({ [key]: value }), [putAll]);
  return { params, put: putOne, putAll, setParams };
}
