import { closeNow, shownNow } from '#contract/closing.ts';
import type { Id } from '#core/id.ts';
import { call } from '../api/call.ts';
import { useSite } from '../api/site-context.tsx';
import { useUndoNotice } from '../api/use-undo-notice.ts';
import { notice } from '../ui/notice.ts';

/** Says that a part was taken off. Where readers can see it, the notice also offers to take it from them at once. */
export function useTellTakenOff(): (part: Id, name: string) => void {
  const { now, run } = useSite();
  const undoNotice = useUndoNotice();
  const tell = async (part: Id, name: string) => {
    const said = `${name} taken off.`;
    const params = { site: now().site.id };
    const things = [part];
    const shown = await call(shownNow, { params, body: { things } }).catch(() => null);
    if (!shown || shown.things.length === 0) return undoNotice(said);
    return undoNotice(`${said} Readers see it until you publish.`, {
      action: {
        label: 'Take it from readers now',
        onClick: () =>
          void run(() => call(closeNow, { params, body: { things } })).then((closed) => {
            if (closed) notice('Readers cannot see it any more.');
          }),
      },
    });
  };
  return (part, name) => void tell(part, name);
}
