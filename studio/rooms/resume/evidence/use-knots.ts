import { type RefObject, useLayoutEffect, useState } from 'react';

export interface Knot {
  x: number;
  y: number;
}

const same = (a: ReadonlyMap<string, Knot>, b: ReadonlyMap<string, Knot>) =>
  a.size === b.size && [...a].every(([key, { x, y }]) => b.get(key)?.x === x && b.get(key)?.y === y);

/**
 * Where the things that strings are tied to stand in a box, by their `data-knot`, in CSS pixels from its corner: measured again
 * whenever the box or its content changes size.
 */
export function useKnots(box: RefObject<HTMLElement | null>): ReadonlyMap<string, Knot> {
  const [knots, setKnots] = useState<ReadonlyMap<string, Knot>>(new Map());
  useLayoutEffect(() => {
    const element = box.current;
    if (!element) return;
    const measure = () => {
      const { left, top } = element.getBoundingClientRect();
      const found = new Map<string, Knot>();
      for (const one of element.querySelectorAll<HTMLElement>('[data-knot]')) {
        const place = one.getBoundingClientRect();
        const { knot = '' } = one.dataset;
        if (place.height > 0)
          found.set(knot, {
            x: Math.round(place.left + place.width / 2 - left),
            y: Math.round(place.top + place.height / 2 - top),
          });
      }
      setKnots((before) => (same(before, found) ? before : found));
    };
    measure();
    const observer = new ResizeObserver(measure);
    observer.observe(element);
    for (const child of element.children) observer.observe(child);
    return () => observer.disconnect();
  });
  return knots;
}
