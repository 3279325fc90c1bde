/** Wraps an action so that asking for it again while it runs does nothing: a double click makes one project. */
export function oneAtATime<A extends unknown[]>(
  action: (...args: A) => Promise<void>,
): (...args: A) => Promise<void> {
  let running = false;
  return async (...args) => {
    if (running) return;
    running = true;
    try {
      await action(...args);
    } finally {
      running = false;
    }
  };
}
