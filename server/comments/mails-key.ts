import { createHmac, timingSafeEqual } from 'node:crypto';

/** What proves that somebody has a mail about their comment: 22 characters of 64, 132 bits, of the server's secret; it stands nowhere. */
export const mailsKey = (secret: Buffer, comment: string): string =>
  createHmac('sha256', secret).update(`mails about ${comment}`).digest('base64url').slice(0, 22);

export const isMailsKey = (secret: Buffer, comment: string, key: string): boolean => {
  const right = Buffer.from(mailsKey(secret, comment));
  const given = Buffer.from(key);
  return given.length === right.length && timingSafeEqual(given, right);
};

/** Where mails about a comment are ended. */
export const mailsPath = (secret: Buffer, comment: string): string =>
  `/n/${comment}/${mailsKey(secret, comment)}`;
