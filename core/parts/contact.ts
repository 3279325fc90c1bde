import { z } from 'zod';
import { line } from '../words/line.ts';
import { partBase } from './part-base.ts';
import { allBlank, holdsNothing, partRules, showsNoMaterial } from './part-rules.ts';
import { webAddress } from './web-address.ts';

export const contactSchema = partBase.extend({
  kind: z.literal('contact'),
  words: line(600).default(''),
  /** Readers can write to the maker in place. Their address stands nowhere. */
  form: z.boolean().default(false),
  link: webAddress.default(''),
  /** Readers can keep who the maker is as a vCard, with what they may know of it and no address to write to. */
  card: z.boolean().default(false),
});
type Contact = z.infer<typeof contactSchema>;

export const contact = partRules<typeof contactSchema, Pick<Contact, 'words' | 'form' | 'link' | 'card'>>({
  ...showsNoMaterial,
  ...holdsNothing,
  schema: contactSchema,
  noun: 'contact',
  mostUnderAge: () => 'invited',
  start: () => ({ words: '', form: false, link: '', card: false }),
  isEmpty: ({ words, form, link, card }) => !form && !card && allBlank(words, link),
  seen: ({ words, form, link, card }) => ({ words, form, link, card }),
  changed: () => 'contact changed',
});
