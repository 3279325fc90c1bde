import { z } from 'zod';
import { licences } from './licence.ts';

const line = (most: number) => z.string().max(most, `This can be at most ${most} characters long.`);

/** Whose work a material is. What is left empty is not known yet; `makerUnknown` says that nobody knows. */
export const provenanceSchema = z.object({
  whose: z.enum(['mine', 'with-others', 'someone-else']),
  /** Of somebody else's work: its own title. */
  title: line(200),
  /** Who made it with me, or who made it: a person, several, a workshop, a people or a region. */
  maker: line(300),
  makerUnknown: z.boolean(),
  /** As the source gives it: "1931", "around 1900". */
  date: line(60),
  /** A web address, or words: "Town archive". */
  source: line(2000),
  licence: z.enum(licences).nullable(),
});
export type Provenance = z.infer<typeof provenanceSchema>;

/** What a material is until its maker says otherwise. */
export const mine: Provenance = {
  whose: 'mine',
  title: '',
  maker: '',
  makerUnknown: false,
  date: '',
  source: '',
  licence: null,
};

/**
 * What is still needed to name somebody else's work properly (title, author, source and licence are the four parts of a
 * credit in common practice; a title may be missing, since many works have none). Empty for work of one's own.
 */
export function missingProvenance(provenance: Provenance): ('maker' | 'source' | 'licence')[] {
  const { whose, maker, makerUnknown, source, licence } = provenance;
  if (whose === 'mine') return [];
  if (whose === 'with-others') return maker.trim() === '' ? ['maker'] : [];
  return [
    ...(maker.trim() === '' && !makerUnknown ? (['maker'] as const) : []),
    ...(source.trim() === '' ? (['source'] as const) : []),
    ...(licence === null ? (['licence'] as const) : []),
  ];
}
