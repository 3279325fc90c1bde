import { createHash, createHmac } from 'node:crypto';

/** Characters of a key: 22 of 64, 132 bits, more than the 96 that make a link unguessable. */
const length = 22;

/**
 * The secret part of a pass's link. It stands nowhere: it comes of the server's secret and of what is known of the pass, so that it can
 * be shown to its maker again and is not in the database.
 *
 * @param generation another one makes another key, and the one before opens nothing any more
 */
export const passKey = (secret: Buffer, id: string, generation: number): string =>
  createHmac('sha256', secret).update(`pass ${id} ${generation}`).digest('base64url').slice(0, length);

/** What is kept of a key, and what it is found by. */
export const keyHash = (key: string): string => createHash('sha256').update(key).digest('base64url');

/** Whether something may be a key: nothing else is looked up. */
export const looksLikeKey = (text: string): boolean => /^[\w-]{22}$/.test(text);
