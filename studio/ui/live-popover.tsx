import type { RefObject } from 'react';
import { useSite } from '../api/site-context.tsx';
import { DifferenceList } from './difference-list.tsx';
import { nothingWaits, waitingWords } from './live-words.ts';
import { PopoverAt } from './popover.tsx';

/** What readers do not see yet, beside the sentence about what they see. */
export function LivePopover({
  anchor,
  onClose,
}: {
  anchor: RefObject<HTMLElement | null>;
  onClose: () => void;
}) {
  const { live, site } = useSite().state;
  return (
    <PopoverAt label="What waits to be published" anchor={anchor} onClose={onClose}>
      {waitingWords(live) ? (
        <>
          <h2 className="mb-1 text-base">Readers do not see this yet</h2>
          <DifferenceList list={live.waiting} />
        </>
      ) : (
        <p>{nothingWaits(live, site.height)}</p>
      )}
    </PopoverAt>
  );
}
