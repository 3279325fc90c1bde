import { z } from 'zod';
import { type Block, blockSchema, plainText } from '../words/rich-text.ts';

/** Documents whose words can be read in place, or whose pages are shown as pictures. */
const readableFormats = ['docx', 'odt', 'markdown', 'text'] as const;
/** Slides: kept for download, shown by a PDF of the same slides when the maker adds one. */
export const slideFormats = ['pptx', 'odp'] as const;
export const documentFormats = ['pdf', ...readableFormats, ...slideFormats] as const;
export type DocumentFormat = (typeof documentFormats)[number];

export const documentFactsSchema = z.object({
  format: z.enum(documentFormats),
  /** Size of each page in points (1/72 inch), of a PDF; empty for all others, which have no pages until printed. */
  pages: z.array(z.object({ widthPt: z.number().positive(), heightPt: z.number().positive() })),
  /** How many words it has, as a reader would count them. */
  words: z.number().int().nonnegative(),
});
export type DocumentFacts = z.infer<typeof documentFactsSchema>;

/** A word of a page with the box of its letters, as shares of the page's width and height. */
export const pageWordSchema = z.object({
  text: z.string(),
  x: z.number(),
  y: z.number(),
  width: z.number(),
  height: z.number(),
  /** The first word of a line. */
  startsLine: z.boolean(),
});
export type PageWord = z.infer<typeof pageWordSchema>;

/** A piece of a document without pages: a block of words, or a picture that stood in it. */
export const documentPieceSchema = z.discriminatedUnion('type', [
  z.object({ type: z.literal('words'), blocks: z.array(blockSchema) }),
  z.object({
    type: z.literal('picture'),
    /** SHA-256 of the picture as it stood in the document. */
    picture: z.string().regex(/^[0-9a-f]{64}$/),
    widthPx: z.number().int().positive(),
    heightPx: z.number().int().positive(),
    alt: z.string(),
  }),
]);
export type DocumentPiece = z.infer<typeof documentPieceSchema>;

/** What was read out of a document, kept beside it. */
export const documentContentSchema = z.object({
  /** Words of each page, of a PDF. */
  pages: z.array(z.array(pageWordSchema)),
  /** Its words and pictures in order, of all others. */
  pieces: z.array(documentPieceSchema),
  /** Pictures in it that no browser can show, so that they were left out. */
  leftOut: z.number().int().nonnegative().default(0),
});
export type DocumentContent = z.infer<typeof documentContentSchema>;

export const emptyDocument: DocumentContent = { pages: [], pieces: [], leftOut: 0 };

/** The longest side of a PDF's page as it is published, in pixels: enough to read small print on a large screen. */
const longestSidePx = 2000;

/** Size in pixels at which a page is drawn. */
export function pageSizePx({ widthPt, heightPt }: DocumentFacts['pages'][number]): {
  widthPx: number;
  heightPx: number;
} {
  const scale = longestSidePx / Math.max(widthPt, heightPt);
  return {
    widthPx: Math.max(1, Math.round(widthPt * scale)),
    heightPx: Math.max(1, Math.round(heightPt * scale)),
  };
}

/** Blocks as one text. */
export const blocksText = (blocks: Block[]): string => plainText({ type: 'doc', content: blocks });
