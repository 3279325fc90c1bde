import { type RefObject, useEffect, useState } from 'react';

/** How wide an element is, in CSS pixels; 0 before it is drawn. */
export function useWidthOf(of: RefObject<HTMLElement | null>): number {
  const [width, setWidth] = useState(0);
  useEffect(() => {
    const element = of.current;
    if (!element) return;
    const observer = new ResizeObserver(([entry]) => setWidth(entry?.contentRect.width ?? 0));
    observer.observe(element);
    return () => observer.disconnect();
  }, [of]);
  return width;
}
