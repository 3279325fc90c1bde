import { effectiveHeight } from '#core/access/effective-height.ts';
import { reaches } from '#core/access/height.ts';
import { linkedTo } from '#core/access/linked-to.ts';
import type { Id } from '#core/id.ts';
import { pageName } from '#core/pages/page-kinds.ts';
import { shownOn } from '#core/pages/page.ts';
import type { Draft } from '#core/sites/site.ts';

/** Something a pass opens by name. */
export interface Opened {
  id: Id;
  name: string;
  /** It is Private, itself or by what it stands in: the pass does not open it. */
  shut: boolean;
}

/** What a pass opens by name, in its order; what is not there any more is left out. */
export function openedNames(draft: Draft, opens: readonly Id[]): Opened[] {
  return opens.flatMap((id) => {
    const to = linkedTo(draft.pages, id);
    const page = draft.pages.find((one) => one.id === to?.page);
    if (!to || !page) return [];
    const version = shownOn(page).parts.find((part) => part.id === to.version);
    const height = effectiveHeight(draft, {
      page: page.id,
      ...(to.version !== null && { part: to.version }),
    }).height;
    const name = version?.kind === 'version' ? `Résumé: ${version.name || 'a version'}` : pageName(page);
    return [{ id, name, shut: !reaches(height, 'invited') }];
  });
}
