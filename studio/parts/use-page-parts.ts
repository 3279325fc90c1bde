import type { Part } from '#core/parts/parts.ts';
import { isShown } from '#core/pages/page.ts';
import { useSite } from '../api/site-context.tsx';

/** The parts of a page as they are at the moment somebody does something, and how they are set. */
export function usePageParts(pageId: string) {
  const { changePage, now } = useSite();
  return {
    partsNow: (): readonly Part[] =>
      now()
        .pages.filter(isShown)
        .find(({ id }) => id === pageId)?.parts ?? [],
    /** @param step changes of one name that follow each other are one step of undo */
    set: (parts: Part[], label: string, step: string): void =>
      changePage(pageId, { parts }, label, `${pageId} ${step}`),
  };
}
