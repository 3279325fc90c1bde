import { type ComponentType, createElement, type ReactNode, useCallback, useEffect, useState } from 'react';

export interface Fetched<P extends object> {
  (props: P): ReactNode;
  /** Fetches it now; it is then drawn at once, without a moment in between. */
  fetch: () => Promise<void>;
}

/** How long the first screen is left alone before more is fetched, in ms. */
const restMs = 300;
const notYet: (() => Promise<void>)[] = [];

/**
 * A component that is fetched when it is first drawn, or ahead of time. Not by Suspense, which keeps back what it has
 * just got for some time: nobody should wait for what is here, and an editor that waits is thrown away.
 *
 * @param meanwhile what stands in its place until it is here
 */
export function fetched<P extends object>(
  load: () => Promise<ComponentType<P>>,
  meanwhile?: (props: P) => ReactNode,
): Fetched<P> {
  let ready: ComponentType<P> | null = null;
  const fetch = async () => {
    ready ??= await load();
  };
  notYet.push(fetch);
  function Component(props: P) {
    const [state, setState] = useState<'waits' | 'here' | 'failed'>(ready ? 'here' : 'waits');
    const get = useCallback(() => {
      fetch().then(
        () => setState('here'),
        () => setState('failed'),
      );
    }, []);
    useEffect(() => {
      if (!ready) get();
    }, [get]);
    if (ready) return createElement(ready, props);
    if (state === 'failed')
      return (
        <p className="note" role="alert">
          This could not be fetched: the server cannot be reached.{' '}
          <button type="button" className="link" onClick={get}>
            Try again
          </button>
        </p>
      );
    return meanwhile ? meanwhile(props) : <span className="wait" role="status" aria-label="Being fetched" />;
  }
  return Object.assign(Component, { fetch });
}

/**
 * Fetches what is not here yet, so that nobody waits for it later, once what is on the screen has had time to be drawn.
 * What cannot be fetched now is fetched when needed.
 */
export function useFetchAhead(): void {
  useEffect(() => {
    const timer = setTimeout(() => {
      for (const fetch of notYet.splice(0)) fetch().catch(() => notYet.push(fetch));
    }, restMs);
    return () => clearTimeout(timer);
  }, []);
}
