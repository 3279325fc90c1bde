import type { FastifyInstance } from 'fastify';
import { closeNow, shownNow } from '#contract/closing.ts';
import {
  changeSite,
  checkAddress,
  createSite,
  getSite,
  giveUpAddress,
  listFormerAddresses,
  listSites,
  renewLink,
  setUnderAge,
} from '#contract/sites.ts';
import { redoEdit, undoEdit } from '#contract/undo.ts';
import { suggestAddresses } from '#core/sites/suggest-addresses.ts';
import { makerOf } from '../accounts/sessions.ts';
import type { Database } from '../db/connect.ts';
import type { Commands } from '../commands/commands.ts';
import { freeAddress, whyNotFree } from '../db/free-address.ts';
import { siteOf } from '../db/rows/site-row.ts';
import { joinedChange, settleChange } from '../db/joined-change.ts';
import { handle } from '../http/handle.ts';
import { notFound } from '../http/problem.ts';
import type { PublicSites } from '../serve/public-sites.ts';
import { addressWords } from './address-words.ts';
import { liveStatement, shownToReaders } from './live-statement.ts';
import { loadDraft, ownSite } from './load-draft.ts';
import { makeSite } from './make-site.ts';
import { dropFormerAddress, formerAddressesOf, renewKey, sitesOf } from './site-rows.ts';
import { patchAfter, siteState } from './site-state.ts';

export function siteRoutes(
  app: FastifyInstance,
  deps: {
    db: Database;
    commands: Commands;
    open: PublicSites;
    now: () => Date;
    limits: { maxFileBytes: number; maxTotalBytes: number };
  },
): void {
  const { db, commands, open, now, limits } = deps;

  handle(app, listSites, async (_, request) => sitesOf(db, makerOf(request).id));

  handle(app, createSite, async ({ body }, request) => {
    const id = await makeSite(deps.db, makerOf(request).id, body.title);
    return { id, title: body.title };
  });

  handle(app, getSite, async ({ params }, request) =>
    siteState(db, await ownSite(db, makerOf(request).id, params.site), limits),
  );

  handle(app, changeSite, async ({ params, body }, request) => {
    const scope = { site: params.site, account: makerOf(request).id };
    const result = await commands.run(scope, body, async (running) => {
      const address = body.change.address;
      if (address && body.decided !== 'theirs') await freeAddress(running.tx, scope.site, address);
      const { change } = await joinedChange(running, 'site', scope.site, body);
      await settleChange(running, 'site', scope.site, change, body.decided);
    });
    return { ...(await patchAfter(db, scope, result)), joined: false };
  });

  handle(app, setUnderAge, async ({ params, body }, request) => {
    const account = makerOf(request).id;
    await ownSite(db, account, params.site);
    const label = body.underAge ? 'Under 18' : 'Not under 18';
    const onSite = (site: string) =>
      commands.run({ site, account }, { label }, async (running) => {
        await running.update('site', site, body);
      });
    // How old somebody is does not depend on the site.
    for (const { id } of await sitesOf(db, account)) if (id !== params.site) await onSite(id);
    return patchAfter(db, { site: params.site, account }, await onSite(params.site));
  });

  handle(app, shownNow, async ({ params, body }, request) => {
    const shown = await shownToReaders(db, await ownSite(db, makerOf(request).id, params.site));
    return { things: body.things.filter((thing) => shown.has(thing)) };
  });

  handle(app, closeNow, async ({ params, body }, request) => {
    const scope = { site: params.site, account: makerOf(request).id };
    await ownSite(db, scope.account, scope.site);
    const result = await commands.run(scope, { label: 'Closed now' }, async (running) =>
      running.close(body.things),
    );
    return patchAfter(db, scope, result);
  });

  for (const [route, direction] of [
    [undoEdit, 'undo'],
    [redoEdit, 'redo'],
  ] as const)
    handle(app, route, async ({ params, body }, request) => {
      const scope = { site: params.site, account: makerOf(request).id };
      const result = await commands[direction](scope, body ?? {});
      const { label, takenOut } = result;
      return { ...(await patchAfter(db, scope, result)), label, takenOut };
    });

  handle(app, checkAddress, async ({ params }, request) => {
    const site = await ownSite(db, makerOf(request).id, params.site);
    const why = await whyNotFree(db, site.id, params.address);
    const words = await addressWords(db, siteOf(site), now());
    const offered = new Set<string>();
    for (const candidate of [
      ...suggestAddresses(site.title, words),
      ...suggestAddresses(params.address, { year: words.year }),
    ])
      if (offered.size < 4 && candidate !== params.address && !(await whyNotFree(db, site.id, candidate)))
        offered.add(candidate);
    return { free: why === null, why: why ?? '', alsoFree: [...offered] };
  });

  handle(app, listFormerAddresses, async ({ params }, request) => {
    const site = await ownSite(db, makerOf(request).id, params.site);
    return { addresses: await formerAddressesOf(db, site.id) };
  });

  handle(app, giveUpAddress, async ({ params }, request) => {
    const site = await ownSite(db, makerOf(request).id, params.site);
    if (!(await dropFormerAddress(db, site.id, params.address))) throw notFound('This address');
    await open.forget([site.id]);
    return { addresses: await formerAddressesOf(db, site.id) };
  });

  handle(app, renewLink, async ({ params }, request) => {
    const site = await ownSite(db, makerOf(request).id, params.site);
    if (!(await renewKey(db, site.id, params.thing))) throw notFound('This link');
    await open.forget([site.id]);
    return liveStatement(db, site, await loadDraft(db, site));
  });
}
