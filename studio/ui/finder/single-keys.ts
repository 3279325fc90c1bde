const key = 'kite-wall single keys';

/** Whether keys without Ctrl do something. Whoever speaks to their computer can turn them off (WCAG 2.2, 2.1.4). */
export const singleKeysOn = (): boolean => window.localStorage.getItem(key) !== 'off';

export function setSingleKeys(on: boolean): void {
  window.localStorage.setItem(key, on ? 'on' : 'off');
}

/** Whoever typed less than this long ago is still writing, in ms, wherever the focus went meanwhile. */
const writingMs = 4000;
let typedAt = -writingMs;
window.addEventListener(
  'input',
  ({ timeStamp, target }) => {
    // What is typed in a dialog is no page that is being written.
    if (target instanceof Element && !target.closest('[role="dialog"]')) typedAt = timeStamp;
  },
  { capture: true },
);

/** Whether somebody is writing: a letter that lost its field must not lead them elsewhere. */
export const isWriting = (event: KeyboardEvent): boolean => event.timeStamp - typedAt < writingMs;

/** Whether a key press is meant for the studio: not for a field, an editor or a dialog, and not with another key held. */
export function isForStudio(event: KeyboardEvent): boolean {
  if (!singleKeysOn() || event.ctrlKey || event.metaKey || event.altKey || event.defaultPrevented)
    return false;
  const target = event.target instanceof HTMLElement ? event.target : null;
  return (
    !target?.isContentEditable && !target?.closest('input, textarea, select, [role="dialog"], [role="menu"]')
  );
}
