import type { Material } from '#core/materials/material.ts';
import { placeAfter } from '#core/parts/beside.ts';
import { copyOfPart } from '#core/parts/copy-of-part.ts';
import { heldIn } from '#core/parts/held-in.ts';
import { momentsOf, standingParts } from '#core/moments/moments-of.ts';
import { newPart } from '#core/parts/new-part.ts';
import { isShown, type PageBase } from '#core/pages/page.ts';
import type { Part, PartKind } from '#core/parts/parts.ts';
import { partsFor } from '#core/parts/parts-for.ts';
import { useSite } from '../../api/site-context.tsx';
import { useStable } from '../../ui/use-stable.ts';
import { settingsOf } from '../../parts/parts.ts';
import { useTellTakenOff } from '../../parts/use-tell-taken-off.ts';
import { newId } from '../../parts/new-id.ts';

/**
 * What can be done to the parts of a page; every one of them can be undone. Each step starts from the page as it is at
 * that moment, so that what was typed while something was being fetched stays.
 */
export function useParts({ id: pageId }: Pick<PageBase, 'id'>) {
  const { changePage, now } = useSite();
  const tellTakenOff = useTellTakenOff();
  const page = () =>
    now()
      .pages.filter(isShown)
      .find(({ id }) => id === pageId);
  // Moments are kept on the page and stand nowhere on it; they stay behind all that does.
  const partsNow = (): readonly Part[] => standingParts(page()?.parts ?? []);
  const set = (parts: Part[], label: string, step: string) =>
    changePage(
      pageId,
      { parts: [...parts, ...momentsOf(page()?.parts ?? [])] },
      `${label} in ${page()?.title || 'a page'}`,
      `${pageId} ${step}`,
    );
  const insert = (made: readonly Part[], at: number): string => {
    const [first] = made;
    set(
      [...partsNow().slice(0, at), ...made, ...partsNow().slice(at)],
      made.length === 1 && first ? `${settingsOf(first).name} tied` : `${made.length} parts tied`,
      `insert ${first?.id ?? ''}`,
    );
    return first?.id ?? '';
  };
  const heightsIn = (part: Part) =>
    JSON.stringify([part, ...heldIn(part)].map(({ id, height }) => [id, height]));
  return useStable({
    /** Changes one part; quick successive changes of the same kind are one step of undo. */
    change: (part: Part) => {
      const list = partsNow();
      const was = list.find(({ id }) => id === part.id);
      // Taken off or moved away meanwhile: there is nothing to change any more.
      if (was)
        set(
          list.map((one) => (one.id === part.id ? part : one)),
          settingsOf(part).name,
          // Who may have it is a step of its own: nobody takes it back along with a word.
          heightsIn(was) === heightsIn(part) ? `part ${part.id}` : `height ${part.id} ${Date.now()}`,
        );
    },
    order: (parts: Part[], moved: string) => set(parts, 'Order of parts', `order ${moved} ${Date.now()}`),
    /** Puts other parts in the place of one. */
    replace: (id: string, by: readonly Part[]) =>
      set(
        partsNow().flatMap((part) => (part.id === id ? [...by] : [part])),
        'Words of a document',
        `replace ${id}`,
      ),
    insert: (kind: PartKind, at: number): string => insert([newPart(kind, newId())], at),
    /** Puts parts that exist already on the page, as one step. */
    insertParts: (made: readonly Part[], at: number): string => insert(made, at),
    /** A picture with words beside it, to begin with; the id of the first. */
    insertPair: (at: number): string => {
      const picture = newPart('picture', newId());
      return insert(
        [picture, { ...newPart('words', newId()), beside: { with: picture.id, share: 0.5 } }],
        at,
      );
    },
    /** Puts a part beside the one before it, or below it again. */
    stand: (id: string, share: number | null) => {
      const list = partsNow();
      const before = list[list.findIndex((one) => one.id === id) - 1];
      if (!before) return;
      set(
        list.map((part) => {
          if (part.id !== id) return part;
          const { beside: _, ...alone } = part;
          return share === null ? alone : { ...alone, beside: { with: before.id, share } };
        }),
        share === null ? 'Below each other' : 'Side by side',
        `beside ${id}`,
      );
    },
    /** Puts materials on the page as the parts that show them, as one step; the id of the first part. */
    insertFor: (materials: readonly Material[], at: number): string => insert(partsFor(materials, newId), at),
    /** A second one right below; returns its id. */
    copy: (id: string): string => {
      const at = partsNow().findIndex((one) => one.id === id);
      const part = partsNow()[at];
      if (!part) return id;
      return insert([copyOfPart(part, newId)], placeAfter(partsNow(), at));
    },
    remove: (id: string) => {
      const part = partsNow().find((one) => one.id === id);
      if (!part) return;
      set(
        partsNow().filter((one) => one.id !== id),
        `${settingsOf(part).name} taken off`,
        `remove ${id}`,
      );
      tellTakenOff(part.id, settingsOf(part).name);
    },
  });
}

export type PartSteps = ReturnType<typeof useParts>;
