import { createHmac } from 'node:crypto';

/**
 * The secret part of the link of a second look: 22 characters of 64, 132 bits. Like that of a pass it comes of the server's secret and
 * stands nowhere.
 */
export const lookKey = (secret: Buffer, id: string): string =>
  createHmac('sha256', secret).update(`second look ${id}`).digest('base64url').slice(0, 22);

/** Where a second look is opened; ends in a slash. */
export const lookPath = (key: string): string => `/d/${key}/`;
