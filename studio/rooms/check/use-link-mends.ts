import type { Finding } from '#core/check/finding.ts';
import { withLinkTo } from '#core/links/with-link-to.ts';
import { isShown } from '#core/pages/page.ts';
import type { Part } from '#core/parts/parts.ts';
import { useSite } from '../../api/site-context.tsx';
import { useUndoNotice } from '../../api/use-undo-notice.ts';

/** Changes the part that a finding about a link speaks of, with an undo; null for what is mended elsewhere. */
export function useLinkMends({ rule, page, part, leadsTo, movedTo }: Finding): {
  words: string;
  mend: () => void;
} | null {
  const { now, changePage } = useSite();
  const undoNotice = useUndoNotice();
  const change = (changed: (part: Part) => Part, label: string, done: string) => () => {
    const standing = now().pages.find(({ id }) => id === page);
    if (!standing || !isShown(standing)) return;
    const parts = standing.parts.map((one) => (one.id === part ? changed(one) : one));
    changePage(page, { parts }, label, `${page} ${part ?? ''} link from check`);
    undoNotice(done);
  };
  if (rule === 'link-moved' && leadsTo !== undefined && movedTo !== undefined)
    return {
      words: 'Link to where it is',
      mend: change(
        (one) => withLinkTo(one, leadsTo, movedTo),
        'Where a link leads',
        'It leads to the new address. Readers get it so with your next publish.',
      ),
    };
  if (rule === 'not-framed')
    return {
      words: 'Show a card',
      mend: change(
        (one) => (one.kind === 'link' ? { ...one, form: 'card' } : one),
        'How a link is shown',
        'It is shown as a card.',
      ),
    };
  return null;
}
