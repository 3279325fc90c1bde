import { z } from 'zod';
import { contactSheetSchema } from '#core/gallery/contact-sheet.ts';
import { documentContentSchema } from '#core/content/document.ts';
import { heightSchema } from '#core/content/height.ts';
import { idSchema } from '#core/content/id.ts';
import { materialContentSchema, materialSchema } from '#core/content/material.ts';
import { warnings } from '#core/gallery/picture-quality.ts';
import { partialDateSchema } from '#core/content/partial-date.ts';
import { pageContentSchema, pageSchema, rankSchema } from '#core/content/page.ts';
import { starterKeys } from '#core/parts/starter-names.ts';
import { partsChangeSchema } from '#core/parts/parts-change.ts';
import { tagsSchema } from '#core/content/tags.ts';
import { siteContentSchema, siteSchema } from '#core/content/site.ts';
import { shortened } from '#core/words/shortened.ts';
import { route } from './route.ts';
import { webAddressSchema } from './web-address.ts';

const nothing = z.object({}).optional();
const atSite = z.object({ site: idSchema });
const revision = z.number().int().nonnegative();

export const siteSummarySchema = z.object({ id: idSchema, title: z.string() });
export type SiteSummary = z.infer<typeof siteSummarySchema>;

const accessChangeSchema = z.object({ before: heightSchema, after: heightSchema });
export const differenceSchema = z.object({
  kind: z.enum(['added', 'changed', 'removed']),
  page: idSchema.nullable(),
  title: z.string(),
  what: z.array(z.string()),
  opening: z.boolean(),
  parts: z.array(idSchema),
  access: accessChangeSchema.nullable(),
});

export const releaseSummarySchema = z.object({
  number: z.number().int(),
  name: z.string(),
  at: z.string(),
  live: z.boolean(),
});
export type ReleaseSummary = z.infer<typeof releaseSummarySchema>;

/** What readers see now and what waits: the truth behind the top strip. */
export const liveSchema = z.object({
  release: releaseSummarySchema.nullable(),
  /** How high the release readers could open flies now; Private when nothing is open to anybody. */
  readersReach: heightSchema,
  waiting: z.array(differenceSchema),
  /** Paths on this server that work now. */
  addressPath: z.string().nullable(),
  siteLinkPath: z.string().nullable(),
  pageLinkPaths: z.record(z.string(), z.string()),
});
export type Live = z.infer<typeof liveSchema>;

/** A step of undo: what it is called, and which it is. */
const stepSchema = z.object({ label: z.string(), step: revision });
export const historySchema = z.object({ undo: stepSchema.nullable(), redo: stepSchema.nullable() });
export type History = z.infer<typeof historySchema>;

/** Everything the studio holds of one site. */
export const siteStateSchema = z.object({
  revision,
  site: siteSchema,
  pages: z.array(pageSchema),
  materials: z.array(materialSchema),
  history: historySchema,
  live: liveSchema,
  /** How much one maker may keep, and how large one file may be. */
  limits: z.object({ fileBytes: z.number(), totalBytes: z.number() }),
});
export type SiteState = z.infer<typeof siteStateSchema>;

/** What changed after an edit, an undo or a redo; rows that went carry null. */
export const patchSchema = z.object({
  revision,
  site: siteSchema.nullable(),
  pages: z.record(z.string(), pageSchema.nullable()),
  materials: z.record(z.string(), materialSchema.nullable()),
  history: historySchema,
  live: liveSchema,
});
export type Patch = z.infer<typeof patchSchema>;

const joinedPatchSchema = patchSchema.extend({
  /** Changes that somebody else made to the same row came in with it. */
  joined: z.boolean(),
});

/** Name of a step in Undo. It often holds a title, which may be long; that must never keep a change from being saved. */
const labelSchema = z
  .string()
  .min(1)
  .max(2000)
  .transform((label) => shortened(label, 120));

/**
 * A change of some fields, with the revision the maker was looking at. With `was`, it is joined with whatever was changed
 * since, field by field; only where both changed the same to something else is it refused, but for a height that is lowered.
 */
const changeOf = <T extends z.ZodObject>(content: T) =>
  z.object({
    seen: revision,
    /** The name of the step in Undo, for example "Words in Tide clock". */
    label: labelSchema,
    /** Quick successive changes with one key become one step. */
    mergeKey: z.string().max(120).optional(),
    change: content.partial(),
    /** How the changed fields were before: the change is joined with those of others then. */
    was: content.partial().optional(),
    /** Its maker has been asked and wants this one, whatever it was changed to meanwhile. */
    overwrite: z.boolean().optional(),
  });

