/** Reading order: by rank, then by id so that equal ranks still have one order. */
export function byRank(a: { rank: string; id: string }, b: { rank: string; id: string }): number {
  return a.rank < b.rank ? -1 : a.rank > b.rank ? 1 : a.id < b.id ? -1 : a.id > b.id ? 1 : 0;
}
