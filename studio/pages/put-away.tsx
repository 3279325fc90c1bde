import { useState } from 'react';
import { effectiveHeight } from '#core/access/effective-height.ts';
import type { Height } from '#core/access/height.ts';
import type { Page, PageChange } from '#core/pages/page.ts';
import { pageName } from '#core/pages/page-kinds.ts';
import { useSite } from '../api/site-context.tsx';
import { AskDialog } from '../ui/ask-dialog.tsx';
import { heightNames } from '../ui/height-names.ts';
import { plural } from '#core/words/plural.ts';
import { Button } from '../ui/button.tsx';

/** Pages that were put away, each with the way back. */
export function PutAway({ pages: away, noun }: { pages: readonly Page[]; noun: 'project' | 'page' }) {
  const { state, changePage } = useSite();
  const [asked, setAsked] = useState<{ page: Page; height: Height } | null>(null);
  if (away.length === 0) return null;
  const hang = (page: Page, change: PageChange = {}) =>
    changePage(
      page.id,
      { archived: false, ...change },
      `${pageName(page)} hung up again`,
      `${page.id} archived`,
    );
  const ask = (page: Page) => {
    const pages = state.pages.map((one) => (one.id === page.id ? { ...one, archived: false } : one));
    const { height } = effectiveHeight({ ...state, pages }, { page: page.id });
    // Only a site that readers know can open it again.
    if (height === 'private' || !state.live.release) hang(page);
    else setAsked({ page, height });
  };
  return (
    <details className="mt-8">
      <summary className="note cursor-pointer">{plural(away.length, noun)} put away</summary>
      <ul className="mt-2 grid gap-2">
        {away.map((page) => (
          <li key={page.id} className="flex items-center gap-3">
            <span>{pageName(page)}</span>
            <Button small onClick={() => ask(page)}>
              Hang it up again<span className="sr-only">: {pageName(page)}</span>
            </Button>
          </li>
        ))}
      </ul>
      <AskDialog
        open={asked !== null}
        title="Hang it up as it was?"
        leave="Leave it put away"
        answers={[
          { name: 'Hang it up, Private', run: () => asked && hang(asked.page, { height: 'private' }) },
          {
            name: `Hang it up, ${heightNames[asked?.height ?? 'public']}`,
            run: () => asked && hang(asked.page),
          },
        ]}
        onClose={() => setAsked(null)}
      >
        <p>
          {asked && pageName(asked.page)} was {heightNames[asked?.height ?? 'public']} before it was put away.
          Readers get nothing of it now; hung up as {heightNames[asked?.height ?? 'public']}, it opens again
          with your next publish.
        </p>
      </AskDialog>
    </details>
  );
}
