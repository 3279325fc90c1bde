import { type CollisionDetection, useDroppable } from '@dnd-kit/core';
import { createContext, useContext } from 'react';
import { dropTarget } from './drop-target.ts';

/** The place that files dragged in from the desktop would go to now; null while none are. */
export const FilesOver = createContext<string | null>(null);

const pageRect = () => document.querySelector('.compose-page')?.getBoundingClientRect() ?? null;

/** Where files go that are let go of at a point of the window. */
export function placeAt(point: { x: number; y: number }): string | null {
  const places = [...document.querySelectorAll<HTMLElement>('[data-drop]')].map((element) => ({
    id: element.dataset['drop'] ?? '',
    rect: element.getBoundingClientRect(),
  }));
  return dropTarget(point, places, pageRect());
}

/** The same rule for what is dragged within the studio. */
export const toPlace: CollisionDetection = ({ droppableContainers, droppableRects, pointerCoordinates }) => {
  if (!pointerCoordinates) return [];
  const places = droppableContainers.flatMap(({ id }) => {
    const rect = droppableRects.get(id);
    return rect ? [{ id: String(id), rect }] : [];
  });
  const found = dropTarget(pointerCoordinates, places, pageRect());
  return found === null ? [] : [{ id: found }];
};

/** A place on the page that materials and files can be let go of at. */
export function useDropPlace(id: string, takes = true) {
  const { setNodeRef, isOver } = useDroppable({ id, disabled: !takes });
  const filesOver = useContext(FilesOver) === id;
  const over = isOver || filesOver;
  return {
    over,
    place: { ref: setNodeRef, 'data-drop': takes ? id : undefined, 'data-over': over || undefined },
  };
}
