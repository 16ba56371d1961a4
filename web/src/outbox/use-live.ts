import { liveQuery } from 'dexie';
import { useEffect, useState } from 'react';

/** Follows a query of the device's store; `undefined` until it has answered. `key` says when it is another query. */
export function useLive<T>(query: () => Promise<T>, key: string): T | undefined {
  const [value, setValue] = useState<T>();
  // biome-ignore lint/correctness/useExhaustiveDependencies: the query is made anew at every drawing; its key says when it is another
  useEffect(() => {
    const subscription = liveQuery(query).subscribe({
      next: setValue,
      error: (error: unknown) => {
        throw error;
      },
    });
    return () => subscription.unsubscribe();
  }, [key]);
  return value;
}
