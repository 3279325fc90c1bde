import { licenceUrl } from './licence.ts';
import { licenceName } from './licence-name.ts';
import { hostOf } from '../links/host-of.ts';
import type { Provenance } from './provenance.ts';
import { en } from '../public-words/en.ts';
import type { PublicWords } from '../public-words/public-words.ts';

/** A piece of a credit; the pieces in their order, joined by their own punctuation, are the whole line. */
export interface CreditPiece {
  text: string;
  kind: 'title' | 'maker' | 'date' | 'source' | 'licence';
  /** Where the words lead, if anywhere. */
  url: string | null;
}

/**
 * The credit of a material: title, author, source, licence, in that order (known as TASL, the order Creative Commons
 * recommends; from memory). A web address is named by its host. Nothing for work of one's own, and what is not known is
 * left out.
 *
 * @param ownTitle title of the material, used where the work's own title is not given
 */
export function creditOf(provenance: Provenance, ownTitle: string, words: PublicWords = en): CreditPiece[] {
  const { whose, makerUnknown, licence } = provenance;
  const maker = provenance.maker.trim();
  if (whose === 'mine') return [];
  const title = provenance.title.trim() || ownTitle.trim();
  const pieces: CreditPiece[] = [];
  if (title) pieces.push({ kind: 'title', text: title, url: null });
  if (whose === 'with-others') {
    if (maker) pieces.push({ kind: 'maker', text: words.withMaker(maker), url: null });
    return pieces;
  }
  if (maker) pieces.push({ kind: 'maker', text: maker, url: null });
  else if (makerUnknown) pieces.push({ kind: 'maker', text: words.makerUnknown, url: null });
  const date = provenance.date.trim();
  if (date) pieces.push({ kind: 'date', text: date, url: null });
  const source = provenance.source.trim();
  const host = hostOf(source);
  if (source) pieces.push({ kind: 'source', text: host ?? source, url: host ? source : null });
  if (licence) pieces.push({ kind: 'licence', text: licenceName(licence, words), url: licenceUrl(licence) });
  return pieces;
}

/** A credit as one line of plain text: "Pier survey no. 4, Harbour Office, 1931. Town archive. Public domain." */
export function creditLine(pieces: readonly CreditPiece[]): string {
  const who = pieces.filter(({ kind }) => kind === 'title' || kind === 'maker' || kind === 'date');
  const rest = pieces.filter(({ kind }) => kind === 'source' || kind === 'licence');
  return [who.map(({ text }) => text).join(', '), ...rest.map(({ text }) => text)]
    .filter(Boolean)
    .map((sentence) => (sentence.endsWith('.') ? sentence : `${sentence}.`))
    .join(' ');
}
