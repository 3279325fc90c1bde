import { z } from 'zod';
import { classTermsSchema, groupListSchema, groupTermsSchema } from '#core/groups/group.ts';
import { levelSchema, mostLetterWords, returnedSchema } from '#core/groups/given-back.ts';
import { idSchema } from '#core/id.ts';
import { nothing } from './at-site.ts';
import { route } from './route.ts';

const instant = z.iso.datetime();

/** The class page of a group, as whoever leads it has it. */
const classPageSchema = classTermsSchema.extend({
  dueAt: instant.nullable(),
  /** Path of the link by which people join; null where the server cannot tell it any more, and only a new one helps. */
  link: z.string().nullable(),
  /** Nobody can join any more, and what was shared with it is closed. */
  endedAt: instant.nullable(),
  joined: z.number().int(),
  handedIn: z.number().int(),
});

export const groupSchema = groupTermsSchema.extend({
  id: idSchema,
  /** Counts up with each change, so that two windows do not write over each other. */
  revision: z.number().int(),
  classPage: classPageSchema.nullable(),
});
export type Group = z.infer<typeof groupSchema>;

const groupsSchema = z.object({ groups: z.array(groupSchema) });
export type Groups = z.infer<typeof groupsSchema>;
const atGroup = z.object({ group: idSchema });

export const listGroups = route({
  method: 'GET',
  path: '/api/groups',
  params: nothing,
  body: nothing,
  reply: groupsSchema,
});

/** @throws 409 where an account has as many as it can have */
export const makeGroup = route({
  method: 'POST',
  path: '/api/groups',
  params: nothing,
  body: groupTermsSchema,
  reply: groupsSchema.extend({ made: idSchema }),
});

/** @throws 409 where it was changed meanwhile in another window */
export const changeGroup = route({
  method: 'PATCH',
  path: '/api/groups/:group',
  params: atGroup,
  body: z.object({ seen: z.number().int(), terms: groupTermsSchema }),
  reply: groupsSchema,
});

/** Takes a group away, and closes its class page to those who would join; what was shared with it stays as it is. */
export const removeGroup = route({
  method: 'DELETE',
  path: '/api/groups/:group',
  params: atGroup,
  body: nothing,
  reply: groupsSchema,
});

/** Brings back a group that was taken away less than 30 days ago. */
export const restoreGroup = route({
  method: 'POST',
  path: '/api/groups/:group/restore',
  params: atGroup,
  body: nothing,
  reply: groupsSchema,
});

/** Opens the class page of a group, or changes what it says. */
export const openClass = route({
  method: 'PUT',
  path: '/api/groups/:group/class',
  params: atGroup,
  body: classTermsSchema,
  reply: groupsSchema,
});

/** Gives a class page another link to join by; nobody joins by the one before from then on. */
export const renewClass = route({
  method: 'POST',
  path: '/api/groups/:group/class/renew',
  params: atGroup,
  body: nothing,
  reply: groupsSchema,
});

/** A letter as it was given back. */
export const givenBackSchema = z.object({
  lines: z.array(
    z.object({ id: idSchema, text: z.string(), level: levelSchema.nullable(), words: z.string() }),
  ),
  words: z.string().max(mostLetterWords),
  at: instant,
});
export type GivenBack = z.infer<typeof givenBackSchema>;

/** What a class asks one who joined, and whether they said that it is done. */
export const askedOfOneSchema = z.object({ words: z.string(), at: instant, done: z.boolean() });
export type AskedOfOne = z.infer<typeof askedOfOneSchema>;

/** Somebody who joined a class page, as whoever leads it has them: what they chose to tell, and nothing of their site besides. */
export const classEntrySchema = z.object({
  id: idSchema,
  /** The name they go by here. */
  name: z.string(),
  joinedAt: instant,
  handedAt: instant.nullable(),
  /** Path of the class's own link to the site; null before it is handed in, and once its sharing is over. */
  link: z.string().nullable(),
  /** How many pages that opens now; 0 where there is no link. */
  pages: z.number().int(),
  /** Lines of the class's list that they say are done; null where they said nothing, or have not handed in. */
  ticked: z.array(idSchema).nullable(),
  endedAt: instant.nullable(),
  asked: askedOfOneSchema.nullable(),
  /** What is being written to them, and seen by nobody else. */
  writing: returnedSchema,
  givenBack: givenBackSchema.nullable(),
});
export type ClassEntry = z.infer<typeof classEntrySchema>;

const classSchema = z.object({ group: groupSchema, entries: z.array(classEntrySchema) });
export type ClassPage = z.infer<typeof classSchema>;

/** Who joined a class page, and how they stand. */
export const getClass = route({
  method: 'GET',
  path: '/api/groups/:group/class',
  params: atGroup,
  body: nothing,
  reply: classSchema,
});

/** Ends a class page: nobody joins any more, and every pass that was made for it is switched off. No other link is touched. */
export const endClass = route({
  method: 'POST',
  path: '/api/groups/:group/class/end',
  params: atGroup,
  body: nothing,
  reply: classSchema,
});

const atEntry = atGroup.extend({ entry: idSchema });
export const mostAskedOfOne = 500;

/** Asks one who joined for something. It is a word and no more: whoever leads a class cannot open anything. */
export const askOne = route({
  method: 'POST',
  path: '/api/groups/:group/class/:entry/ask',
  params: atEntry,
  body: z.object({
    words: z
      .string()
      .trim()
      .min(1, 'Say what you ask for.')
      .max(mostAskedOfOne, `What you ask for can be at most ${mostAskedOfOne} characters long.`),
  }),
  reply: classSchema,
});

/** Ends the sharing of one site with the class: the pass made for it is switched off. */
export const endEntry = route({
  method: 'POST',
  path: '/api/groups/:group/class/:entry/end',
  params: atEntry,
  body: nothing,
  reply: classSchema,
});

/** Keeps what is being written to one who joined; or gives it back, as one letter. */
export const writeBack = route({
  method: 'PUT',
  path: '/api/groups/:group/class/:entry/letter',
  params: atEntry,
  body: z.object({ returned: returnedSchema, give: z.boolean() }),
  reply: classSchema,
});

/** A class page as somebody has it who may join it. */
export const classToJoinSchema = classTermsSchema.extend({
  name: z.string(),
  dueAt: instant.nullable(),
  list: groupListSchema.nullable(),
  /** Sites of whoever asks that have joined it. */
  joined: z.array(idSchema),
});
export type ClassToJoin = z.infer<typeof classToJoinSchema>;

/** What the key of a link to join looks like. */
export const classKeySchema = z.string().regex(/^[\w-]{22}$/, 'This is not a whole link. Ask for it again.');

/** @throws 404 of any link by which nobody joins, the same of all of them */
export const lookAtClass = route({
  method: 'GET',
  path: '/api/classes/:key',
  params: z.object({ key: z.string().max(80) }),
  body: nothing,
  reply: classToJoinSchema,
});
