import type { FastifyInstance } from 'fastify';
import {
  askOne,
  endClass,
  endEntry,
  getClass,
  lookAtClass,
  openClass,
  renewClass,
  writeBack,
} from '#contract/groups.ts';
import { makerOf } from '../accounts/sessions.ts';
import type { Database } from '../db/connect.ts';
import { handle } from '../http/handle.ts';
import { notFound } from '../http/problem.ts';
import type { Mailing } from '../mail/mailing.ts';
import type { PublicSites } from '../serve/public-sites.ts';
import {
  askEntry,
  classAtKey,
  endClassRow,
  endEntrySharing,
  entriesOf,
  giveBack,
  keepWriting,
  openClassRow,
  renewClassRow,
} from './class-rows.ts';
import { dueOf, groupsOf, ownGroup } from './group-rows.ts';
import { nobodyJoins, sitesIn } from './joined-rows.ts';
import { tellOne } from './tell-one.ts';

/** A key is guessed at no speed that matters; a whole class looks from one room, behind one address. */
const asAClass = { config: { rateLimit: { max: 300, timeWindow: '1 minute' } } };

/** Each may become a mail to whoever joined. */
const slowly = { config: { rateLimit: { max: 60, timeWindow: '1 minute' } } };

interface ClassDeps {
  db: Database;
  open: Pick<PublicSites, 'forget'>;
  mailing: Pick<Mailing, 'sends' | 'look'>;
  secret: Buffer;
  now: () => Date;
}

/**
 * Class pages: whoever leads a group sees which sites were handed in to it, asks, and ends what was shared with the class. Nothing here
 * opens anything, and nothing reads a site but by the link that its maker handed in.
 */
export function classRoutes(app: FastifyInstance, { db, open, mailing, secret, now }: ClassDeps): void {
  const page = async (account: string, id: string) => {
    await ownGroup(db, account, id);
    const group = (await groupsOf(db, account, secret)).find((one) => one.id === id);
    if (!group) throw notFound('This group');
    return { group, entries: await entriesOf(db, id, secret, now()) };
  };

  handle(app, openClass, async ({ params, body }, request) => {
    const { id } = makerOf(request);
    await openClassRow(db, await ownGroup(db, id, params.group), body, secret);
    return { groups: await groupsOf(db, id, secret) };
  });

  handle(app, renewClass, async ({ params }, request) => {
    const { id } = makerOf(request);
    await renewClassRow(db, await ownGroup(db, id, params.group), secret);
    return { groups: await groupsOf(db, id, secret) };
  });

  handle(app, getClass, async ({ params }, request) => page(makerOf(request).id, params.group));

  handle(app, endClass, async ({ params }, request) => {
    const { id } = makerOf(request);
    await open.forget(await endClassRow(db, id, params.group, now()));
    return page(id, params.group);
  });

  handle(app, endEntry, async ({ params }, request) => {
    const { id } = makerOf(request);
    await ownGroup(db, id, params.group);
    await open.forget(await endEntrySharing(db, params.group, params.entry, now()));
    return page(id, params.group);
  });

  handle(
    app,
    askOne,
    async ({ params, body }, request) => {
      const { id } = makerOf(request);
      await ownGroup(db, id, params.group);
      const site = await askEntry(db, params.group, params.entry, body.words, now());
      await tellOne(db, mailing, site, { entry: params.entry, says: 'asked' }, now());
      return page(id, params.group);
    },
    slowly,
  );

  handle(
    app,
    writeBack,
    async ({ params, body }, request) => {
      const { id } = makerOf(request);
      const group = await ownGroup(db, id, params.group);
      if (body.give) {
        const site = await giveBack(db, group, params.entry, body.returned, now());
        await tellOne(db, mailing, site, { entry: params.entry, says: 'given-back' }, now());
      } else await keepWriting(db, params.group, params.entry, body.returned);
      return page(id, params.group);
    },
    slowly,
  );

  handle(
    app,
    lookAtClass,
    async ({ params }, request) => {
      const { id } = makerOf(request);
      const group = await classAtKey(db, params.key);
      if (!group) throw nobodyJoins();
      const { classPage, name, list } = group;
      const joined = await sitesIn(db, group.id, id);
      return { ...classPage, name, list, joined, dueAt: dueOf(classPage)?.toISOString() ?? null };
    },
    asAClass,
  );
}
