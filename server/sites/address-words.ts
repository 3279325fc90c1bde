import type { AddressWords } from '#core/sites/suggest-addresses.ts';
import { shownOn } from '#core/pages/page.ts';
import type { Database } from '../db/connect.ts';
import { readPages } from '../db/rows/page-row.ts';

/** What addresses for a site can be made of: whose it is, what they do by their headline, and the year. */
export async function addressWords(
  db: Database,
  site: { id: string; by: string },
  now: Date,
): Promise<Required<AddressWords>> {
  const parts = (await readPages(db, site.id)).flatMap(({ row }) => shownOn(row).parts);
  const headline = parts.find((part) => part.kind === 'headline');
  return { name: site.by, field: headline?.text ?? '', year: now.getUTCFullYear() };
}
