import { notice, problemNotice } from '../ui/notice.ts';

/** Copies a text, and says so; where the clipboard is closed to the page, it is said in full, to be copied by hand. */
export async function copyText(text: string, said: string): Promise<void> {
  try {
    await navigator.clipboard.writeText(text);
    notice(said);
  } catch {
    problemNotice(`The clipboard is closed to this page. Copy it by hand: ${text}`);
  }
}
