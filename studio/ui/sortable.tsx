import {
  closestCenter,
  DndContext,
  KeyboardSensor,
  PointerSensor,
  useSensor,
  useSensors,
} from '@dnd-kit/core';
import {
  SortableContext,
  sortableKeyboardCoordinates,
  type SortingStrategy,
  verticalListSortingStrategy,
} from '@dnd-kit/sortable';
import type { ReactNode } from 'react';

/** From how far on a press is a pull. Always the same: with another one, all that can be pulled would be drawn anew. */
const pulled = { activationConstraint: { distance: 4 } };
const byKeys = { coordinateGetter: sortableKeyboardCoordinates };

interface SortableProps {
  /** In the order they stand. */
  ids: string[];
  /** What the thing at a place is called, for people who hear the page. */
  nameOf: (at: number) => string;
  /** Not called where a thing is let go at the place it had. */
  onMove: (from: number, to: number) => void;
  strategy?: SortingStrategy;
  disabled?: boolean;
  children: ReactNode;
}

/** Things put in another order by mouse, touch and keyboard; what happens is said as well as shown. */
export function Sortable({
  ids,
  nameOf,
  onMove,
  strategy = verticalListSortingStrategy,
  disabled = false,
  children,
}: SortableProps) {
  // A pointer has to have moved, so that a press on the handle is still a press.
  const sensors = useSensors(useSensor(PointerSensor, pulled), useSensor(KeyboardSensor, byKeys));
  const placeOf = (thing: { id: string | number } | null) => (thing ? ids.indexOf(String(thing.id)) : -1);
  const name = (thing: { id: string | number }) => nameOf(placeOf(thing)) || 'Untitled';
  const at = (over: { id: string | number } | null) => `place ${placeOf(over) + 1} of ${ids.length}`;
  return (
    <DndContext
      sensors={sensors}
      collisionDetection={closestCenter}
      accessibility={{
        announcements: {
          onDragStart: ({ active }) => `${name(active)} picked up, ${at(active)}.`,
          onDragOver: ({ active, over }) => (over ? `${name(active)} over ${at(over)}.` : undefined),
          onDragEnd: ({ active, over }) =>
            over ? `${name(active)} put down, ${at(over)}.` : `${name(active)} is back where it was.`,
          onDragCancel: ({ active }) => `${name(active)} is back where it was.`,
        },
        screenReaderInstructions: {
          draggable:
            'Space picks it up, the arrow keys move it, Space puts it down, Escape puts it back where it was.',
        },
      }}
      onDragEnd={({ active, over }) => {
        const [from, to] = [placeOf(active), placeOf(over)];
        if (from >= 0 && to >= 0 && from !== to) onMove(from, to);
      }}
    >
      <SortableContext items={ids} strategy={strategy} disabled={disabled}>
        {children}
      </SortableContext>
    </DndContext>
  );
}
