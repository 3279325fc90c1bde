import type { PageBase } from '../pages/page.ts';
import { rulesOfPage } from '../pages/page-kinds.ts';

/**
 * Whether a page stands in the readers' menu as far as its maker is concerned. Where they have not chosen, work at the top does
 * not, since it hangs on the front page, and everything else does.
 */
export const standsInMenu = ({
  kind,
  inMenu,
  parent,
}: Pick<PageBase, 'inMenu' | 'parent'> & { kind: string }): boolean =>
  inMenu ?? !(rulesOfPage({ kind }).isWork && parent === null);
