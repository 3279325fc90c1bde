import { useState } from 'react';
import { useSite } from '../api/site-context.tsx';
import { Button } from './button.tsx';
import { fetched } from './fetched.tsx';
import { clockTime } from './studio-dates.ts';

const TwoVersionsDialog = fetched(
  () => import('./two-versions-dialog.tsx').then((module) => module.TwoVersionsDialog),
  () => null,
);

/** As wide as the longest of these words with an hour in it: a header does not move when something is saved. */
const steady = 'note whitespace-nowrap min-w-[7.25rem]';

/** Whether the words on the screen are on the server, in words and never wrong. */
export function SaveWords() {
  const { saving, retry } = useSite();
  const [comparing, setComparing] = useState(false);
  switch (saving.kind) {
    case 'saved':
      return (
        <p className={steady} role="status" data-saved="">
          {saving.at === null ? 'All saved' : `Saved ${clockTime(saving.at)}`}
        </p>
      );
    case 'saving':
      return (
        <p className={steady} role="status">
          Saving…
        </p>
      );
    case 'offline':
      return (
        <p className="flag straw" role="status">
          {saving.server && 'The server cannot save now. '}
          Kept on this computer, {saving.edits} {saving.edits === 1 ? 'edit' : 'edits'} to send
        </p>
      );
    case 'failed':
      return (
        <p className="flag clay" role="alert">
          {saving.message}
          {saving.again && (
            <button type="button" className="link" onClick={retry}>
              Try again
            </button>
          )}
        </p>
      );
    case 'conflict':
      return (
        <div className="flag straw flex-wrap" role="alert">
          {saving.message}
          <Button small onClick={() => setComparing(true)}>
            Look at both
          </Button>
          {comparing && <TwoVersionsDialog conflict={saving} onClose={() => setComparing(false)} />}
        </div>
      );
  }
}
