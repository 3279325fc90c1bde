import { z } from 'zod';
import { line } from '../words/line.ts';
import { partBase } from './part-base.ts';
import { allBlank, holdsNothing, partRules, showsNoMaterial } from './part-rules.ts';
import { webAddress } from './web-address.ts';

export const contactSchema = partBase.extend({
  kind: z.literal('contact'),
  words: line(600).default(''),
  email: z.union([z.literal(''), z.email('This is no e-mail address.')]).default(''),
  link: webAddress.default(''),
});
type Contact = z.infer<typeof contactSchema>;

export const contact = partRules<typeof contactSchema, Pick<Contact, 'words' | 'email' | 'link'>>({
  ...showsNoMaterial,
  ...holdsNothing,
  schema: contactSchema,
  noun: 'contact',
  mostUnderAge: () => 'invited',
  start: () => ({ words: '', email: '', link: '' }),
  isEmpty: ({ words, email, link }) => allBlank(words, email, link),
  seen: ({ words, email, link }) => ({ words, email, link }),
  changed: () => 'contact changed',
});
