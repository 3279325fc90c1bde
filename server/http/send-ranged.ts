import type { FastifyReply, FastifyRequest } from 'fastify';
import parseRange from 'range-parser';
import type { BlobStore } from '../media/blob-store.ts';

/**
 * Sends a stored file whole, or the piece that was asked for (RFC 9110, section 14): players fetch recordings in
 * pieces, so that one can be wound to its end without fetching what lies between. Several pieces at once are answered
 * with the whole file, as the standard allows.
 */
export function sendRanged(
  request: FastifyRequest,
  reply: FastifyReply,
  blobs: BlobStore,
  { hash, bytes, type }: { hash: string; bytes: number; type: string },
): FastifyReply {
  reply.header('accept-ranges', 'bytes').header('content-type', type);
  const { range, 'if-range': ifRange } = request.headers;
  const same = ifRange === undefined || ifRange === reply.getHeader('etag');
  const wanted = range && same ? parseRange(bytes, range) : undefined;
  if (wanted === -1)
    return reply.code(416).header('content-range', `bytes */${bytes}`).header('content-length', 0).send('');
  const [piece] = Array.isArray(wanted) && wanted.type === 'bytes' && wanted.length === 1 ? wanted : [];
  if (!piece) return reply.header('content-length', bytes).send(blobs.stream(hash));
  return reply
    .code(206)
    .header('content-range', `bytes ${piece.start}-${piece.end}/${bytes}`)
    .header('content-length', piece.end - piece.start + 1)
    .send(blobs.stream(hash, piece));
}
