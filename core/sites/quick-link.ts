import { z } from 'zod';
import { idSchema } from '../id.ts';
import { line } from '../words/line.ts';
import { webAddress } from '../parts/web-address.ts';

/** A link that is kept with the site and stands on many of its pages; changed once, it is right on all of them. */
export const quickLinkSchema = z.object({
  id: idSchema,
  name: line(80),
  /** Where it leads; empty while its maker has not said. */
  to: webAddress,
  newWindow: z.boolean(),
  /** It stands at the end of the menu. */
  inMenu: z.boolean(),
  /** At the end of which pages it stands. */
  atEnd: z.enum(['none', 'every', 'chosen']),
  /** Where it stands at the end of chosen pages, these. */
  pages: z.array(idSchema).max(5000),
});
export type QuickLink = z.infer<typeof quickLinkSchema>;

/** Whether readers can follow it at all. */
const leadsSomewhere = ({ name, to }: QuickLink): boolean => name.trim() !== '' && to !== '';

/** Whether readers get it on any page. */
export const stands = (link: QuickLink): boolean =>
  leadsSomewhere(link) &&
  (link.inMenu || link.atEnd === 'every' || (link.atEnd === 'chosen' && link.pages.length > 0));

/** Those that stand in the menu. */
export const quickLinksInMenu = (links: readonly QuickLink[]): QuickLink[] =>
  links.filter((link) => link.inMenu && leadsSomewhere(link));

/** Those that stand at the end of a page. */
export const quickLinksAtEnd = (links: readonly QuickLink[], page: string): QuickLink[] =>
  links.filter(
    (link) =>
      leadsSomewhere(link) &&
      (link.atEnd === 'every' || (link.atEnd === 'chosen' && link.pages.includes(page))),
  );
