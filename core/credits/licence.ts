/**
 * Under which terms somebody else's work may be shown. The Creative Commons family by its SPDX identifiers; the rest are
 * states of affairs that have no identifier there.
 */
export const licences = [
  'CC-BY-4.0',
  'CC-BY-SA-4.0',
  'CC-BY-ND-4.0',
  'CC-BY-NC-4.0',
  'CC-BY-NC-SA-4.0',
  'CC-BY-NC-ND-4.0',
  'CC-BY-3.0',
  'CC-BY-SA-3.0',
  'CC-BY-ND-3.0',
  'CC-BY-NC-3.0',
  'CC-BY-NC-SA-3.0',
  'CC-BY-NC-ND-3.0',
  'CC-BY-2.0',
  'CC-BY-SA-2.0',
  'CC-BY-ND-2.0',
  'CC-BY-NC-2.0',
  'CC-BY-NC-SA-2.0',
  'CC-BY-NC-ND-2.0',
  'CC0-1.0',
  'public-domain',
  'permission-given',
  'all-rights-reserved',
] as const;
export type Licence = (typeof licences)[number];

/** Where the text of a licence stands, or null for one that has none of its own. */
export function licenceUrl(licence: Licence): string | null {
  if (licence === 'CC0-1.0') return 'https://creativecommons.org/publicdomain/zero/1.0/';
  const parts = /^CC-(.+)-([\d.]+)$/.exec(licence);
  return parts ? `https://creativecommons.org/licenses/${parts[1]?.toLowerCase()}/${parts[2]}/` : null;
}
