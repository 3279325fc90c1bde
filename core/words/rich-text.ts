import { z } from 'zod';

/**
 * Words on a page: a closed document schema, stored as data and rendered by us. Anything the schema does not name
 * (a style, a font, an embedded page) cannot be stored, so it cannot reach a reader.
 */
const href = z
  .string()
  .max(2000)
  .refine(
    (value) => /^(https?:\/\/|mailto:|tel:)/i.test(value),
    'A link starts with https://, mailto: or tel:.',
  );

export const markSchema = z.discriminatedUnion('type', [
  z.object({ type: z.literal('bold') }),
  z.object({ type: z.literal('italic') }),
  z.object({ type: z.literal('code') }),
  z.object({
    type: z.literal('link'),
    attrs: z.object({
      href,
      /** Set for a link that opens in a new window, which its reader is told. */
      target: z.literal('_blank').nullish().catch(null),
    }),
  }),
]);
export type Mark = z.infer<typeof markSchema>;

const textSchema = z.object({
  type: z.literal('text'),
  text: z.string().min(1).max(20_000),
  marks: z.array(markSchema).max(4).optional(),
});
const inlineSchema = z.discriminatedUnion('type', [textSchema, z.object({ type: z.literal('hardBreak') })]);
export type Inline = z.infer<typeof inlineSchema>;

const inlines = z.array(inlineSchema).max(2000).optional();
const paragraphSchema = z.object({ type: z.literal('paragraph'), content: inlines });
const headingSchema = z.object({
  type: z.literal('heading'),
  attrs: z.object({ level: z.union([z.literal(2), z.literal(3)]) }),
  content: inlines,
});

const codeBlockSchema = z.object({
  type: z.literal('codeBlock'),
  content: z
    .array(z.object({ type: z.literal('text'), text: z.string().min(1).max(20_000) }))
    .max(1)
    .optional(),
});

export interface ListItem {
  type: 'listItem';
  content: Block[];
}
export type Block =
  | z.infer<typeof paragraphSchema>
  | z.infer<typeof headingSchema>
  | z.infer<typeof codeBlockSchema>
  | { type: 'bulletList'; content: ListItem[] }
  | { type: 'orderedList'; content: ListItem[] }
  | { type: 'blockquote'; content: Block[] }
  | { type: 'table'; content: TableRow[] };
export interface TableRow {
  type: 'tableRow';
  content: TableCell[];
}
export interface TableCell {
  type: 'tableCell' | 'tableHeader';
  content: Block[];
}

const listItems = z.lazy(() =>
  z
    .array(z.object({ type: z.literal('listItem'), content: z.array(blockSchema).max(50) }))
    .min(1)
    .max(500),
);
const tableRows = z.lazy(() =>
  z
    .array(
      z.object({
        type: z.literal('tableRow'),
        content: z
          .array(
            z.object({
              type: z.enum(['tableCell', 'tableHeader']),
              content: z.array(blockSchema).max(50),
            }),
          )
          .min(1)
          .max(60),
      }),
    )
    .min(1)
    .max(500),
);
export const blockSchema: z.ZodType<Block> = z.lazy(() =>
  z.discriminatedUnion('type', [
    paragraphSchema,
    headingSchema,
    codeBlockSchema,
    z.object({ type: z.literal('bulletList'), content: listItems }),
    z.object({ type: z.literal('orderedList'), content: listItems }),
    z.object({ type: z.literal('blockquote'), content: z.array(blockSchema).max(200) }),
    z.object({ type: z.literal('table'), content: tableRows }),
  ]),
);

export const richTextSchema = z.object({ type: z.literal('doc'), content: z.array(blockSchema).max(2000) });
export type RichText = z.infer<typeof richTextSchema>;

/** Plain paragraphs as rich text; blank lines separate paragraphs. */
export function fromParagraphs(text: string): RichText {
  const paragraphs = text
    .split(/\n\s*\n/)
    .map((line) => line.replace(/\s+/g, ' ').trim())
    .filter(Boolean);
  return {
    type: 'doc',
    content: paragraphs.map((line) => ({ type: 'paragraph', content: [{ type: 'text', text: line }] })),
  };
}

function blockText(block: Block): string {
  switch (block.type) {
    case 'paragraph':
    case 'heading':
      return (block.content ?? []).map((node) => (node.type === 'text' ? node.text : ' ')).join('');
    case 'codeBlock':
      return (block.content ?? []).map(({ text }) => text).join('');
    case 'blockquote':
      return block.content.map(blockText).join('\n');
    case 'bulletList':
    case 'orderedList':
      return block.content.map((item) => item.content.map(blockText).join('\n')).join('\n');
    case 'table':
      return block.content
        .map((row) => row.content.map((cell) => cell.content.map(blockText).join('\n')).join('\t'))
        .join('\n');
  }
}

/** The words alone, one line a block; used for counting, searching and telling whether anything was written. */
export function plainText(text: RichText): string {
  return text.content.map(blockText).join('\n').trim();
}

/** How many words there are, as a reader would count them. */
export function countWords(text: RichText): number {
  return plainText(text).split(/\s+/).filter(Boolean).length;
}
