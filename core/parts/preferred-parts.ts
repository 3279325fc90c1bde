import { isKnownPart, type Part, rulesOf } from './parts.ts';

/**
 * Of kinds of which readers get one only, the one they get: the first portrait that they may see, the most exact place. All
 * others stay, in their order.
 *
 * @param parts that they may see and that say something
 */
export function preferredParts(parts: readonly Part[]): Part[] {
  const best = new Map<string, { part: Part; rank: number }>();
  const rankOf = (part: Part) => (isKnownPart(part) && rulesOf(part).preferred?.(part)) ?? false;
  for (const part of parts) {
    const rank = rankOf(part);
    const known = best.get(part.kind);
    if (rank !== false && (!known || rank < known.rank)) best.set(part.kind, { part, rank });
  }
  return parts.filter((part) => rankOf(part) === false || best.get(part.kind)?.part === part);
}
