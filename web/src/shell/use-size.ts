import { type RefObject, useLayoutEffect, useState } from 'react';

export interface Size {
  readonly width: number;
  readonly height: number;
}

/** How large an element is, pixels, followed live; `before` stands until it is measured. */
export function useSize(holder: RefObject<HTMLElement | null>, before: Size): Size {
  const [size, setSize] = useState(before);
  useLayoutEffect(() => {
    const element = holder.current;
    if (!element) return;
    const measure = () => setSize({ width: element.clientWidth, height: element.clientHeight });
    measure();
    const observer = new ResizeObserver(measure);
    observer.observe(element);
    return () => observer.disconnect();
  }, [holder]);
  return size;
}
