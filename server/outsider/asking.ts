import { Agent, fetch } from 'undici';

/** What an address answered. */
export interface Answered {
  status: number;
  /** Where it answered in the end. */
  url: string;
  headers: { get(name: string): string | null };
  /** Of pages only. */
  html: string | null;
}

/** Asks an address as somebody would who has never been there; null where nothing answers. */
export type Ask = (url: string) => Promise<Answered | null>;

const patienceMs = 20_000;
const mostHops = 4;
/** Of a page. */
const mostCharacters = 8_000_000;

/**
 * Over HTTP, without cookies, without an account, following redirects as a browser does, and only within where it began: this server
 * asks itself and nobody else.
 */
export function asking(): { ask: Ask; close: () => Promise<void> } {
  const agent = new Agent({ connections: 6, headersTimeout: patienceMs, bodyTimeout: patienceMs });
  const ask: Ask = async (address) => {
    const { origin } = new URL(address);
    try {
      for (let url = address, hops = 0; ; hops++) {
        const reply = await fetch(url, {
          dispatcher: agent,
          redirect: 'manual',
          headers: { accept: '*/*', 'user-agent': 'Kite Wall, testing as an outsider' },
          signal: AbortSignal.timeout(patienceMs),
        });
        const to = reply.headers.get('location');
        if (reply.status >= 300 && reply.status < 400 && to !== null && hops < mostHops) {
          await reply.body?.cancel();
          const next = new URL(to, url);
          if (next.origin !== origin)
            return { status: reply.status, url, headers: reply.headers, html: null };
          url = next.href;
          continue;
        }
        const isPage = /^text\/html/.test(reply.headers.get('content-type') ?? '');
        const html = isPage ? (await reply.text()).slice(0, mostCharacters) : null;
        // Of a file its beginning is enough: the server has found it and begun to send it.
        if (!isPage) await reply.body?.cancel();
        return { status: reply.status, url, headers: reply.headers, html };
      }
    } catch {
      return null;
    }
  };
  return { ask, close: () => agent.close() };
}
