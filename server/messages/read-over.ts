import { createHmac, randomBytes, timingSafeEqual } from 'node:crypto';
import type { Message } from '#core/messages/message.ts';
import { newId } from '../db/new-id.ts';

/** How long somebody may read over what they wrote before they send it; in ms. */
const lastsMs = 60 * 60 * 1000;

/** What a token holds for: this message, from this form, at this entrance. */
export interface ReadOver extends Message {
  entrance: string;
  place: string;
}

/**
 * Signs what somebody is shown once more before it is sent, so that nothing goes that was not looked at, and goes once: a form on
 * somebody else's page, or a program that does not read what it gets, comes no further than that.
 */
export class ReadOverTokens {
  // Of this process alone: after a restart a message is read over once more.
  readonly #secret = randomBytes(32);
  readonly #now: () => number;

  constructor(now: () => number = Date.now) {
    this.#now = now;
  }

  /** @returns a token with the id that the message will have */
  sign(of: ReadOver): string {
    const head = `${newId()}.${this.#now().toString(36)}`;
    return `${head}.${this.#mac(head, of)}`;
  }

  /** @returns the message's id; null where the token is of something else, or of too long ago */
  idOf(token: string, of: ReadOver): string | null {
    const [id = '', at = '', mac = ''] = token.split('.');
    const right = Buffer.from(this.#mac(`${id}.${at}`, of));
    const given = Buffer.from(mac);
    if (given.byteLength !== right.byteLength || !timingSafeEqual(given, right)) return null;
    return this.#now() - parseInt(at, 36) <= lastsMs ? id : null;
  }

  #mac(head: string, { entrance, place, name, from, words }: ReadOver): string {
    return createHmac('sha256', this.#secret)
      .update(JSON.stringify([head, entrance, place, name, from, words]))
      .digest('base64url');
  }
}
