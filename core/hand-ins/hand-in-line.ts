/** Something at an instant on the line, as a share of its length. */
export interface OnLine<T> {
  thing: T;
  /** 0 at its beginning, 1 at its end. */
  at: number;
}

/**
 * Where releases, due dates and today stand on one line of true time: a day is as long everywhere. It reaches a little beyond the first
 * and the last of them.
 *
 * @param instants of all that stands on it
 */
export function lineOf(instants: readonly Date[]): (instant: Date) => number {
  const all = instants.map((instant) => instant.getTime());
  const [first, last] = [Math.min(...all), Math.max(...all)];
  const margin = Math.max((last - first) * 0.04, 60_000);
  const length = last - first + 2 * margin;
  return (instant) => (instant.getTime() - first + margin) / length;
}

/** Months that begin within a span of time where clocks are as on this device, with at most so many of them. */
export function monthsIn(first: Date, last: Date, most = 12): Date[] {
  const months: Date[] = [];
  for (
    let month = new Date(first.getFullYear(), first.getMonth() + 1, 1);
    month <= last;
    month = new Date(month.getFullYear(), month.getMonth() + 1, 1)
  )
    months.push(month);
  const step = Math.ceil(months.length / most);
  return months.filter((_, at) => at % step === 0);
}
