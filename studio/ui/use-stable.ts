import { useLayoutEffect, useRef, useState } from 'react';

type Functions = Record<string, (...given: never[]) => unknown>;

/**
 * Functions that stay the same ones while what they do is always that of the last drawing. Handed to a hundred parts, they
 * give none of them a reason to be drawn again. To be called when something happens, not while drawing.
 */
export function useStable<T extends Functions>(functions: T): T {
  const latest = useRef(functions);
  useLayoutEffect(() => {
    latest.current = functions;
  });
  const [stable] = useState(
    () =>
      // Each name gets a function of its own type; an object made from entries does not carry that.
      Object.fromEntries(
        Object.keys(functions).map((name) => [name, (...given: never[]) => latest.current[name]?.(...given)]),
      ) as T,
  );
  return stable;
}
