import { createHmac } from 'node:crypto';

/**
 * The secret part of the link by which somebody joins a class: 22 characters of 64, 132 bits. Like that of a pass it comes of the
 * server's secret and stands nowhere.
 *
 * @param generation another one makes another key, and nobody joins by the one before any more
 */
export const classKey = (secret: Buffer, group: string, generation: number): string =>
  createHmac('sha256', secret).update(`class ${group} ${generation}`).digest('base64url').slice(0, 22);

/** Where a class is joined, in the studio of whoever joins. */
export const classPath = (key: string): string => `/studio/join/${key}`;