export const listSites = route({
  method: 'GET',
  path: '/api/sites',
  params: nothing,
  body: nothing,
  reply: z.array(siteSummarySchema),
});
export const createSite = route({
  method: 'POST',
  path: '/api/sites',
  params: nothing,
  body: siteContentSchema.pick({ title: true }),
  reply: siteSummarySchema,
});
export const getSite = route({
  method: 'GET',
  path: '/api/sites/:site',
  params: atSite,
  body: nothing,
  reply: siteStateSchema,
});
export const changeSite = route({
  method: 'PATCH',
  path: '/api/sites/:site',
  params: atSite,
  body: changeOf(siteContentSchema),
  reply: joinedPatchSchema,
});

const atPage = z.object({ site: idSchema, page: idSchema });
export const createProject = route({
  method: 'POST',
  path: '/api/sites/:site/pages',
  params: atSite,
  body: z.object({
    title: z.string().max(160),
    /** Pictures the project starts from: the first becomes the opening, the rest a gallery. */
    materials: z.array(idSchema).max(200),
    /** Another project to start from; title and materials then come from it. */
    copyOf: idSchema.optional(),
    /** An outline to start from; its parts are empty. */
    starter: z.enum(starterKeys).optional(),
  }),
  reply: patchSchema.extend({ page: idSchema }),
});
/** Changes a page: its fields, and its parts one by one. */
export const changePage = route({
  method: 'PATCH',
  path: '/api/sites/:site/pages/:page',
  params: atPage,
  body: changeOf(pageContentSchema.extend({ rank: rankSchema })).extend({
    /** What was done to the parts; instead of all of them in `change`. */
    parts: partsChangeSchema.optional(),
    was: pageContentSchema.omit({ parts: true }).partial().optional(),
  }),
  reply: joinedPatchSchema,
});
/** Takes a part from one page and puts it at the end of another, as one step of undo. */
export const movePart = route({
  method: 'POST',
  path: '/api/sites/:site/pages/:page/parts/:part/move',
  params: atPage.extend({ part: idSchema }),
  body: z.object({
    to: idSchema,
    seen: revision,
    /** The revision seen of the page it goes to. */
    seenThere: revision,
  }),
  reply: patchSchema,
});
/** When readers lose what is deleted: with the next publish, or at once. */
const whenGone = z.enum(['next-publish', 'now']).default('next-publish');
export const deletePage = route({
  method: 'DELETE',
  path: '/api/sites/:site/pages/:page',
  params: atPage,
  body: z.object({ readers: whenGone }).optional(),
  reply: patchSchema,
});

/**
 * Takes things from readers at once, and leaves the draft as it is: what was deleted, and was to be gone with the next
 * publish. The next publish opens them again if they are in it.
 */
export const closeNow = route({
  method: 'POST',
  path: '/api/sites/:site/close',
  params: atSite,
  body: z.object({ things: z.array(idSchema).min(1).max(500) }),
  reply: patchSchema,
});

/** Which of some pages, parts and materials readers can see now, asked before something is deleted. */
export const shownNow = route({
  method: 'POST',
  path: '/api/sites/:site/shown',
  params: atSite,
  body: z.object({ things: z.array(idSchema).min(1).max(500) }),
  reply: z.object({ things: z.array(idSchema) }),
});

const atMaterial = z.object({ site: idSchema, material: idSchema });
export const changeMaterial = route({
  method: 'PATCH',
  path: '/api/sites/:site/materials/:material',
  params: atMaterial,
  body: changeOf(materialContentSchema),
  reply: joinedPatchSchema,
});
/** Several materials at once, as one step of undo. */
export const changeMaterials = route({
  method: 'POST',
  path: '/api/sites/:site/materials/change',
  params: atSite,
  body: z.object({
    materials: z
      .array(z.object({ id: idSchema, seen: revision }))
      .min(1)
      .max(500),
    label: labelSchema,
    change: materialContentSchema.pick({ takenOn: true, provenance: true, project: true }).partial(),
    /** Added to the tags each of them has. */
    addTags: tagsSchema.default([]),
  }),
  reply: patchSchema,
});
/** Look-alikes and quality of a site's pictures; asked again while some are still to be read. */
export const lookAtPictures = route({
  method: 'GET',
  path: '/api/sites/:site/pictures/looked-at',
  params: atSite,
  body: nothing,
  reply: z.object({
    /** Pictures that have not been read yet. */
    unread: z.number().int().nonnegative(),
    groups: z.array(z.array(idSchema)),
    warnings: z.record(z.string(), z.array(z.enum(warnings))),
  }),
});
export type PicturesLookedAt = z.infer<typeof lookAtPictures.reply>;

