import Negotiator from 'negotiator';
import type { IncomingMessage, ServerResponse } from 'node:http';

interface Ready {
  etag: string;
  /** Names and values in turn, as the HTTP module takes them fastest. */
  headers: string[];
  body: Buffer;
}

/**
 * Whole responses of public files that were asked for lately, by request path and coding: answering one takes no
 * promise, no route and no header to be put together. Everything in it came out of the ordinary way of serving;
 * it is emptied whenever that way might answer differently.
 */
export class ReadyResponses {
  readonly #kept = new Map<string, Ready>();
  readonly #mostBytes: number;
  #bytes = 0;
  /** Counts up with every `clear`, so that an answer begun before it is not kept after it. */
  #age = 0;

  constructor(mostBytes: number) {
    this.#mostBytes = mostBytes;
  }

  get age(): number {
    return this.#age;
  }

  /** @param age the age that begins now; without it, the next */
  clear(age = this.#age + 1): void {
    this.#empty();
    this.#age = age;
  }

  /** Keeps a response begun at `age`; forgets it when the store was cleared since. */
  keep(age: number, url: string, coding: string, ready: Ready): void {
    if (age !== this.#age || ready.body.byteLength > this.#mostBytes / 16) return;
    if (this.#bytes + ready.body.byteLength > this.#mostBytes) this.#empty();
    this.#kept.set(`${coding} ${url}`, ready);
    this.#bytes += ready.body.byteLength;
  }

  #empty(): void {
    this.#kept.clear();
    this.#bytes = 0;
  }

  /** Answers the request if its response is at hand. */
  answer(request: IncomingMessage, response: ServerResponse): boolean {
    if (request.method !== 'GET' || request.url === undefined) return false;
    const ready = this.#kept.get(`${acceptedCoding(request.headers['accept-encoding'])} ${request.url}`);
    if (!ready) return false;
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

const codings = new Map<string, Coding>();
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
  if (codings.size > 100) codings.clear();
  codings.set(text, coding);
  return coding;
}
