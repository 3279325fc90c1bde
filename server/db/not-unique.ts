/** Whether something failed because a row like it is there already (PostgreSQL's error 23505). */
export function isNotUnique(error: unknown): boolean {
  for (let cause = error; cause instanceof Error; cause = cause.cause)
    if ((cause as { code?: unknown }).code === '23505') return true;
  return false;
}
