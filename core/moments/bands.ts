import type { Id } from '../id.ts';

/** Moments that follow each other in one phase, or in none. */
export interface Band<M> {
  phase: Id | null;
  moments: M[];
}

/** Moments in time, as phases: each band as long as nothing of another phase comes between. */
export function bandsOf<M extends { phase: Id | null }>(moments: readonly M[]): Band<M>[] {
  const bands: Band<M>[] = [];
  for (const moment of moments) {
    const last = bands.at(-1);
    if (last?.phase === moment.phase) last.moments.push(moment);
    else bands.push({ phase: moment.phase, moments: [moment] });
  }
  return bands;
}

/**
 * The phases of moments after the edge before a band was moved, as the ids of what changes. What the edge passes over takes the phase
 * of the band that grows; an edge never passes a whole band, so no phase is lost by moving one.
 *
 * @param at the band behind the edge
 * @param to the place among all moments, in time, before which the edge stands now
 */
export function edgeMoved<M extends { id: Id; phase: Id | null }>(
  moments: readonly M[],
  at: number,
  to: number,
): Map<Id, Id | null> {
  const bands = bandsOf(moments);
  const [before, behind] = [bands[at - 1], bands[at]];
  const changed = new Map<Id, Id | null>();
  if (!before || !behind) return changed;
  const edge = bands.slice(0, at).reduce((sum, band) => sum + band.moments.length, 0);
  const least = edge - before.moments.length + 1;
  const most = edge + behind.moments.length - 1;
  const wanted = Math.min(most, Math.max(least, to));
  for (const { id } of moments.slice(wanted, edge)) changed.set(id, behind.phase);
  for (const { id } of moments.slice(edge, wanted)) changed.set(id, before.phase);
  return changed;
}
