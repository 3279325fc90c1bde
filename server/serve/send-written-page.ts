import type { FastifyReply } from 'fastify';
import type { ManifestFile } from '#core/release/manifest.ts';
import { pagePolicy } from './page-policy.ts';

/**
 * Answers what was sent by a form on a page behind a door with that page once more: with what was typed, and why nothing is kept. Nobody
 * between keeps it, their own browser may.
 *
 * @param html of the file, with what is said on it
 */
export const sendWrittenPage = (
  reply: FastifyReply,
  status: number,
  file: ManifestFile,
  html: string,
): FastifyReply =>
  reply
    .code(status)
    .headers({
      'content-type': 'text/html; charset=utf-8',
      'content-security-policy': pagePolicy({ ...file, writes: true }),
      'x-content-type-options': 'nosniff',
      'x-robots-tag': 'noindex',
      'referrer-policy': 'no-referrer',
      // By the Back button whoever typed it finds it again, and is not asked whether to send it once more.
      'cache-control': 'private, no-cache',
    })
    .send(html);
