import ICAL from 'ical.js';
import type { SiteView } from '../access/seen-by.ts';
import type { SeenPart } from '../parts/parts.ts';

/**
 * Who the maker is, as a vCard (RFC 6350, version 4.0), of exactly what a viewer may see of them: their name, what they say below it,
 * where they are, languages and links. It has no address to write to: that is what the form is for.
 *
 * @param base where the site stands on the web, if everybody may know
 * @returns the card's text, lines folded and ended as the standard asks; null where no part of the view offers one
 */
export function contactCard(view: SiteView, base: string | null): string | null {
  const parts = view.pages.flatMap((page) => page.parts);
  if (!parts.some((part) => part.kind === 'contact' && part.card)) return null;
  const first = <K extends SeenPart['kind']>(kind: K) =>
    parts.find((part): part is Extract<SeenPart, { kind: K }> => part.kind === kind);
  const card = new ICAL.Component('vcard');
  const called = view.site.by || view.site.title;
  const whole = first('full-name')?.text;
  card.addPropertyWithValue('version', '4.0');
  card.addPropertyWithValue('kind', 'individual');
  card.addPropertyWithValue('fn', whole ?? called);
  if (whole && whole !== called) card.addPropertyWithValue('nickname', called);
  const headline = first('headline')?.text;
  if (headline) card.addPropertyWithValue('title', headline);
  const place = first('place')?.text;
  if (place)
    // Post office box, extended address, street, locality, region, code, country: one line says where, so it is the locality.
    card.addPropertyWithValue('adr', ['', '', '', place, '', '', '']);
  for (const { language } of first('languages')?.list ?? []) card.addPropertyWithValue('lang', language);
  const links = (first('profiles')?.list ?? []).map(({ to }) => to);
  // The package writes a comma of an address as that of a text, which readers then take for a part of the address.
  for (const to of [...(base ? [base] : []), ...links])
    card.addPropertyWithValue('url', to.replaceAll(',', '%2C'));
  return `${card.toString()}\r\n`;
}
