import type { Id } from '../id.ts';
import { rulesOfPage } from '../pages/page-kinds.ts';
import type { ShownPage } from '../pages/page.ts';

/** The page on which is told what concerns the whole site: its front page, else always the same one; null where there is none. */
export const toldOnce = (pages: readonly ShownPage[]): Id | null =>
  pages.find((page) => rulesOfPage(page).isFront)?.id ?? pages.map(({ id }) => id).sort()[0] ?? null;
