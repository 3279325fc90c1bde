import type { ExternalToast } from 'sonner';

/** Fetched when there is something to say first, or before; what is said waits for it. */
const shower = () => import('sonner').then(({ toast }) => toast);
const later = (shown: Promise<unknown>): void => void shown.catch(() => undefined);

/** Says in passing, at the lower edge, what was done. */
export const notice = (words: string, more?: ExternalToast): void =>
  later(shower().then((toast) => toast(words, more)));

/** Says in passing what did not work, and what to do. */
export const problemNotice = (words: string, more?: ExternalToast): void =>
  later(shower().then((toast) => toast.error(words, more)));

/**
 * Says what is being done for as long as it takes.
 *
 * @returns what takes it away
 */
export function waitingNotice(words: string): () => void {
  const shown = shower().then((toast) => toast.loading(words));
  return () => later(Promise.all([shower(), shown]).then(([toast, id]) => toast.dismiss(id)));
}
