/**
 * Waits for something, but not for longer than so many milliseconds: what comes later goes its own way.
 *
 * @returns null when it was not there in time
 */
export async function within<T>(ms: number, waited: Promise<T>): Promise<T | null> {
  let timer: ReturnType<typeof setTimeout> | undefined;
  const late = new Promise<null>((resolve) => (timer = setTimeout(() => resolve(null), ms)));
  try {
    return await Promise.race([waited, late]);
  } finally {
    clearTimeout(timer);
  }
}
