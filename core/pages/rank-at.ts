import { generateKeyBetween } from 'fractional-indexing';
import { byRank } from './by-rank.ts';

/**
 * The rank that puts something at a place among others, counted without itself. Where others share one rank, it comes
 * before or after all of those that do. A place beyond the last is the last.
 */
export function rankAt(others: readonly { id: string; rank: string }[], at: number): string {
  const ranks = [...others].sort(byRank).map(({ rank }) => rank);
  const place = Math.min(Math.max(0, at), ranks.length);
  const before = ranks[place - 1] ?? null;
  const after = ranks.slice(place).find((rank) => before === null || rank > before) ?? null;
  return generateKeyBetween(before, after);
}
