import type { CreditPiece } from '../content/credit.ts';
import type { Part, PartKind, PartOf, PartShape } from '../content/part.ts';

/**
 * A part as a reader gets it: its height is nobody's business, and neither is what its maker was asked, by a starter or
 * by the questions behind a reflection.
 */
export type SeenPart =
  | Exclude<PartShape, { kind: 'reflection' | 'credits' }>
  | (Pick<PartShape, 'id' | 'beside'> & { kind: 'reflection'; texts: string[] })
  | (Pick<PartShape, 'id' | 'beside'> & { kind: 'credits'; credits: CreditPiece[][] });
export type SeenPartOf<K extends PartKind> = Extract<SeenPart, { kind: K }>;

const place = ({ id, beside }: Part) => ({ id, ...(beside ? { beside } : {}) });

/**
 * What readers get of each kind of part, member by member: what is not named here stays its maker's. A kind that does
 * not say does not compile, and is not shown.
 */
const seenOf: {
  [K in PartKind]: (part: PartOf<K>, credits: CreditPiece[][]) => SeenPartOf<K>;
} = {
  words: (part) => ({ ...place(part), kind: 'words', text: part.text }),
  picture: (part) => ({
    ...place(part),
    kind: 'picture',
    material: part.material,
    width: part.width,
    link: part.link,
  }),
  gallery: (part) => ({
    ...place(part),
    kind: 'gallery',
    title: part.title,
    pictures: part.pictures,
    layout: part.layout,
    captions: part.captions,
    autoplay: part.autoplay,
  }),
  document: (part) => ({
    ...place(part),
    kind: 'document',
    material: part.material,
    download: part.download,
  }),
  sound: (part) => ({ ...place(part), kind: 'sound', material: part.material }),
  clip: (part) => ({ ...place(part), kind: 'clip', material: part.material }),
  link: (part) => ({
    ...place(part),
    kind: 'link',
    material: part.material,
    form: part.form,
    align: part.align,
  }),
  quote: (part) => ({ ...place(part), kind: 'quote', text: part.text, by: part.by }),
  compare: (part) => ({
    ...place(part),
    kind: 'compare',
    before: part.before,
    after: part.after,
    beforeName: part.beforeName,
    afterName: part.afterName,
  }),
  evidence: (part) => ({
    ...place(part),
    kind: 'evidence',
    material: part.material,
    what: part.what,
    why: part.why,
    shows: part.shows,
  }),
  reflection: (part) => ({
    ...place(part),
    kind: 'reflection',
    texts: part.answers.map(({ text }) => text.trim()).filter(Boolean),
  }),
  credits: (part, credits) => ({ ...place(part), kind: 'credits', credits }),
  contact: (part) => ({
    ...place(part),
    kind: 'contact',
    words: part.words,
    email: part.email,
    link: part.link,
  }),
};

/** Whether what readers get of a part's kind is stated; data of a newer version may hold kinds that are not known here. */
export const isKnownPart = ({ kind }: Pick<Part, 'kind'>): boolean => Object.hasOwn(seenOf, kind);

/**
 * A part as a reader gets it; null for a kind that nobody knows.
 *
 * @param credits whom the page has to name
 */
export function seenPart(part: Part, credits: CreditPiece[][]): SeenPart | null {
  if (!isKnownPart(part)) return null;
  const seen = seenOf[part.kind] as (one: Part, credits: CreditPiece[][]) => SeenPart;
  return seen(part, credits);
}
