import type { FastifyInstance } from 'fastify';
import { getInside, readInside } from '#contract/inside.ts';
import { makerOf } from '../accounts/sessions.ts';
import type { Database } from '../db/connect.ts';
import { peopleOf } from '../groups/group-rows.ts';
import { handle } from '../http/handle.ts';
import { draftAt } from '../sites/load-draft.ts';
import type { Insides } from './insides.ts';

interface InsideRoutesDeps {
  db: Database;
  insides: Insides;
  now: () => Date;
}

export function insideRoutes(app: FastifyInstance, { db, insides, now }: InsideRoutesDeps): void {
  const known = async (account: string, site: string) => {
    const { draft } = await draftAt(db, account, site);
    const people = await peopleOf(db, account);
    const inside = await insides.known(
      draft,
      // Whoever made the site is named on it anyway.
      people.filter((name) => name !== draft.site.by),
      now().toISOString().slice(0, 10),
    );
    return { ...inside, named: await insides.named(draft) };
  };

  handle(app, getInside, async ({ params }, request) => known(makerOf(request).id, params.site));

  handle(app, readInside, async ({ params }, request, reply) => {
    const account = makerOf(request).id;
    const { draft } = await draftAt(db, account, params.site);
    const gone = new AbortController();
    reply.raw.once('close', () => gone.abort());
    await insides.readSome(account, draft, gone.signal);
    return known(account, params.site);
  });
}
