/** A place on the page that something can be let go of at: "tie 3" between parts, "part ID", or "opening frame". */
export interface DropPlace {
  id: string;
  rect: { left: number; top: number; right: number; bottom: number };
}

/** This near its upper or lower edge, what is let go of over a part goes above or below it; in px. */
const edge = 22;

const within = ({ rect }: DropPlace, { x, y }: { x: number; y: number }, inset: number): boolean =>
  x >= rect.left && x <= rect.right && y >= rect.top + inset && y <= rect.bottom - inset;

/**
 * Where something goes that is let go of at a point: into the part that takes it, and otherwise to the nearest line
 * between parts, so that nothing let go of over the page is lost.
 *
 * @param point in the same coordinates as the places, in px
 * @param page what the page covers; beside it nothing is taken
 * @returns the id of a place, or null
 */
export function dropTarget(
  point: { x: number; y: number },
  places: readonly DropPlace[],
  page: DropPlace['rect'] | null,
): string | null {
  if (page && !within({ id: '', rect: page }, point, 0)) return null;
  const lines = places.filter(({ id }) => id.startsWith('tie '));
  const taking = places.find(
    (place) =>
      !place.id.startsWith('tie ') &&
      within(place, point, Math.min(edge, (place.rect.bottom - place.rect.top) / 4)),
  );
  if (taking) return taking.id;
  const far = ({ rect }: DropPlace) => Math.max(rect.top - point.y, point.y - rect.bottom, 0);
  return (
    lines.reduce<DropPlace | null>(
      (best, line) => (best === null || far(line) < far(best) ? line : best),
      null,
    )?.id ?? null
  );
}
