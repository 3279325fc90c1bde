import { createHash, randomBytes } from 'node:crypto';

/** Name of the cookie by which a device has what was written on it. @param secure it goes over HTTPS only */
export const writerCookie = (secure: boolean): string => `${secure ? '__Secure-' : ''}kite_wall_writer`;
/** So long it is kept; in seconds: a year. */
export const writerKeptS = 365 * 24 * 60 * 60;

const looksRight = /^[A-Za-z0-9_-]{22}$/;

/** A new device that somebody writes on. */
export const newWriterToken = (): string => randomBytes(16).toString('base64url');

/**
 * What is kept of a device beside what it wrote: of no other use than to know it again.
 *
 * @param token as it came in the cookie: anything
 * @param pass so that nobody is known again from one pass to another
 * @returns null for what is no token
 */
export const writerOf = (token: string | undefined, pass: string): string | null =>
  token !== undefined && looksRight.test(token)
    ? createHash('sha256').update(`${pass} ${token}`).digest('base64url')
    : null;
