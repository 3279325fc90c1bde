import { and, eq } from 'drizzle-orm';
import type { FastifyInstance, FastifyReply, FastifyRequest } from 'fastify';
import { doorWords } from '#core/public-words/door-words.ts';
import { renderMailsDoor } from '#site/render/door-page.tsx';
import type { Database } from '../db/connect.ts';
import { comments } from '../db/schema.ts';
import { closed } from '../serve/answering.ts';
import { doorHeaders } from '../serve/making.ts';
import { isMailsKey } from './mails-key.ts';

/**
 * Where whoever left an address with a comment ends mails about it: `/n/<comment>/<key>`, as it stands in each of them. Opening it
 * changes nothing, since mail programs open links by themselves; pressing its button does. It tells nothing of the site or the comment.
 */
export function mailsDoor(app: FastifyInstance, { db, secret }: { db: Database; secret: Buffer }): void {
  type Params = { Params: { comment: string; key: string } };
  const slowly = { config: { rateLimit: { max: 60, timeWindow: '1 minute' } } };
  const say = (request: FastifyRequest, reply: FastifyReply, stopped: boolean) =>
    reply
      .headers({ ...doorHeaders, vary: 'accept-language' })
      .send(renderMailsDoor(doorWords(request.headers['accept-language'] ?? ''), stopped));
  const at = async ({ comment, key }: Params['Params']) => {
    if (!isMailsKey(secret, comment, key)) return null;
    const [row] = await db
      .select({ site: comments.siteId, to: comments.mailTo })
      .from(comments)
      .where(eq(comments.id, comment));
    return row ?? null;
  };

  app.get<Params>('/n/:comment/:key', slowly, async (request, reply) => {
    const found = await at(request.params);
    return found ? say(request, reply, found.to === null) : closed(reply);
  });

  app.post<Params>('/n/:comment/:key', slowly, async (request, reply) => {
    const found = await at(request.params);
    if (!found) return closed(reply);
    if (found.to !== null)
      await db
        .update(comments)
        .set({ mailTo: null })
        .where(and(eq(comments.siteId, found.site), eq(comments.mailTo, found.to)));
    return say(request, reply, true);
  });
}
