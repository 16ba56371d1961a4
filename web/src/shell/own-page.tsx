import { type ComponentType, lazy, useState } from 'react';

/** A page with a script of its own, fetched when it is first shown, or ahead of that. */
export interface OwnPage {
  (): React.ReactNode;
  readonly fetchAhead: () => Promise<unknown>;
}

/**
 * Makes a page of what `load` fetches. Where that was fetched ahead, the page is drawn with what stands round it; else the nearest
 * Suspense shows that it is loading, which React keeps up for at least 300 ms.
 */
export function ownPage(load: () => Promise<ComponentType>): OwnPage {
  let fetched: ComponentType | undefined;
  const fetchAhead = async () => {
    fetched = await load();
    return { default: fetched };
  };
  const Later = lazy(fetchAhead);
  function Page() {
    const [Shown] = useState<ComponentType>(() => fetched ?? Later);
    return <Shown />;
  }
  return Object.assign(Page, { fetchAhead });
}
