import { z } from 'zod';
import { mostLines } from '#core/check/lists/checklist.ts';
import { groupListSchema } from '#core/groups/group.ts';
import { handInTermsSchema } from '#core/hand-ins/hand-in.ts';
import { idSchema } from '#core/id.ts';
import { findingSchema } from '#core/outsider/outsider-test.ts';
import { passTermsSchema } from '#core/passes/pass.ts';
import { line } from '#core/words/line.ts';
import { atSite, nothing } from './at-site.ts';
import { askedOfOneSchema, classKeySchema, givenBackSchema } from './groups.ts';
import { route } from './route.ts';

/** The class that something is handed in to, as its maker has it. */
export const ofClassSchema = z.object({
  name: z.string(),
  by: z.string(),
  /** What it asks of everybody who joins; empty where it says nothing, or is gone. */
  words: z.string(),
  /** The name its maker goes by there. */
  as: z.string(),
  /** What the class looks at; null where it has no list, or is gone. */
  list: groupListSchema.nullable(),
  /** Lines its maker told that they are done; null: they told nothing. */
  ticked: z.array(idSchema).nullable(),
  asked: askedOfOneSchema.nullable(),
  givenBack: givenBackSchema.nullable(),
  /** When whoever leads the class ended its sharing; null: it goes on. */
  endedAt: z.iso.datetime().nullable(),
});
export type OfClass = z.output<typeof ofClassSchema>;

/** A hand-in as its maker has it. */
export const handInSchema = handInTermsSchema.extend({
  id: idSchema,
  dueAt: z.iso.datetime().nullable(),
  handedAt: z.iso.datetime().nullable(),
  /** Number of the release that was live when it was handed in. */
  release: z.number().int().nullable(),
  /** Path of the link that its readers have; null where it leads nowhere any more. */
  link: z.string().nullable(),
  /** What is wrong with it now, each in a sentence. */
  warnings: z.array(z.string()),
  ofClass: ofClassSchema.nullable(),
});
export type HandIn = z.output<typeof handInSchema>;

const handInsSchema = z.object({ handIns: z.array(handInSchema) });
const atHandIn = atSite.extend({ handIn: idSchema });

export const listHandIns = route({
  method: 'GET',
  path: '/api/sites/:site/hand-ins',
  params: atSite,
  body: nothing,
  reply: handInsSchema,
});

export const makeHandIn = route({
  method: 'POST',
  path: '/api/sites/:site/hand-ins',
  params: atSite,
  body: handInTermsSchema,
  reply: handInsSchema,
});

export const changeHandIn = route({
  method: 'PATCH',
  path: '/api/sites/:site/hand-ins/:handIn',
  params: atHandIn,
  body: handInTermsSchema,
  reply: handInsSchema,
});

export const removeHandIn = route({
  method: 'DELETE',
  path: '/api/sites/:site/hand-ins/:handIn',
  params: atHandIn,
  body: nothing,
  reply: handInsSchema,
});

/**
 * Hands it in: tries its link as an outsider first, and does it only where that opens, or where its maker wants it all the same. From
 * then on it is known what was live, and a pass that is to keep that does.
 */
export const doHandIn = route({
  method: 'POST',
  path: '/api/sites/:site/hand-ins/:handIn/done',
  params: atHandIn,
  body: z.object({ anyway: z.boolean().default(false) }),
  reply: handInsSchema.extend({ done: z.boolean(), findings: z.array(findingSchema) }),
});

/**
 * Joins a class: makes a pass for it, and a hand-in by that pass. Whoever leads the class gets the link once it is handed in.
 *
 * @throws 404 where nobody joins by the key, 409 where the site has joined already
 */
export const joinClass = route({
  method: 'POST',
  path: '/api/sites/:site/classes',
  params: atSite,
  body: z.object({
    key: classKeySchema,
    /** The name its maker goes by in the class. */
    name: line(80).refine((name) => name.trim() !== '', 'Write the name the class knows you by.'),
    opens: passTermsSchema.shape.opens,
    mayComment: z.boolean().default(true),
    keeps: z.boolean().default(false),
  }),
  reply: handInsSchema,
});

/** Tells a class which lines of its list are done, or that what it asked for is. It learns so once it is handed in. */
export const tellClass = route({
  method: 'PUT',
  path: '/api/sites/:site/hand-ins/:handIn/class',
  params: atHandIn,
  body: z.object({
    ticked: z.array(idSchema).max(mostLines).optional(),
    done: z.boolean().optional(),
  }),
  reply: handInsSchema,
});

/** As if it had not been handed in; a pass that kept a release for it opens whatever is live again. */
export const undoHandIn = route({
  method: 'DELETE',
  path: '/api/sites/:site/hand-ins/:handIn/done',
  params: atHandIn,
  body: nothing,
  reply: handInsSchema,
});
