import { z } from 'zod';
import { seenBy, type SiteView } from '#core/access/seen-by.ts';
import { passViewer } from '#core/passes/pass-viewer.ts';
import { type Manner, readInManner } from '#core/preview/manner.ts';
import type { Draft } from '#core/sites/site.ts';
import type { Database } from '../db/connect.ts';
import { passRow, type PassRow } from '../passes/pass-rows.ts';

/** Who looks: the maker, a stranger, somebody with the site's link, with the link of one page, or with a pass. */
const readerSchema = z.union([
  z.enum(['maker', 'link', 'stranger']),
  z
    .string()
    .regex(/^page-./)
    .transform((text) => ({ page: text.slice('page-'.length) })),
  z
    .string()
    .regex(/^pass-./)
    .transform((text) => ({ pass: text.slice('pass-'.length) })),
]);
type PreviewReader = z.output<typeof readerSchema>;

/** A reader of a preview and the manner in which they get it, from one step of an address. */
export const readerInManner = z
  .string()
  .transform((step, context): { reader: PreviewReader; manner: Manner } => {
    const said = readInManner(step);
    const reader = readerSchema.safeParse(said?.reader);
    if (said && reader.success) return { reader: reader.data, manner: said.manner };
    context.addIssue('This is no reader.');
    return z.NEVER;
  });

/** What a reader of a site's draft would get with the next publish, and the pass they hold; no view where that is nothing. */
export async function previewFor(
  db: Database,
  draft: Draft,
  reader: PreviewReader,
): Promise<{ view: SiteView | null; pass: PassRow | null }> {
  const none = { pass: null };
  if (reader === 'maker') return { ...none, view: seenBy(draft, { kind: 'maker' }) };
  if (reader === 'stranger') return { ...none, view: seenBy(draft, { kind: 'stranger' }) };
  if (reader === 'link') return { ...none, view: seenBy(draft, { kind: 'site-link' }) };
  if ('page' in reader) return { ...none, view: seenBy(draft, { kind: 'page-link', page: reader.page }) };
  const pass = await passRow(db, draft.site.id, reader.pass);
  return { pass, view: pass && seenBy(draft, passViewer(pass)) };
}

/** For whom this is a preview, and that it is not what readers have now. */
export function previewNotice(reader: PreviewReader, pass: PassRow | null): string {
  if (reader === 'maker')
    return 'Your own view of the draft, Private parts too. No reader sees it like this.';
  const who =
    reader === 'stranger'
      ? 'a stranger'
      : reader === 'link'
        ? 'somebody with the link to the site'
        : pass
          ? `whoever holds the pass “${pass.label}”`
          : 'somebody with the link to this page';
  return `Preview: what ${who} gets with your next publish.`;
}
