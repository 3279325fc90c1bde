/** A point of a tree, with the others halved by their distance from it. */
interface Node {
  at: number;
  /** Every point inside is within this distance of the point, every point outside at least as far. */
  radius: number;
  inside: Node | null;
  outside: Node | null;
}

function distance(a: readonly number[], b: readonly number[]): number {
  let squares = 0;
  for (let at = 0; at < a.length; at++) squares += ((a[at] ?? 0) - (b[at] ?? 0)) ** 2;
  return Math.sqrt(squares);
}

/**
 * All pairs of points nearer to each other than a limit, each once, the earlier point first. Built on a vantage-point
 * tree (P. N. Yianilos, "Data structures and algorithms for nearest neighbor search in general metric spaces", 1993), so
 * that most points are never compared when the limit is small beside how far apart points usually are.
 */
export function nearPairs(points: readonly (readonly number[])[], limit: number): [number, number][] {
  const between = (a: number, b: number) => distance(points[a] ?? [], points[b] ?? []);

  const build = (indices: number[]): Node | null => {
    const [at, ...rest] = indices;
    if (at === undefined) return null;
    const byDistance = rest
      .map((other) => ({ other, far: between(at, other) }))
      .sort((a, b) => a.far - b.far);
    const middle = byDistance.length >> 1;
    return {
      at,
      radius: byDistance[middle]?.far ?? 0,
      inside: build(byDistance.slice(0, middle).map(({ other }) => other)),
      outside: build(byDistance.slice(middle).map(({ other }) => other)),
    };
  };
  const root = build(points.map((_, at) => at));

  const pairs: [number, number][] = [];
  const find = (of: number, node: Node | null): void => {
    if (!node) return;
    const far = between(of, node.at);
    // Each pair is met from both ends; it is told from the earlier one.
    if (far < limit && of < node.at) pairs.push([of, node.at]);
    if (far - limit <= node.radius) find(of, node.inside);
    if (far + limit >= node.radius) find(of, node.outside);
  };
  points.forEach((_, of) => find(of, root));
  return pairs;
}
