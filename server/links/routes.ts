import type { FastifyInstance, FastifyRequest } from 'fastify';
import {
  addLink as addLinkRoute,
  addNote as addNoteRoute,
  addPictureFromWeb as addPictureFromWebRoute,
  readLinkAgain as readLinkAgainRoute,
} from '#contract/links-and-notes.ts';
import { makerOf } from '../accounts/sessions.ts';
import { handle } from '../http/handle.ts';
import type { ImportDeps } from '../media/import-material.ts';
import { ownSite } from '../sites/load-draft.ts';
import { patchAfter } from '../sites/site-state.ts';
import { addLink, readLinkAgain } from './link-material.ts';
import { addNote } from './note-material.ts';
import { addPictureFromWeb } from './picture-from-web.ts';
import type { LinkDeps } from './read-link.ts';

const originOf = (request: FastifyRequest): string => `${request.protocol}://${request.host}`;
/** This server fetches pages for its makers, and for nobody's harm. */
const slowly = { config: { rateLimit: { max: 60, timeWindow: '1 minute' } } };

/** What is gathered without a file: links and notes. */
export function linkRoutes(app: FastifyInstance, deps: LinkDeps & ImportDeps): void {
  const { db } = deps;
  handle(
    app,
    addLinkRoute,
    async ({ params, body }, request) => {
      const scope = { site: params.site, account: makerOf(request).id };
      await ownSite(db, scope.account, scope.site);
      const { result, material, duplicate } = await addLink(deps, scope, body.url, originOf(request));
      return { ...(await patchAfter(db, scope, result)), material, duplicate };
    },
    slowly,
  );

  handle(
    app,
    readLinkAgainRoute,
    async ({ params }, request) => {
      const scope = { site: params.site, account: makerOf(request).id };
      await ownSite(db, scope.account, scope.site);
      return patchAfter(db, scope, await readLinkAgain(deps, scope, params.material, originOf(request)));
    },
    slowly,
  );

  handle(
    app,
    addPictureFromWebRoute,
    async ({ params, body }, request) => {
      const scope = { site: params.site, account: makerOf(request).id };
      await ownSite(db, scope.account, scope.site);
      const { result, material, duplicate } = await addPictureFromWeb(deps, scope, body);
      return { ...(await patchAfter(db, scope, result)), material, duplicate };
    },
    slowly,
  );

  handle(app, addNoteRoute, async ({ params, body }, request) => {
    const scope = { site: params.site, account: makerOf(request).id };
    await ownSite(db, scope.account, scope.site);
    const { result, material } = await addNote(deps, scope, body.text, body.writtenOn);
    return { ...(await patchAfter(db, scope, result)), material, duplicate: false };
  });
}
