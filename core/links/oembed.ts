import { isTag, type AnyNode } from 'domhandler';
import { parseDocument } from 'htmlparser2';
import { z } from 'zod';

/** Hosts write sizes as numbers or as text; a share such as "100%" is no size. */
const sizeSchema = z
  .union([z.number(), z.string().regex(/^\d+$/).transform(Number)])
  .pipe(z.number().int().min(1).max(8000))
  .nullish()
  .catch(null);
const wordsSchema = z.string().catch('').default('');

/** A reply of oEmbed 1.0 (oembed.com, section 2.3), as far as it is used here. */
const replySchema = z.object({
  type: z.enum(['video', 'rich', 'photo', 'link']),
  version: z.union([z.literal('1.0'), z.literal(1)]),
  title: wordsSchema,
  author_name: wordsSchema,
  provider_name: wordsSchema,
  thumbnail_url: z.string().nullish().catch(null),
  html: wordsSchema,
  url: z.string().nullish().catch(null),
  width: sizeSchema,
  height: sizeSchema,
});

/** What a host says about one of its clips. Addresses are as the host writes them. */
export interface Embed {
  title: string;
  author: string;
  provider: string;
  /** The still that stands for it. */
  picture: string | null;
  /** Address of the page that plays it, and its size; null for what is not played. */
  player: { url: string; widthPx: number; heightPx: number } | null;
}

/** The first frame in a host's markup: its address is taken, and the markup itself is shown to nobody. */
function frameIn(html: string): { src: string; width?: string; height?: string } | null {
  const find = (nodes: readonly AnyNode[]): ReturnType<typeof frameIn> => {
    for (const node of nodes) {
      if (!isTag(node)) continue;
      const { src, width, height } = node.attribs;
      if (node.name === 'iframe' && src)
        return { src: src.trim(), ...(width ? { width } : {}), ...(height ? { height } : {}) };
      const inner = find(node.children);
      if (inner) return inner;
    }
    return null;
  };
  return find(parseDocument(html).children);
}

/**
 * Reads a host's oEmbed reply; null when it is none of version 1.0.
 *
 * @param reply the JSON it answered with
 */
export function readEmbed(reply: unknown): Embed | null {
  const parsed = replySchema.safeParse(reply);
  if (!parsed.success) return null;
  const { type, title, author_name: author, provider_name: provider, html, width, height, url } = parsed.data;
  const frame = type === 'video' || type === 'rich' ? frameIn(html) : null;
  const size = (given: string | undefined) => sizeSchema.parse(given);
  return {
    title: title.trim(),
    author: author.trim(),
    provider: provider.trim(),
    picture: parsed.data.thumbnail_url ?? (type === 'photo' ? (url ?? null) : null),
    player: frame && {
      url: frame.src,
      widthPx: size(frame.width) ?? width ?? 1280,
      heightPx: size(frame.height) ?? height ?? 720,
    },
  };
}
