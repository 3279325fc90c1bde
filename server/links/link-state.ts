import type { LinkAnswer } from '#core/links/link-answer.ts';
import type { LinkState } from '#core/materials/link.ts';
import { type Outgoing, OutgoingError } from './outgoing.ts';

/** What a status says of a page (RFC 9110, section 15). */
export const stateOfStatus = (status: number): LinkState => {
  if (status >= 200 && status < 300) return 'read';
  if (status === 404 || status === 410) return 'gone';
  return status === 401 || status === 403 ? 'closed' : 'unreachable';
};

/** Whether what is at an address answers, and where it has moved. Only the beginning of it is fetched. */
export async function askWhetherItAnswers(
  outgoing: Outgoing,
  to: string,
): Promise<Pick<LinkAnswer, 'state' | 'movedTo'>> {
  try {
    const { status, movedTo } = await outgoing.fetch(to, { accept: '*/*', mostBytes: 1, mostMs: 8000 });
    return { state: stateOfStatus(status), movedTo };
  } catch (error) {
    if (error instanceof OutgoingError)
      return { state: error.trouble === 'slow' ? 'slow' : 'unreachable', movedTo: null };
    throw error;
  }
}
