/**
 * A time spent as readers are told it, in the signs of the SI brochure (table 8), which are the same in every language: "45 min",
 * "3 h", "3 h 30 min".
 *
 * @param minutes whole ones
 */
export function spentTime(minutes: number): string {
  const [hours, rest] = [Math.floor(minutes / 60), minutes % 60];
  return [hours > 0 && `${hours} h`, (rest > 0 || hours === 0) && `${rest} min`].filter(Boolean).join(' ');
}

/**
 * Reads a time as somebody types it: "3 h 30", "3:30", "3.5 h", "90 min", "90"; a number alone are minutes.
 *
 * @returns whole minutes, at least 1; null for what is no time
 */
export function readSpentTime(typed: string): number | null {
  const text = typed.trim().toLowerCase().replace(',', '.');
  const found =
    /^(\d{1,3}):([0-5]\d)$/.exec(text) ??
    /^(?:(\d{1,3}(?:\.\d{1,2})?) ?(?:h|hours?|hrs?))?(?: ?(\d{1,5}) ?(?:m|min|minutes?)?)?$/.exec(text);
  const [, hours, minutes] = found ?? [];
  if (hours === undefined && minutes === undefined) return null;
  const all = Math.round(Number(hours ?? 0) * 60) + Number(minutes ?? 0);
  return all >= 1 ? all : null;
}
