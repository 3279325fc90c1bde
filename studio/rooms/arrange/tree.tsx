import { DndContext, DragOverlay, PointerSensor, useSensor, useSensors } from '@dnd-kit/core';
import { type RefObject, useEffect, useEffectEvent, useMemo, useRef } from 'react';
import { heightsOf } from '#core/access/heights-of.ts';
import type { TreeRow } from '#core/pages/carrying.ts';
import type { Id } from '#core/id.ts';
import type { Page } from '#core/pages/page.ts';
import { pageName } from '#core/pages/page-kinds.ts';
import { useSite } from '../../api/site-context.tsx';
import { heightWords, placeWords } from './landing-words.ts';
import { menuWords } from './reader-menus.ts';
import { levelPx, RowString } from './row-string.tsx';
import { Slip } from './slip.tsx';
import type { SlipActions } from './slip-menu.tsx';
import { stringLines } from './string-lines.ts';
import type { Carried, useCarrying } from './use-carrying.ts';

/** Where the pointer is, among the rows it could land between, and how far it went to the side. */
function usePointer(
  list: RefObject<HTMLElement | null>,
  carried: Carried | null,
  move: ReturnType<typeof useCarrying>['move'],
) {
  const start = useRef(0);
  const follow = useEffectEvent((event: { clientX: number; clientY: number }) => {
    if (!carried || !list.current) return;
    const rest = new Set(carried.rest.map(({ page }) => page.id));
    const above = [...list.current.querySelectorAll<HTMLElement>('[data-page]')].filter((row) => {
      const { top, height } = row.getBoundingClientRect();
      return rest.has(row.dataset['page'] ?? '') && top + height / 2 < event.clientY;
    });
    const depth = carried.from.depth + Math.round((event.clientX - start.current) / levelPx);
    move({ gap: above.length, depth: Math.max(0, depth) });
  });
  const byHand = carried?.by === 'pointer';
  useEffect(() => {
    if (!byHand) return;
    const listen = (event: PointerEvent) => follow(event);
    window.addEventListener('pointermove', listen);
    return () => window.removeEventListener('pointermove', listen);
  }, [byHand]);
  return (clientX: number) => {
    start.current = clientX;
  };
}

/** Where what is carried would land. */
function Landing({
  lines,
  place,
  height,
  name,
}: {
  lines: readonly boolean[];
  place: string;
  height: string;
  name: string;
}) {
  return (
    <li className="arrange-landing flex">
      <RowString lines={lines} tie="loop" first={false} />
      <div className="my-[3px] min-h-11 min-w-0 flex-1 border-[1.5px] border-dashed border-vermilion bg-[#fbe3d8] px-4 py-1.5 text-s text-[#8a2a10]">
        <b className="mr-3 text-m text-ink">{name}</b>
        <b>{place}</b> {height}
      </div>
    </li>
  );
}

interface TreeProps extends SlipActions {
  rows: readonly TreeRow<Page>[];
  /** What stands right below each page. */
  below: ReadonlyMap<Id, readonly Page[]>;
  carrying: ReturnType<typeof useCarrying>;
  onFold: (id: Id) => void;
  /** Ids of what a stranger's menu has. */
  inMenu: ReadonlySet<Id>;
}

/** From how far on a press is a pull. Always the same: with another one, all that can be pulled would be drawn anew. */
const pulled = { activationConstraint: { distance: 4 } };

/** The string with everything tied to it, from the front page down. */
export function Tree({ rows, below, carrying, onFold, inMenu, ...actions }: TreeProps) {
  const { state } = useSite();
  const { carried, pick, move, drop, putBack } = carrying;
  const list = useRef<HTMLUListElement>(null);
  const startAt = usePointer(list, carried, move);
  const sensors = useSensors(useSensor(PointerSensor, pulled));
  const heights = useMemo(() => heightsOf(state).pages, [state]);

  const atHome =
    carried !== null && carried.to.gap === carried.from.gap && carried.to.depth === carried.from.depth;
  // What is carried stays where it was until it is let go, so that a hand or the keyboard does not lose it.
  const shown: (TreeRow<Page> | { landing: true; depth: number })[] = carried ? [...carried.rest] : [...rows];
  if (carried) {
    const own = { page: carried.page, depth: carried.from.depth, folded: false };
    shown.splice(carried.from.gap, 0, own);
    if (!atHome) {
      const at = carried.to.gap + (carried.to.gap > carried.from.gap ? 1 : 0);
      shown.splice(at, 0, { landing: true, depth: carried.to.depth });
    }
  }
  const lines = stringLines(shown);
  const { gap, depth } = carried?.to ?? {};
  const inSteps = carried?.by === 'steps' ? carried.page.id : null;
  const lastInSteps = useRef<Id | null>(null);
  useEffect(() => {
    lastInSteps.current = inSteps ?? lastInSteps.current;
    if (inSteps !== null)
      list.current?.querySelector('.arrange-landing')?.scrollIntoView({ block: 'nearest' });
    // A browser forgets the focus of what it moves about, also when it is put down.
    if (lastInSteps.current !== null && document.activeElement === document.body)
      list.current?.querySelector<HTMLElement>(`[data-page="${lastInSteps.current}"] .grip`)?.focus();
  }, [inSteps, gap, depth, rows]);

  return (
    <DndContext
      sensors={sensors}
      onDragStart={({ active, activatorEvent }) => {
        startAt(activatorEvent instanceof PointerEvent ? activatorEvent.clientX : 0);
        pick(String(active.id), 'pointer');
      }}
      onDragEnd={drop}
      onDragCancel={putBack}
      accessibility={{
        // Its own words stand in the bar at the foot.
        announcements: {
          onDragStart: () => undefined,
          onDragOver: () => undefined,
          onDragEnd: () => undefined,
          onDragCancel: () => undefined,
        },
        screenReaderInstructions: { draggable: '' },
      }}
    >
      <ul ref={list} aria-label="Pages of the site" className="pl-1">
        {shown.map((row, at) => {
          const ofRow = lines[at] ?? [false];
          if ('landing' in row)
            return carried ? (
              <Landing
                key="landing"
                lines={ofRow}
                name={pageName(carried.page)}
                place={placeWords(carried, state.pages)}
                height={heightWords(state, carried.page.id, carried.to.parent)}
              />
            ) : null;
          const { page } = row;
          return (
            <Slip
              key={page.id}
              page={page}
              lines={ofRow}
              first={at === 0}
              below={below.get(page.id) ?? none}
              folded={row.folded}
              onFold={onFold}
              inMenu={menuWords(page, inMenu, heights.get(page.id) === 'public')}
              held={carried?.page.id === page.id ? (atHome ? 'lifted' : 'elsewhere') : null}
              {...actions}
            />
          );
        })}
      </ul>
      <DragOverlay dropAnimation={null}>
        {carried?.by === 'pointer' && (
          <div className="flex w-fit rotate-[-2deg] items-center gap-3 bg-raised px-4 py-2.5 font-strong shadow-3">
            {pageName(carried.page)}
          </div>
        )}
      </DragOverlay>
    </DndContext>
  );
}

const none: readonly Page[] = [];
