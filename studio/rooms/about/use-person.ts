import { useState } from 'react';
import { withPersonPart, withPortraitFirst } from '#core/about/person-parts.ts';
import { newPart } from '#core/parts/new-part.ts';
import type { Part, PartKind, PartOf } from '#core/parts/parts.ts';
import type { ShownPage } from '#core/pages/page.ts';
import { usePageParts } from '../../parts/use-page-parts.ts';
import { useStable } from '../../ui/use-stable.ts';
import { itemName } from './item-name.ts';
import { newId } from '../../parts/new-id.ts';

/** What can be done to what a page tells of its maker; each step can be undone. */
export function usePerson({ id: pageId }: ShownPage) {
  const { partsNow, set } = usePageParts(pageId);
  return useStable({
    /** Changes a part, or ties it in where it is not there yet. */
    change: (part: Part) => {
      const was = partsNow().find(({ id }) => id === part.id);
      set(
        withPersonPart(partsNow(), part),
        itemName(part),
        // Who may have it is a step of its own.
        was && was.height !== part.height ? `height ${part.id} ${Date.now()}` : `part ${part.id}`,
      );
    },
    /** Shows readers one portrait before all others. */
    choose: (part: Part) =>
      set(
        withPortraitFirst(partsNow(), part.id),
        `${itemName(part)} chosen`,
        `chosen ${part.id} ${Date.now()}`,
      ),
    remove: (part: Part) =>
      set(
        partsNow().filter(({ id }) => id !== part.id),
        `${itemName(part)} taken off`,
        `remove ${part.id}`,
      ),
  });
}
export type PersonSteps = ReturnType<typeof usePerson>;

/**
 * The part of a kind that a page has, else an empty one to begin with, which is tied in with its first change.
 *
 * @param more what it is of several of its kind
 */
export function useOnly<K extends PartKind>(
  page: ShownPage,
  kind: K,
  more: Partial<PartOf<K>> = {},
): { part: PartOf<K>; isThere: boolean } {
  const [id] = useState(newId);
  const found = page.parts.find(
    (part): part is Part & PartOf<K> =>
      part.kind === kind &&
      Object.entries(more).every(
        ([field, value]) => field === 'height' || part[field as keyof Part] === value,
      ),
  );
  return found
    ? { part: found, isThere: true }
    : { part: { ...newPart(kind, id), ...more } as PartOf<K>, isThere: false };
}
