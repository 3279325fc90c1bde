/** Something to choose from: how good it is, more than 0 and at most 1. */
export interface Choosable {
  quality: number;
}

/**
 * What a choice is worth: for each thing chosen, how different it is from the nearest other one, weighted by how good
 * it is. A choice of one is worth its quality.
 */
export function worthOf(
  chosen: readonly number[],
  things: readonly Choosable[],
  difference: (a: number, b: number) => number,
): number {
  const quality = (at: number) => things[at]?.quality ?? 0;
  if (chosen.length === 1) return quality(chosen[0] ?? 0);
  let worth = 0;
  for (const one of chosen) {
    let nearest = Infinity;
    for (const other of chosen) if (other !== one) nearest = Math.min(nearest, difference(one, other));
    worth += quality(one) * nearest;
  }
  return worth;
}

/**
 * A varied choice: starts from the best, adds what is farthest from all chosen so far, weighted by quality (the greedy
 * way of Gonzalez 1985, from memory), and then changes one for another as long as that makes the choice worth more.
 *
 * @param size how many are wanted; all of them when there are no more
 * @param difference of two things by their places in the list, 0 to 1, the same both ways
 * @returns places in the list, in the list's order
 */
export function variedPicks(
  things: readonly Choosable[],
  size: number,
  difference: (a: number, b: number) => number,
): number[] {
  const all = things.map((_, at) => at);
  if (size >= all.length) return all;
  if (size <= 0) return [];
  const quality = (at: number) => things[at]?.quality ?? 0;
  const bestOf = (places: readonly number[], value: (at: number) => number): number =>
    places.reduce((best, at) => (value(at) > value(best) ? at : best), places[0] ?? 0);

  const chosen = [bestOf(all, quality)];
  while (chosen.length < size) {
    const left = all.filter((at) => !chosen.includes(at));
    chosen.push(
      bestOf(left, (at) => quality(at) * Math.min(...chosen.map((other) => difference(at, other)))),
    );
  }

  let worth = worthOf(chosen, things, difference);
  for (let better = true; better;) {
    better = false;
    for (let place = 0; place < chosen.length && !better; place++)
      for (const at of all) {
        if (chosen.includes(at)) continue;
        const changed = chosen.map((one, where) => (where === place ? at : one));
        const now = worthOf(changed, things, difference);
        // A gain that is only rounding would change back and forth.
        if (now > worth + 1e-9) {
          chosen[place] = at;
          worth = now;
          better = true;
          break;
        }
      }
  }
  return chosen.sort((a, b) => a - b);
}
