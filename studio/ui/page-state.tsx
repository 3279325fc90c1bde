import { Pencil } from 'lucide-react';
import { effectiveHeight } from '#core/access/effective-height.ts';
import type { Page } from '#core/pages/page.ts';
import { useSite } from '../api/site-context.tsx';

/**
 * Where a page stands between draft and readers, as a word and a sign.
 *
 * @param short in a line of many: without a ground, and in as few words as can be
 */
export function PageState({ page, short = false }: { page: Page; short?: boolean }) {
  const look = (kind: string) =>
    short ? 'inline-flex items-center gap-1.5 text-s whitespace-nowrap' : `flag ${kind}`;
  const { state } = useSite();
  const { live } = state;
  const waits = live.waiting.find((one) => one.page === page.id);
  // What is Private is in no release, so nothing of it waits and nobody reads it.
  const shut = effectiveHeight(state, { page: page.id }).height === 'private' && !waits;
  if (waits?.kind === 'added' || !live.release || shut)
    return (
      <span className={look('')}>
        <Pencil size={13} aria-hidden="true" /> Draft
      </span>
    );
  if (waits)
    return (
      <span className={look('straw')}>
        <span className="wait" aria-hidden="true" /> {waits.what.length}{' '}
        {short ? '' : waits.what.length === 1 ? 'edit ' : 'edits '}waiting
      </span>
    );
  if (live.readersReach === 'private')
    return <span className={look('')}>Closed{short ? '' : ', with the site'}</span>;
  return (
    <span className={look('ok')}>
      <span className="dot" aria-hidden="true" /> {short ? 'Live' : 'As readers see it'}
    </span>
  );
}
