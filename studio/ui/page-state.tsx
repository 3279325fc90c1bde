import { Pencil } from 'lucide-react';
import { effectiveHeight } from '#core/access/effective-height.ts';
import type { Page } from '#core/pages/page.ts';
import { useSite } from '../api/site-context.tsx';

/** Where a page stands between draft and readers, as a word and a sign. */
export function PageState({ page }: { page: Page }) {
  const { state } = useSite();
  const { live } = state;
  const waits = live.waiting.find((one) => one.page === page.id);
  // What is Private is in no release, so nothing of it waits and nobody reads it.
  const shut = effectiveHeight(state, { page: page.id }).height === 'private' && !waits;
  if (waits?.kind === 'added' || !live.release || shut)
    return (
      <span className="flag">
        <Pencil size={13} aria-hidden="true" /> Draft
      </span>
    );
  if (waits)
    return (
      <span className="flag straw">
        <span className="wait" aria-hidden="true" /> {waits.what.length}{' '}
        {waits.what.length === 1 ? 'edit' : 'edits'} waiting
      </span>
    );
  if (live.readersReach === 'private') return <span className="flag">Closed, with the site</span>;
  return (
    <span className="flag ok">
      <span className="dot" aria-hidden="true" /> As readers see it
    </span>
  );
}
