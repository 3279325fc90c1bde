import { useEffect, useEffectEvent, useState } from 'react';
import { landingAt, pickedUp, type Carrying, type TreeRow } from '#core/pages/carrying.ts';
import type { Id } from '#core/id.ts';
import type { Page } from '#core/pages/page.ts';
import type { PagePlace } from '#core/pages/page-places.ts';

export interface Carried {
  page: Page;
  /** What is shown meanwhile, without the page and what stands below it. */
  rest: TreeRow<Page>[];
  from: Carrying;
  to: PagePlace & Carrying;
  /** By a pointer it follows the hand; by keys and buttons it goes a step at a time. */
  by: 'pointer' | 'steps';
}

export type Step = 'up' | 'down' | 'under' | 'out';

/** What each step would do to where it lands; null where it can go no further that way. */
export function stepped({ rest, to }: Carried, step: Step): Carrying | null {
  const wanted = {
    up: { gap: to.gap - 1, depth: to.depth },
    down: { gap: to.gap + 1, depth: to.depth },
    under: { gap: to.gap, depth: to.depth + 1 },
    out: { gap: to.gap, depth: to.depth - 1 },
  }[step];
  const landing = landingAt(rest, wanted);
  return landing.gap === to.gap && landing.depth === to.depth ? null : wanted;
}

/**
 * A page being carried along the string, by hand or step by step, until it is let go or put back.
 *
 * @param rows what is shown of the tree
 * @param onDrop called where it was let go at another place than it had
 */
export function useCarrying(rows: TreeRow<Page>[], onDrop: (page: Page, to: PagePlace & Carrying) => void) {
  const [held, setHeld] = useState<{ id: Id; wanted: Carrying; by: Carried['by'] } | null>(null);
  // Worked out anew with every drawing: another tab may have changed the tree meanwhile.
  const up = held && pickedUp(rows, held.id);
  const page = rows.find((row) => row.page.id === held?.id)?.page;
  const carried: Carried | null =
    held && up && page
      ? { page, rest: up.rest, from: up.carrying, to: landingAt(up.rest, held.wanted), by: held.by }
      : null;
  const pick = (id: Id, by: Carried['by']) => {
    const found = pickedUp(rows, id);
    if (found) setHeld({ id, wanted: found.carrying, by });
  };
  const move = (wanted: Carrying) => setHeld((now) => now && { ...now, wanted });
  const putBack = () => setHeld(null);
  const drop = () => {
    if (carried) {
      const { from, to } = carried;
      if (from.gap !== to.gap || from.depth !== to.depth) onDrop(carried.page, to);
    }
    setHeld(null);
  };
  const step = (one: Step) => {
    const wanted = carried && stepped(carried, one);
    if (wanted) move(wanted);
  };
  const onKey = useEffectEvent((event: KeyboardEvent) => {
    const onButton = event.target instanceof HTMLElement && event.target.closest('[data-carry]');
    const steps: Record<string, Step> = {
      ArrowUp: 'up',
      ArrowDown: 'down',
      ArrowRight: 'under',
      ArrowLeft: 'out',
    };
    const way = steps[event.key];
    if (event.ctrlKey || event.metaKey || event.altKey) return;
    if (way && carried?.by === 'steps') step(way);
    else if (event.key === 'Escape') putBack();
    else if ((event.key === ' ' || event.key === 'Enter') && carried?.by === 'steps' && !onButton) drop();
    else return;
    event.preventDefault();
    event.stopPropagation();
  });
  const isCarrying = carried !== null;
  useEffect(() => {
    if (!isCarrying) return;
    const listen = (event: KeyboardEvent) => onKey(event);
    window.addEventListener('keydown', listen, true);
    return () => window.removeEventListener('keydown', listen, true);
  }, [isCarrying]);
  return { carried, pick, move, step, drop, putBack };
}
