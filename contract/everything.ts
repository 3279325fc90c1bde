import { z } from 'zod';
import { attachmentSchema } from '#core/comments/attachment.ts';
import { framingSchema } from '#core/embed/framing.ts';
import { handInTermsSchema } from '#core/hand-ins/hand-in.ts';
import { materialSchema } from '#core/materials/material.ts';
import { messageSchema } from '#core/messages/message.ts';
import { pageSchema } from '#core/pages/page.ts';
import { setTimeTermsSchema } from '#core/release/set-time.ts';
import { siteSchema } from '#core/sites/site.ts';
import { classEntrySchema, groupSchema } from './groups.ts';
import { ofClassSchema } from './hand-ins.ts';
import { receivedCommentSchema } from './comments.ts';
import { secondLookSchema } from './second-looks.ts';
import { passSchema } from './passes.ts';

const instant = z.iso.datetime();
const draft = { site: siteSchema, pages: z.array(pageSchema) };

const siteWithAll = z.object({
  /** As it is now, with what readers do not have yet. */
  ...draft,
  /** Addresses it had before. */
  formerAddresses: z.array(z.string()),
  /** The unguessable part of the link of the site, and of each page that has one. */
  /** In the server's list, counted, and shown inside other pages. */
  listed: z.boolean(),
  countsVisits: z.boolean(),
  framing: framingSchema,
  links: z.array(z.object({ thing: z.string(), path: z.string() })),
  passes: z.array(passSchema),
  handIns: z.array(
    handInTermsSchema.extend({ handedInAt: instant.nullable(), ofClass: ofClassSchema.nullable() }),
  ),
  setTimes: z.array(setTimeTermsSchema.extend({ doneAt: instant.nullable() })),
  comments: z.array(
    receivedCommentSchema.omit({ site: true, blocked: true, deleted: true, attachments: true }).extend({
      /** Each with where it lies in this ZIP. */
      attachments: z.array(attachmentSchema.extend({ file: z.string() })),
    }),
  ),
  secondLooks: z.array(secondLookSchema),
  messages: z.array(messageSchema.extend({ at: instant, page: z.string() })),
  releases: z.array(
    z.object({
      number: z.number().int(),
      name: z.string(),
      at: instant,
      live: z.boolean(),
      /** Where in the ZIP it lies, as it was. */
      file: z.string(),
    }),
  ),
});

/** `everything.json` of the ZIP in which a maker takes along all they have here. */
export const everythingSchema = z.object({
  account: z.object({ name: z.string(), email: z.string(), since: instant }),
  sites: z.array(siteWithAll),
  /** People they know by names, with what was asked of those who joined and what was written to them. */
  groups: z.array(
    groupSchema.extend({
      entries: z.array(classEntrySchema.omit({ link: true, pages: true })),
    }),
  ),
  materials: z.array(
    z.object({
      material: materialSchema,
      /** Where in the ZIP its original lies; null of one that has no file. */
      file: z.string().nullable(),
    }),
  ),
});
export type Everything = z.infer<typeof everythingSchema>;

/** One release as its file in the ZIP has it. */
export const releaseFileSchema = z.object({ ...draft, materials: z.array(materialSchema) });

/** What describes a file of the ZIP: JSON Schema, draft 2020-12. */
export const jsonSchemaOf = (schema: z.ZodType): object =>
  z.toJSONSchema(schema, { unrepresentable: 'any', io: 'input', reused: 'ref' });
