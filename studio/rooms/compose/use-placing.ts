import { placeAfter } from '#core/parts/beside.ts';
import type { Opening } from '#core/pages/opening.ts';
import { isShown, type ShownPage } from '#core/pages/page.ts';
import { withMaterials } from '#core/parts/with-materials.ts';
import { useSite } from '../../api/site-context.tsx';
import { problemNotice } from '../../ui/notice.ts';
import type { PartSteps } from './use-parts.ts';

/**
 * Somewhere on a page, told so that it stays the same place while other parts come and go: the opening, a part, or the
 * line after a part (null: the line at the top).
 */
export type Where = { kind: 'opening' } | { kind: 'part'; id: string } | { kind: 'after'; id: string | null };

interface Placing {
  page: ShownPage;
  parts: PartSteps;
  /** The selected part, "opening", or nothing. */
  selected: string | null;
  setOpening: (opening: Opening) => void;
  /** Selects a part and brings it into view. */
  show: (part: string) => void;
}

/** Puts materials where they were meant to go: into the opening, a gallery, an empty part, or as parts of their own. */
export function usePlacing({ page: { id: pageId }, parts, selected, setOpening, show }: Placing) {
  const { now, fetchWords } = useSite();
  const pageNow = () =>
    now()
      .pages.filter(isShown)
      .find(({ id }) => id === pageId);
  const partsNow = () => pageNow()?.parts ?? [];

  const intoOpening = (pictures: readonly string[]) => {
    const opening = pageNow()?.opening;
    if (opening)
      setOpening({
        layout: opening.layout === 'words' ? 'full' : opening.layout,
        pictures: [...new Set([...pictures, ...opening.pictures])].slice(0, 3),
      });
  };

  const place = (materials: readonly string[], where: Where) => {
    const known = materials.flatMap((id) => now().materials.find((one) => one.id === id) ?? []);
    if (known.length === 0) return;
    if (where.kind === 'opening' && known.every(({ kind }) => kind === 'picture'))
      return intoOpening(materials);
    const list = partsNow();
    const part = where.kind === 'part' ? list.find(({ id }) => id === where.id) : undefined;
    const filled = part && withMaterials(part, known);
    if (filled) return parts.change(filled);
    const before = where.kind === 'opening' ? null : where.id;
    const at = list.findIndex(({ id }) => id === before);
    // The part it was to stand after was taken off meanwhile: at the end, where it is found.
    const after = before === null ? 0 : at < 0 ? list.length : placeAfter(list, at);
    show(parts.insertFor(known, after));
  };

  return {
    /** Where the maker is: in what is selected, or at the end. */
    here: (): Where => {
      if (selected === 'opening') return { kind: 'opening' };
      return selected !== null && partsNow().some(({ id }) => id === selected)
        ? { kind: 'part', id: selected }
        : { kind: 'after', id: partsNow().at(-1)?.id ?? null };
    },
    /** The place with a name that `useDropPlace` gave; null for none. */
    placeCalled: (name: string | null): Where | null => {
      const [kind, which = ''] = (name ?? '').split(' ');
      if (kind === 'opening') return { kind };
      if (kind === 'part') return { kind, id: which };
      if (kind === 'tie') return { kind: 'after', id: partsNow()[Number(which) - 1]?.id ?? null };
      return null;
    },
    put: (materials: readonly string[], where: Where) => {
      const begun = materials.filter((id) => now().begun.has(id));
      if (begun.length === 0) return place(materials, where);
      // A note that is placed becomes words of the page: all of them.
      void fetchWords(begun).then(
        () => place(materials, where),
        (error: unknown) => problemNotice(error instanceof Error ? error.message : String(error)),
      );
    },
  };
}
