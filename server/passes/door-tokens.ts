import { createHmac, timingSafeEqual } from 'node:crypto';
import type { FoundPass } from '../serve/public-sites.ts';

/** So long a reader who knew the password is not asked again; in ms: a day. */
const lastsMs = 24 * 60 * 60 * 1000;

type Locked = Pick<FoundPass, 'id' | 'passwordHash'>;

/** What a reader's browser keeps who knew the password of a pass. Another password makes it worth nothing. */
export class DoorTokens {
  readonly #secret: Buffer;
  readonly #now: () => Date;

  constructor(secret: Buffer, now: () => Date) {
    this.#secret = secret;
    this.#now = now;
  }

  issue(pass: Locked): string {
    const at = this.#now().getTime().toString(36);
    return `${at}.${this.#mac(at, pass)}`;
  }

  holds(token: string | undefined, pass: Locked): boolean {
    const [at = '', mac = ''] = (token ?? '').split('.');
    const [right, given] = [Buffer.from(this.#mac(at, pass)), Buffer.from(mac)];
    if (given.byteLength !== right.byteLength || !timingSafeEqual(given, right)) return false;
    const age = this.#now().getTime() - parseInt(at, 36);
    return age >= 0 && age <= lastsMs;
  }

  #mac(at: string, { id, passwordHash }: Locked): string {
    return createHmac('sha256', this.#secret)
      .update(JSON.stringify(['door', at, id, passwordHash]))
      .digest('base64url');
  }
}
