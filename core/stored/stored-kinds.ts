import { type Material, materialSchema } from '../materials/material.ts';
import { mine } from '../credits/provenance.ts';
import { type Arrangement, arrangementSchema, firstArrangement } from '../sites/arrangement.ts';
import { type Site, siteSchema } from '../sites/site.ts';
import { asTheThemeComes, type Look, lookSchema } from '../look/look.ts';
import { isShown, type Page, pageOfCheckedPartsSchema } from '../pages/page.ts';
import { emptyContents } from '../pages/page-contents.ts';
import type { PageKind } from '../pages/page-kinds.ts';
import { type Manifest, manifestSchema } from '../release/manifest.ts';
import { type ManifestDifference, manifestDifferenceSchema } from '../release/manifest-difference.ts';
import { type Part, partSchema } from '../parts/parts.ts';
import { fromStored, stored, type StoredKind } from './stored-json.ts';

/**
 * Before versions were written down, things had the fields of version 1, some that their kind has no more, and in the
 * record of edits not yet those that came last.
 */
const filledIn =
  (missing: (kept: Record<string, unknown>) => object): StoredKind<object>['upgrades'][number] =>
  (kept) => ({ ...missing(kept), ...kept });
const asItWas = filledIn(() => ({}));

/** Its look was the name of its theme once. */
const themeToLook: StoredKind<object>['upgrades'][number] = ({ theme, ...site }) => ({
  look: { theme },
  ...site,
});

/** A look was once no more than a theme. */
const plain = filledIn(() => asTheThemeComes);
const plainLook: StoredKind<object>['upgrades'][number] = ({ look, ...site }) => ({
  ...site,
  look: { ...asTheThemeComes, ...(look as object) },
});

/** Before a site could be arranged, and before there was as much to arrange as there is. */
const unarranged = filledIn(() => firstArrangement);

const isMailAddress = (contact: unknown): boolean =>
  typeof contact === 'string' && contact.includes('@') && !contact.includes('://');
/** An e-mail address once stood at the end of every page. Now there is a form, and the address is its maker's alone. */
const noMailAddress: StoredKind<object>['upgrades'][number] = (site) => ({
  ...site,
  ...(isMailAddress(site['contact']) && { contact: 'form' }),
});
/** And in a part. */
const noMailInPart: StoredKind<object>['upgrades'][number] = ({ email, ...part }) =>
  part['kind'] === 'contact' ? { form: Boolean(email), card: false, ...part } : part;

export const storedSite: StoredKind<Site> = {
  schema: siteSchema,
  upgrades: [
    asItWas,
    themeToLook,
    unarranged,
    unarranged,
    plainLook,
    unarranged,
    unarranged,
    noMailAddress,
    unarranged,
    unarranged,
    unarranged,
  ],
};
/** What of a site says how it is arranged, as its row keeps it. */
export const storedArrangement: StoredKind<Arrangement> = {
  schema: arrangementSchema,
  upgrades: [
    unarranged,
    unarranged,
    unarranged,
    unarranged,
    noMailAddress,
    unarranged,
    unarranged,
    unarranged,
  ],
};
export const storedLook: StoredKind<Look> = { schema: lookSchema, upgrades: [asItWas, plain] };
export const storedMaterial: StoredKind<Material> = {
  schema: materialSchema,
  upgrades: [filledIn(() => ({ tags: [], provenance: mine, transcript: '', shownBy: null }))],
};
export const storedManifest: StoredKind<Manifest> = { schema: manifestSchema, upgrades: [asItWas] };
/** A manifest told by what it has otherwise than that of another release. */
export const storedManifestDifference: StoredKind<ManifestDifference> = {
  schema: manifestDifferenceSchema,
  upgrades: [asItWas],
};
export const storedPart: StoredKind<Part> = { schema: partSchema, upgrades: [asItWas, noMailInPart] };
/** A page without its parts, which are kept each with the version of its own shape. */
export const storedPage: StoredKind<Page> = {
  schema: pageOfCheckedPartsSchema,
  upgrades: [
    filledIn(({ kind }) => ({ archived: false, ...emptyContents[kind as PageKind] })),
    filledIn(() => ({ inMenu: null })),
    filledIn(() => ({ language: null })),
  ],
};

/** As a page is kept where all of it is in one place. */
export const pageToStored = (page: Page): object => ({
  ...stored(storedPage, page),
  ...(isShown(page) && { parts: page.parts.map((part) => stored(storedPart, part)) }),
});

/**
 * Reads a page that was kept in one place by some version.
 *
 * @throws Unreadable see `fromStored`
 */
export function pageFromStored(kept: unknown): Page {
  const { parts } = kept as { parts?: unknown[] };
  return fromStored(storedPage, {
    ...(kept as object),
    ...(parts && { parts: parts.map((part) => fromStored(storedPart, part)) }),
  });
}
