import ipaddr from 'ipaddr.js';
import { lookup as systemLookup, type LookupAddress, type LookupOptions } from 'node:dns';
import type { LookupFunction } from 'node:net';
import { Agent, fetch, type Response } from 'undici';

/** Why something outside could not be fetched. */
export type OutgoingTrouble = 'refused-address' | 'too-many-redirects' | 'slow' | 'unreachable';

export class OutgoingError extends Error {
  constructor(readonly trouble: OutgoingTrouble) {
    super(`Could not fetch from outside: ${trouble}`);
  }
}

export interface Fetched {
  /** Where the answer came from, after redirects. */
  url: string;
  /** Where it has moved for good, as the first answers said; null: it has not. */
  movedTo: string | null;
  status: number;
  headers: Response['headers'];
  /** The beginning of the body, decompressed, as far as was allowed. */
  body: Buffer;
  /** There was more of it. */
  cut: boolean;
}

const mostRedirects = 3;
/** What can be kept of an address where it has moved, in characters: as much as of any link. */
const longestAddress = 2000;
/** That say an address is not used any more (RFC 9110, 15.4.2 and 15.4.9). */
const movedForGood = new Set([301, 308]);

type AllLookup = (
  host: string,
  options: LookupOptions & { all: true },
  callback: (error: NodeJS.ErrnoException | null, addresses: LookupAddress[]) => void,
) => void;

/** Addresses that anybody on the internet can reach; all others are somebody's own network, or nobody's. */
function isPublic(address: string): boolean {
  // An IPv4 address written as IPv6 is judged as what it is.
  return ipaddr.isValid(address) && ipaddr.process(address).range() === 'unicast';
}

/** Names are looked up once, and the connection goes to the very addresses that were judged. */
const judging =
  (lookup: AllLookup): LookupFunction =>
  (host, options, callback) => {
    lookup(host, { ...options, all: true }, (error, addresses) => {
      if (error) return callback(error, []);
      if (addresses.length === 0 || !addresses.every(({ address }) => isPublic(address)))
        return callback(new OutgoingError('refused-address'), []);
      const [first] = addresses;
      if (options.all) return callback(null, addresses);
      callback(null, first?.address ?? '', first?.family);
    });
  };

/** Reads a body up to a limit; what comes after it is not fetched. */
async function readUpTo(response: Response, most: number): Promise<{ body: Buffer; cut: boolean }> {
  const pieces: Uint8Array[] = [];
  let bytes = 0;
  if (response.body)
    for await (const piece of response.body) {
      const chunk = piece as Uint8Array;
      pieces.push(chunk.subarray(0, most - bytes));
      bytes += chunk.byteLength;
      // Leaving the loop closes the connection.
      if (bytes > most) return { body: Buffer.concat(pieces), cut: true };
    }
  return { body: Buffer.concat(pieces), cut: false };
}

function troubleOf(error: unknown, signal: AbortSignal): OutgoingError {
  for (let cause = error; cause instanceof Error; cause = cause.cause)
    if (cause instanceof OutgoingError) return cause;
  return new OutgoingError(signal.aborted ? 'slow' : 'unreachable');
}

/**
 * The one way out of this server. Goes to public addresses only, also after each redirect and whatever a name is said to
 * stand for; stops after three redirects, a number of bytes and a time for all of it together.
 */
export class Outgoing {
  readonly #public: Agent;
  readonly #own = new Agent();
  readonly #allowed: ReadonlySet<string>;

  /**
   * @param allowed origins on this machine that may be fetched all the same: the demo's stand-ins
   * @param lookup how names are looked up
   */
  constructor(allowed: readonly string[] = [], lookup: AllLookup = systemLookup) {
    this.#allowed = new Set(allowed);
    this.#public = new Agent({ connect: { lookup: judging(lookup) } });
  }

  /** @throws OutgoingError */
  async fetch(
    url: string,
    { accept, mostBytes, mostMs }: { accept: string; mostBytes: number; mostMs: number },
  ): Promise<Fetched> {
    const signal = AbortSignal.timeout(mostMs);
    let at = new URL(url);
    let movedTo: string | null = null;
    let onlyMoved = true;
    for (let hop = 0; hop <= mostRedirects; hop++) {
      const dispatcher = this.#wayTo(at);
      try {
        const response = await fetch(at, {
          dispatcher,
          signal,
          redirect: 'manual',
          headers: { accept, 'user-agent': 'KiteWall/1 (reads the title of a link)' },
        });
        const onward = response.status >= 300 && response.status < 400 && response.headers.get('location');
        if (onward) {
          await response.body?.cancel();
          at = new URL(onward, at);
          // What is behind a turn for now is not where it lives.
          onlyMoved &&= movedForGood.has(response.status);
          if (onlyMoved) movedTo = at.href.length <= longestAddress ? at.href : null;
          continue;
        }
        const { body, cut } = await readUpTo(response, mostBytes);
        if (movedTo === new URL(url).href) movedTo = null;
        return { url: at.href, movedTo, status: response.status, headers: response.headers, body, cut };
      } catch (error) {
        throw troubleOf(error, signal);
      }
    }
    throw new OutgoingError('too-many-redirects');
  }

  async close(): Promise<void> {
    await Promise.all([this.#public.destroy(), this.#own.destroy()]);
  }

  #wayTo(url: URL): Agent {
    if (this.#allowed.has(url.origin)) return this.#own;
    const host = url.hostname.replace(/^\[|\]$/g, '');
    // A literal address is never looked up, so it is judged here.
    const literal = ipaddr.isValid(host);
    if (!/^https?:$/.test(url.protocol) || url.username !== '' || (literal && !isPublic(host)))
      throw new OutgoingError('refused-address');
    return this.#public;
  }
}
