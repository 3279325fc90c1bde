import { z } from 'zod';
import { drawnPortraitSchema, firstDrawnPortrait } from '../about/drawn-portrait-choice.ts';
import { idSchema } from '../id.ts';
import type { Id } from '../id.ts';
import { line } from '../words/line.ts';
import { partBase } from './part-base.ts';
import { allBlank, holdsNothing, partRules } from './part-rules.ts';

/** A picture of the maker, one cut from shapes, the first letters of a name, or none. */
export const portraitForms = ['photo', 'drawn', 'letters', 'none'] as const;

/** One way in which the maker is shown. Of several, readers get the first that they may see. */
export const portraitSchema = partBase.extend({
  kind: z.literal('portrait'),
  form: z.enum(portraitForms),
  material: idSchema.nullable().default(null),
  /** Whether somebody who meets its maker would know them by the photo. */
  face: z.boolean().default(true),
  letters: line(3).default(''),
  drawing: drawnPortraitSchema.default(firstDrawnPortrait),
});
type Portrait = z.infer<typeof portraitSchema>;
type SeenPortrait = Pick<Portrait, 'form' | 'material' | 'letters' | 'drawing'>;

const shows = ({ form, material }: Pick<Portrait, 'form' | 'material'>): Id[] =>
  form === 'photo' && material !== null ? [material] : [];

export const portrait = partRules<typeof portraitSchema, SeenPortrait>({
  ...holdsNothing,
  schema: portraitSchema,
  noun: 'portrait',
  tiedIn: 'facts',
  preferred: () => 0,
  mostUnderAge: ({ form, face }) => (form === 'photo' && face ? 'invited' : 'public'),
  materials: shows,
  without: (part, material) => (part.material === material ? { ...part, material: null } : part),
  take: (part, [only, ...others]) =>
    part.form === 'photo' && part.material === null && only?.kind === 'picture' && others.length === 0
      ? { ...part, material: only.id }
      : null,
  start: ([material = null]) => ({
    ...{ form: 'photo' as const, material, face: true },
    ...{ letters: '', drawing: firstDrawnPortrait },
  }),
  isEmpty: ({ form, material, letters }) =>
    (form === 'photo' && material === null) || (form === 'letters' && allBlank(letters)),
  needs: ({ form, material }) => (form === 'photo' && material === null ? 'a picture' : null),
  seen: ({ form, material, letters, drawing }) => ({
    form,
    material: form === 'photo' ? material : null,
    letters: form === 'letters' ? letters.trim() : '',
    drawing,
  }),
  changed: () => 'portrait changed',
});
