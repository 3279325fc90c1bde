import { type ComponentType, createElement, type ReactNode, useEffect, useSyncExternalStore } from 'react';

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
  let failed = false;
  const drawn = new Set<() => void>();
  const tell = () => drawn.forEach((again) => again());
  const fetch = async () => {
    failed = false;
    tell();
    try {
      ready ??= await load();
    } catch (error) {
      failed = true;
      throw error;
    } finally {
      tell();
    }
  };
  notYet.push(fetch);
  const get = () => void fetch().catch(() => undefined);
  // It may arrive by way of useFetchAhead, at any moment between being asked for and being drawn.
  const subscribe = (again: () => void) => {
    drawn.add(again);
    return () => drawn.delete(again);
  };
  const stateNow = () => (ready ? 'here' : failed ? 'failed' : 'waits');
  function Component(props: P) {
    const state = useSyncExternalStore(subscribe, stateNow);
    useEffect(() => {
      if (!ready) get();
    }, []);
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
