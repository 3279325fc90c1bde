import { z } from 'zod';
import { idSchema } from '../id.ts';

/** A link that a maker gives somebody: the site's address, its link, the link of one page or version, or a pass. */
export const givenLinkSchema = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('address') }),
  z.object({ kind: z.literal('site-link') }),
  z.object({ kind: z.literal('page-link'), thing: idSchema }),
  z.object({ kind: z.literal('pass'), pass: idSchema }),
]);
export type GivenLink = z.output<typeof givenLinkSchema>;

/** A link in a word, for addresses and lists: `pass-a1b2c3`. It holds no key. */
export const givenLinkName = (link: GivenLink): string =>
  link.kind === 'pass' ? `pass-${link.pass}` : link.kind === 'page-link' ? `page-${link.thing}` : link.kind;

/** The link that a word names; fails where it names none. */
export const givenLinkNameSchema = z.string().transform((name, context): GivenLink => {
  const [, kind = '', id = ''] = /^(pass|page)-(.+)$/.exec(name) ?? [];
  const read = givenLinkSchema.safeParse(
    kind === 'pass'
      ? { kind, pass: id }
      : kind === 'page'
        ? { kind: 'page-link', thing: id }
        : { kind: name },
  );
  if (read.success) return read.data;
  context.addIssue({ code: 'custom', message: 'There is no such link.' });
  return z.NEVER;
});
