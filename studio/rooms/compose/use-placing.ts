import type { DragEndEvent } from '@dnd-kit/core';
import { placeAfter } from '#core/content/beside.ts';
import type { Opening, Page } from '#core/content/page.ts';
import type { Part } from '#core/content/part.ts';
import { useSite } from '../../api/site-context.tsx';
import type { PartSteps } from './use-parts.ts';

interface Placing {
  page: Page;
  parts: PartSteps;
  /** The selected part, "opening", or nothing. */
  selected: string | null;
  setOpening: (opening: Opening) => void;
  /** Selects a part and brings it into view. */
  show: (part: string) => void;
}

/** Puts materials where they were meant to go: into the opening, a gallery, an empty part, or as parts of their own. */
export function usePlacing({ page: { id: pageId }, parts, selected, setOpening, show }: Placing) {
  const { now } = useSite();
  const pageNow = () => now().pages.find(({ id }) => id === pageId);
  const kindOf = (id: string) => now().materials.find((one) => one.id === id)?.kind;

  const placeIn = (part: Part | undefined, at: number, materials: readonly string[]) => {
    const all = now().materials;
    const known = materials.flatMap((id) => all.find((one) => one.id === id) ?? []);
    const [only] = known;
    if (!only) return;
    if (part?.kind === 'gallery' && known.every(({ kind }) => kind === 'picture'))
      return parts.change({
        ...part,
        pictures: [...new Set([...part.pictures, ...known.map(({ id }) => id)])],
      });
    if (part && 'material' in part && part.kind === only.kind && !part.material && known.length === 1)
      return parts.change({ ...part, material: only.id });
    const list = pageNow()?.parts ?? [];
    const after = part
      ? placeAfter(
          list,
          list.findIndex(({ id }) => id === part.id),
        )
      : at;
    show(parts.insertFor(known, after));
  };
  const intoOpening = (pictures: readonly string[]) => {
    const opening = pageNow()?.opening;
    if (opening)
      setOpening({
        layout: opening.layout === 'words' ? 'full' : opening.layout,
        pictures: [...new Set([...pictures, ...opening.pictures])].slice(0, 3),
      });
  };

  return {
    /** Where the maker is: in what is selected, after it, or at the end. */
    place: (materials: readonly string[]) => {
      const page = pageNow();
      if (!page) return;
      const part = page.parts.find(({ id }) => id === selected);
      if (selected === 'opening' && materials.every((id) => kindOf(id) === 'picture')) intoOpening(materials);
      else placeIn(part, selected === 'opening' ? 0 : page.parts.length, materials);
    },
    /** Where it was let go of. */
    drop: ({ active, over }: DragEndEvent) => {
      const material = String(active.id).replace(/^tray /, '');
      const [kind, where = ''] = String(over?.id ?? '').split(' ');
      if (kind === 'tie') placeIn(undefined, Number(where), [material]);
      else if (kind === 'part')
        placeIn(
          pageNow()?.parts.find(({ id }) => id === where),
          0,
          [material],
        );
      else if (kind === 'opening' && kindOf(material) === 'picture') intoOpening([material]);
    },
  };
}
