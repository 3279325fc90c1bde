import { type ReactNode, useState } from 'react';
import { shownNow } from '#contract/closing.ts';
import { call, Refusal } from '../api/call.ts';
import { useSite } from '../api/site-context.tsx';
import { AskDialog } from './ask-dialog.tsx';
import { problemNotice } from './notice.ts';

type When = 'now' | 'next-publish';

/**
 * Deleting, with a question only where readers can see what is deleted: whether they lose it with the next publish or at
 * once. Undo brings back either, as a draft.
 */
export function useDeleting(): {
  ask: (things: readonly string[], name: string, remove: (readers: When) => Promise<void>) => Promise<void>;
  dialog: ReactNode;
} {
  const { state } = useSite();
  const site = state.site.id;
  const [asked, setAsked] = useState<{ name: string; remove: (readers: When) => Promise<void> } | null>(null);
  return {
    ask: async (things, name, remove) => {
      try {
        const shown = await call(shownNow, { params: { site }, body: { things: [...things] } });
        if (shown.things.length > 0) setAsked({ name, remove });
        else await remove('next-publish');
      } catch (error) {
        problemNotice(error instanceof Refusal ? error.message : 'That did not work. Try again.');
      }
    },
    dialog: (
      <AskDialog
        open={asked !== null}
        title={`Delete ${asked?.name ?? ''}?`}
        leave="Keep it"
        answers={[
          { name: 'Delete; readers keep it until I publish', run: () => void asked?.remove('next-publish') },
          { name: 'Delete for readers now', run: () => void asked?.remove('now') },
        ]}
        onClose={() => setAsked(null)}
      >
        <p>
          Readers can see it now. Undo brings it back either way, as a draft: what was taken from readers now
          is theirs again only with a publish.
        </p>
      </AskDialog>
    ),
  };
}
