import type { FastifyInstance, FastifyReply, FastifyRequest } from 'fastify';
import type { AttachmentFault } from '#core/comments/attachment.ts';
import { quotedFrom, standsIn } from '#core/comments/quote.ts';
import { markOf } from '#core/comments/mark.ts';
import { nothingTyped, typedComment } from '#core/comments/typed-comment.ts';
import { idSchema } from '#core/id.ts';
import type { ManifestFile } from '#core/release/manifest.ts';
import { wordsFor } from '#core/public-words/words-for.ts';
import { commentField, type CommentForm, type NotAttached, tokenField } from '#site/comments/comment-form.ts';
import { languageOf } from '#site/comments/with-comments.tsx';
import { trapField } from '#site/messages/write-form.tsx';
import type { Database } from '../db/connect.ts';
import { newId } from '../db/new-id.ts';
import { formField } from '../http/form-field.ts';
import { limited } from '../http/limited.ts';
import type { BlobStore } from '../media/blob-store.ts';
import { pageAt } from '../serve/page-at.ts';
import type { Entrance } from '../serve/public-sites.ts';
import { sendWrittenPage } from '../serve/send-written-page.ts';
import type { attaching } from './attaching.ts';
import { nameOf, takeIn } from './comment-rows.ts';
import { materialsOf, picturesOn } from './pictures-on.ts';
import { placesOn, wordsOnPage } from './places-on.ts';
import { pointingStep } from './pointing-step.ts';
import type { SiteComments } from './site-comments.ts';
import { newWriterToken, writerCookie, writerKeptS, writerOf } from './writer.ts';

/** In an hour: sent with one pass from one place, which may be a whole class behind one address; with one pass at all. */
const limits = { fromPlace: 60, withPass: 300 } as const;

const faultStatus: Readonly<Record<AttachmentFault, number>> = {
  ...{ none: 422, large: 413, kind: 415, broken: 422, many: 409, full: 507, often: 429 },
};

interface CommentingDeps {
  db: Database;
  blobs: BlobStore;
  comments: SiteComments;
  /** Takes files to comments. */
  attach: Awaited<ReturnType<typeof attaching>>;
  /** Told when something came in, so that whoever wrote it finds it. */
  changed: (site: string) => Promise<void>;
  /** Told behind whoever wrote it, for its maker. */
  onComment: (site: string) => Promise<void>;
  secureCookies: boolean;
  /** This server sends mail: whoever comments can be told of an answer. */
  mails: boolean;
  now: () => Date;
}

/** A page below a pass. */
export interface PassPage {
  entrance: Entrance;
  pass: string;
  mayComment: boolean;
  /** What its maker would like to hear. */
  asks: string;
  base: string;
  path: string;
}

/** Reading and writing comments behind the door of a pass. */
export interface Commenting {
  /** What a page says to whoever asks. */
  reads(request: FastifyRequest, at: PassPage): NonNullable<Entrance['said']>;
  /**
   * Takes what was sent, and answers. @returns false where it is no comment, or none can be made there; a reply is none to wait for
   */
  writes(request: FastifyRequest, reply: FastifyReply, at: PassPage): Promise<boolean>;
  /** Takes a file to a comment of whoever sends it, and answers. @returns false where there is none, or none can be taken there */
  attaches(request: FastifyRequest, reply: FastifyReply, at: PassPage): Promise<boolean>;
}

type Page = ManifestFile & { page: string };
const withId = (file: ManifestFile): Page | null =>
  file.page === undefined ? null : { ...file, page: file.page };
const openedPage = ({ entrance: { tree, kept }, path }: PassPage): Page | null => {
  const file = kept ? null : pageAt(tree, path);
  return file && withId(file);
};

/**
 * Comments by holders of a pass: without an account, by a name they choose, without script. They are sent to the page they are about,
 * so whoever cannot open it now cannot say anything of it.
 *
 * @param app with the packages of limits, cookies and forms registered
 */
