import type { ExternalToast } from 'sonner';
import { notice } from '../ui/notice.ts';
import { useSite } from './site-context.tsx';

/** How long it can be read and pressed, in ms: longer than what reports no loss. */
const shownMs = 10_000;

/**
 * Says what went, or gave way to something else, with a button that brings it back: by undoing that very step, and no later one.
 *
 * @returns the function that says it, right after it was done
 */
export function useUndoNotice(): (words: string, more?: Pick<ExternalToast, 'action'>) => void {
  const { now, flush, undo } = useSite();
  const last = async () => {
    await flush();
    return now().history.undo?.step;
  };
  return (words, more = {}) => {
    const done = last();
    const bringBack = async () => {
      if ((await done) === (await last())) return undo();
      notice('Something else was done since. Undo in the strip takes that back first.');
    };
    const undoing = { label: 'Undo', onClick: () => void bringBack() };
    notice(words, {
      duration: shownMs,
      ...(more.action ? { action: more.action, cancel: undoing } : { action: undoing }),
    });
  };
}
