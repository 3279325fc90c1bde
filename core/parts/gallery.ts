import { z } from 'zod';
import { idSchema } from '../id.ts';
import { partBase } from './part-base.ts';
import { holdsNothing, partRules } from './part-rules.ts';

export const galleryLayouts = ['rows', 'columns', 'grid', 'one-large'] as const;
export const galleryCaptions = ['below', 'on-hover', 'hidden'] as const;
/** More than this are another gallery. */
export const mostInGallery = 200;

export const gallerySchema = partBase.extend({
  kind: z.literal('gallery'),
  title: z.string().max(120).default(''),
  pictures: z.array(idSchema).max(mostInGallery),
  layout: z.enum(galleryLayouts).default('rows'),
  /** `on-hover`: while a picture is pointed at or in focus, and below it where nothing can be pointed with. */
  captions: z.enum(galleryCaptions).default('below'),
  /** One large picture after another, by itself and slowly. Never for readers who want less motion, nor on touch. */
  autoplay: z.boolean().default(false),
});
type Gallery = z.infer<typeof gallerySchema>;
type SeenGallery = Pick<Gallery, 'title' | 'pictures' | 'layout' | 'captions' | 'autoplay'>;

export const gallery = partRules<typeof gallerySchema, SeenGallery>({
  ...holdsNothing,
  schema: gallerySchema,
  noun: 'gallery',
  start: (materials) => ({
    title: '',
    pictures: [...materials],
    layout: 'rows',
    captions: 'below',
    autoplay: false,
  }),
  materials: ({ pictures }) => [...pictures],
  without: (part, material) => ({ ...part, pictures: part.pictures.filter((id) => id !== material) }),
  take: (part, materials) => {
    const all = [...new Set([...part.pictures, ...materials.map(({ id }) => id)])];
    return materials.every(({ kind }) => kind === 'picture') && all.length <= mostInGallery
      ? { ...part, pictures: all }
      : null;
  },
  isEmpty: ({ pictures }) => pictures.length === 0,
  seen: ({ title, pictures, layout, captions, autoplay }) => ({
    title,
    pictures,
    layout,
    captions,
    autoplay,
  }),
  changed: () => 'gallery changed',
});
