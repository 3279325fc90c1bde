import { emptyContents } from './page-contents.ts';
import type { PageKind } from './page-kinds.ts';
import type { ShownPage } from './page.ts';

/** A Public page at the top of its site for tests, called by its id, with some of it otherwise. */
export const samplePage = (id: string, kind: PageKind, fields: object = {}): ShownPage =>
  ({
    ...emptyContents[kind],
    ...{ id, kind, title: id, slug: id, height: 'public', rank: 'a', parent: null },
    ...{ archived: false, inMenu: null, language: null },
    ...fields,
  }) as ShownPage;
