import { LRUCache } from 'lru-cache';
import Negotiator from 'negotiator';
import type { Seen } from '../visits/visit-counts.ts';
import type { IncomingMessage, ServerResponse } from 'node:http';

/** When an answer was begun, and of which site it is. */
export interface Begun {
  age: number;
  site: string;
}

interface Ready {
  etag: string;
  /** Names and values in turn, as the HTTP module takes them fastest. */
  headers: string[];
  body: Buffer;
  /** What is counted as opened by each of these; left out where nothing is. */
  seen?: Seen;
}

/**
 * Whole responses of public files that were asked for lately, by request path and coding: answering one takes no
 * promise, no route and no header to be put together. Everything in it came out of the ordinary way of serving;
 * what is of a site is dropped whenever that way might answer differently for it.
 */
export class ReadyResponses {
  readonly #kept: LRUCache<string, Ready & { site: string }>;
  /** Counts up with every `clear`, so that an answer begun before it is not kept after it. */
  #age = 0;

  readonly #onSeen: (seen: Seen, request: IncomingMessage) => void;

  /** @param onSeen told of each page that was answered from here and is counted */
  constructor(mostBytes: number, onSeen: (seen: Seen, request: IncomingMessage) => void = () => {}) {
    this.#onSeen = onSeen;
    this.#kept = new LRUCache({
      maxSize: mostBytes,
      // One large file must not push out all the others.
      maxEntrySize: Math.floor(mostBytes / 16),
      sizeCalculation: ({ body }) => Math.max(1, body.byteLength),
    });
  }

  get age(): number {
    return this.#age;
  }

  /**
   * @param sites whose answers are dropped; those of all when left out
   * @param age the age that begins now; without it, the next
   */
  clear(sites?: readonly string[], age = this.#age + 1): void {
    this.#age = age;
    if (!sites) return this.#kept.clear();
    for (const [name, { site }] of [...this.#kept.entries()])
      if (sites.includes(site)) this.#kept.delete(name);
  }

  /** Keeps a response; not where anything was dropped since it was begun, be it of another site. */
  keep({ age, site }: Begun, url: string, coding: string, ready: Ready): void {
    if (age === this.#age) this.#kept.set(`${coding} ${url}`, { ...ready, site });
  }

  /** Answers the request if its response is at hand. */
  answer(request: IncomingMessage, response: ServerResponse): boolean {
    if (request.method !== 'GET' || request.url === undefined) return false;
    const ready = this.#kept.get(`${acceptedCoding(request.headers['accept-encoding'])} ${request.url}`);
    if (!ready) return false;
    if (ready.seen) this.#onSeen(ready.seen, request);
    if (request.headers['if-none-match'] === ready.etag) {
      response.writeHead(304, { etag: ready.etag });
      response.end();
      return true;
    }
    response.writeHead(200, ready.headers);
    response.end(ready.body);
    return true;
  }
}

export type Coding = 'br' | 'gzip' | 'identity';

const codings = new LRUCache<string, Coding>({ max: 100 });
const codingsOfOurs = ['br', 'gzip', 'identity'] as const;
const longestHeader = 200;

/** The best coding of ours that a reader accepts (RFC 9110, section 12.5.3). The few headers there are, are remembered. */
export function acceptedCoding(header: string | string[] | undefined): Coding {
  const text = String(header ?? '');
  const known = codings.get(text);
  if (known) return known;
  // No program sends a long one; whoever does gets the file as it is.
  const offered =
    text.length > longestHeader
      ? []
      : new Negotiator({ headers: { 'accept-encoding': text } }).encodings(['br', 'gzip', 'identity']);
  const coding = codingsOfOurs.find((one) => offered.includes(one)) ?? 'identity';
  codings.set(text, coding);
  return coding;
}
