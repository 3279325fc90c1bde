/**
 * What a mail brings stands behind `#` in the address, so that it is sent to no server by opening it. It is taken out of the
 * address at once: whoever looks at the screen or the history later does not find it.
 */
let taken: string | null = null;

/** The token that this page was opened with; empty where there is none. */
export function tokenInAddress(): string {
  if (taken === null) {
    taken = window.location.hash.slice(1);
    window.history.replaceState(window.history.state, '', window.location.pathname);
  }
  return taken;
}