export function commenting(
  app: FastifyInstance,
  { db, blobs, comments, attach, changed, onComment, secureCookies, mails, now }: CommentingDeps,
): Commenting {
  const cookie = writerCookie(secureCookies);
  const mayFromPlace = limited(app, limits.fromPlace);
  const mayWithPass = limited(app, limits.withPass);

  async function show(
    request: FastifyRequest,
    reply: FastifyReply,
    at: PassPage,
    page: Page,
    status: number,
    form: CommentForm | null,
    notAttached: NotAttached | null = null,
  ): Promise<boolean> {
    const { entrance, pass } = at;
    const writer = writerOf(request.cookies[cookie], pass);
    const { site, tree } = entrance;
    const html = await comments.onPage(
      { site, tree, file: page, reader: { pass, writer } },
      form,
      notAttached,
    );
    if (html === null) return false;
    void sendWrittenPage(reply, status, page, html);
    return true;
  }

  async function emptyForm(at: PassPage, writer: string | null): Promise<CommentForm> {
    const name = writer === null ? '' : await nameOf(db, at.entrance.site, writer);
    return {
      ...{ typed: { ...nothingTyped, name }, faults: {}, problem: null, pointing: false },
      ...{ token: newId(), asks: at.asks, mails },
    };
  }

  return {
    async attaches(request, reply, at) {
      const page = openedPage(at);
      const writer = writerOf(request.cookies[cookie], at.pass);
      const { site } = at.entrance;
      const may = page !== null && at.mayComment && writer !== null;
      const { comment, attached } = await attach(request, (id) =>
        may ? { id, site, page: page.page, pass: at.pass, writer } : null,
      );
      if (attached === 'gone' || comment === null || page === null) return false;
      if (attached !== 'there')
        return show(request, reply, at, page, faultStatus[attached], await emptyForm(at, writer), {
          ...{ comment, fault: attached },
        });
      await changed(site);
      void reply.header('cache-control', 'no-store').redirect(`${at.base}${at.path}#comment-${comment}`, 303);
      return true;
    },

    reads: (request, at) => async (file) => {
      const page = withId(file);
      if (!page) return null;
      const writer = writerOf(request.cookies[cookie], at.pass);
      const form = at.mayComment ? await emptyForm(at, writer) : null;
      const { site, tree } = at.entrance;
      const opened = { site, tree, file: page, reader: { pass: at.pass, writer } };
      return comments.onPage(opened, form);
    },

    async writes(request, reply, at) {
      const fields = request.body;
      if (formField(fields, commentField) === '') return false;
      const page = openedPage(at);
      if (!page || !at.mayComment) return false;
      const { site } = at.entrance;
      const html = (await blobs.read(page.hash)).toString();
      const onPage = wordsOnPage(page.hash, html);
      const { typed, faults } = typedComment(fields, (quote) => standsIn(quote, onPage));
      const words = wordsFor(languageOf(html)).comments;
      const token = idSchema.safeParse(formField(fields, tokenField)).data ?? newId();
      const form: CommentForm = {
        typed,
        faults,
        problem: null,
        pointing: false,
        token,
        asks: at.asks,
        mails,
      };
      const again = (status: number, problem: string | null = null) =>
        show(request, reply, at, page, status, { ...form, problem });
      const pictures = picturesOn(at.entrance.tree, page, html);
      const step = pointingStep(fields, typed, pictures);
      if (step) return show(request, reply, at, page, 200, { ...form, ...step, faults: {} });
      if (!(await mayFromPlace(request, `${at.pass} comments from ${request.ip}`)))
        return again(429, words.tooMany);
      if (!(await mayWithPass(request, `${at.pass} comments`))) return again(429, words.tooMany);
      if (formField(fields, trapField) !== '') return again(422, wordsFor(languageOf(html)).write.trapped);
      if (Object.keys(faults).length > 0) return again(422);
      // What stood there when it was begun and is gone now: what is said is not lost, it is of the page.
      const places = placesOn(page.hash, html);
      const picture = pictures.find(({ file }) => file === typed.picture);
      const [material] = picture ? materialsOf(at.entrance.tree, picture.file) : [];
      // What is quoted says best where it stands, then a picture.
      const place =
        typed.quote === ''
          ? places.find(({ part }) => part === (picture ? picture.part : typed.part))
          : quotedFrom(typed.quote, places, typed.part);
      const known = request.cookies[cookie];
      const device = known !== undefined && writerOf(known, at.pass) !== null ? known : newWriterToken();
      const taken = await takeIn(db, {
        ...{ id: token, site, pass: at.pass, page: page.page, part: place?.part ?? null },
        ...{ writer: writerOf(device, at.pass) ?? '', name: typed.name, words: typed.words },
        ...{ quote: typed.quote, about: place?.title ?? picture?.alt ?? '', at: now() },
        mailTo: mails && typed.to !== '' ? typed.to : null,
        picture:
          picture && material !== undefined
            ? {
                ...{ material, file: picture.file, widthPx: picture.widthPx, heightPx: picture.heightPx },
                mark: markOf(typed.extent, typed.point),
              }
            : null,
      });
      if (taken !== 'there') return again(507, words[taken]);
      await changed(site);
      await onComment(site);
      void reply
        .setCookie(cookie, device, {
          ...{ path: at.base, httpOnly: true, sameSite: 'lax', secure: secureCookies, maxAge: writerKeptS },
        })
        .header('cache-control', 'no-store')
        .redirect(`${at.base}${at.path}#comment-${token}`, 303);
      return true;
    },
  };
}