/** Candidates for a gallery: which look alike, which varied set is proposed, and why. */
export const makeContactSheet = route({
  method: 'POST',
  path: '/api/sites/:site/pictures/contact-sheet',
  params: atSite,
  body: z.object({
    candidates: z.array(idSchema).max(400, 'A contact sheet holds at most 400 pictures.'),
    size: z.number().int().min(1).max(60),
  }),
  reply: contactSheetSchema,
});

/** Materials in whose words, those of their documents included, every word of a query begins some word. */
export const findInWords = route({
  method: 'POST',
  path: '/api/sites/:site/materials/find',
  params: atSite,
  body: z.object({ query: z.string().max(400) }),
  reply: z.object({ materials: z.array(idSchema) }),
});

/** What was read out of a document. */
export const getDocument = route({
  method: 'GET',
  path: '/api/sites/:site/materials/:material/document',
  params: atMaterial,
  body: nothing,
  reply: documentContentSchema,
});

/** Takes the pictures that stand in a document into Gather, as materials of their own. */
export const bringPictures = route({
  method: 'POST',
  path: '/api/sites/:site/materials/:material/pictures',
  params: atMaterial,
  body: nothing,
  reply: patchSchema.extend({
    /** Their materials, by the hash of the picture. */
    pictures: z.record(z.string(), idSchema),
  }),
});

export const deleteMaterials = route({
  method: 'POST',
  path: '/api/sites/:site/materials/delete',
  params: atSite,
  body: z.object({ materials: z.array(idSchema).min(1).max(500), readers: whenGone }),
  reply: patchSchema,
});
/** The reply to an upload; the request itself is the file's bytes. */
export const importReplySchema = patchSchema.extend({ material: idSchema, duplicate: z.boolean() });
export type ImportReply = z.infer<typeof importReplySchema>;

/** Gathers what a web address leads to. */
export const addLink = route({
  method: 'POST',
  path: '/api/sites/:site/links',
  params: atSite,
  body: z.object({ url: webAddressSchema }),
  reply: importReplySchema,
});
/** Gathers a picture that was copied from a web page, with where it came from. */
export const addPictureFromWeb = route({
  method: 'POST',
  path: '/api/sites/:site/pictures/from-web',
  params: atSite,
  body: z.object({ url: webAddressSchema, alt: materialContentSchema.shape.alt }),
  reply: importReplySchema,
});
/** Looks what the page says now. */
export const readLinkAgain = route({
  method: 'POST',
  path: '/api/sites/:site/links/:material/read',
  params: atMaterial,
  body: nothing,
  reply: patchSchema,
});
export const addNote = route({
  method: 'POST',
  path: '/api/sites/:site/notes',
  params: atSite,
  body: z.object({
    text: materialContentSchema.shape.transcript.refine(
      (text) => text.trim() !== '',
      'Write something first; an empty note is not kept.',
    ),
    /** Today, where its maker is. */
    writtenOn: partialDateSchema,
  }),
  reply: importReplySchema,
});

/** Which step back or forth, and what its maker was asked before. */
const wantedStep = z
  .object({
    /** The step their tab names; when another would be taken by now, they are told first. */
    step: revision.optional(),
    /** They know that what was lowered is raised again by it. */
    sure: z.boolean().default(false),
    /** Where that step is stuck, it is to be taken out of the history. */
    takeOut: z.boolean().default(false),
  })
  .optional();
const steppedSchema = patchSchema.extend({ label: z.string(), takenOut: z.boolean() });
export const undoEdit = route({
  method: 'POST',
  path: '/api/sites/:site/undo',
  params: atSite,
  body: wantedStep,
  reply: steppedSchema,
});
export const redoEdit = route({
  method: 'POST',
  path: '/api/sites/:site/redo',
  params: atSite,
  body: wantedStep,
  reply: steppedSchema,
});

export const checkAddress = route({
  method: 'GET',
  path: '/api/sites/:site/addresses/:address',
  params: z.object({ site: idSchema, address: z.string().max(80) }),
  body: nothing,
  reply: z.object({ free: z.boolean(), why: z.string(), alsoFree: z.array(z.string()) }),
});

export const renewLink = route({
  method: 'POST',
  path: '/api/sites/:site/links/:thing/renew',
  params: z.object({ site: idSchema, thing: idSchema }),
  body: nothing,
  reply: liveSchema,
});
