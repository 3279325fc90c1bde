import { useMemo } from 'react';
import { addPictureFromWeb } from '#contract/links-and-notes.ts';
import type { Part } from '#core/parts/parts.ts';
import type { Block } from '#core/words/rich-text.ts';
import { partsFromPieces } from '#core/words/parts-from-pieces.ts';
import { call, Refusal } from '../../api/call.ts';
import { useSite } from '../../api/site-context.tsx';
import { useUploads } from '../../api/uploads-context.tsx';
import { problemNotice, waitingNotice } from '../../ui/notice.ts';
import { newId } from '../../parts/new-id.ts';

/** A picture that stands in the HTML itself, as a file; null when it is none. */
function fileOf(src: string): File | null {
  const [, type, data] = /^data:(image\/[a-z+.-]+);base64,(.+)$/is.exec(src) ?? [];
  if (!type || !data) return null;
  try {
    const bytes = Uint8Array.from(atob(data.replace(/\s/g, '')), (letter) => letter.charCodeAt(0));
    return new File([bytes], `pasted.${type.split('/')[1] ?? 'png'}`, { type });
  } catch {
    return null;
  }
}

/** Plain words as HTML: a paragraph for each block between blank lines, with its line breaks. */
export function htmlOfPlainText(text: string): string {
  return text
    .split(/\r?\n[ \t]*\r?\n/)
    .map((block) => {
      const paragraph = document.createElement('p');
      paragraph.innerText = block.trim();
      return paragraph.outerHTML;
    })
    .join('');
}

interface Pasting {
  /** What was copied, as the clipboard gives it. */
  html: string;
  files: readonly File[];
  pageTitle: string;
  /** Takes the words before the first picture, if there is an editor they go into. */
  intoWords?: (blocks: readonly Block[]) => void;
  /** Puts parts on the page; called when their pictures are there. */
  place: (parts: readonly Part[]) => void;
}

/**
 * Takes in what was copied from a word processor or a web page: headings, lists, tables, bold and links as words, pictures
 * gathered and put where they stood. Styles and blank lines stay behind.
 */
export function usePasting() {
  const { state, run } = useSite();
  const { add } = useUploads();
  const site = state.site.id;
  return useMemo(() => {
    /** The material a picture has become; null when it could not be taken in. */
    const gather = async (src: string, alt: string, file: File | undefined): Promise<string | null> => {
      const own = file ?? fileOf(src);
      if (own) return (await add([own]))[0] ?? null;
      if (!/^https?:/i.test(src)) return null;
      try {
        const reply = await call(addPictureFromWeb, { params: { site }, body: { url: src, alt } });
        await run(() => Promise.resolve(reply));
        return reply.material;
      } catch (error) {
        if (error instanceof Refusal) return null;
        throw error;
      }
    };
    return async ({ html, files, pageTitle, intoWords, place }: Pasting): Promise<void> => {
      // Reading HTML takes a parser of its own, fetched at the first paste.
      const { pastedPieces } = await import('#core/words/pasted-pieces.ts');
      const { pieces, alts } = pastedPieces(html);
      const [first, ...others] = pieces;
      const words = intoWords && first?.type === 'words' ? first.blocks : null;
      if (words) intoWords?.(words);
      const rest = words ? others : pieces;
      if (rest.length === 0) return;
      const sources = [
        ...new Set(rest.flatMap((piece) => (piece.type === 'picture' ? [piece.picture] : []))),
      ];
      // Some programs name files nobody else can read, and hand the pictures over beside the words.
      const unreadable = sources.filter((src) => !/^(https?:|data:image\/)/i.test(src));
      const beside = unreadable.length === files.length ? files : [];
      const reading = sources.length > 0 ? waitingNotice('Taking in the pictures') : undefined;
      const gathered = await Promise.all(
        sources.map(
          async (src) => [src, await gather(src, alts[src] ?? '', beside[unreadable.indexOf(src)])] as const,
        ),
      );
      if (reading !== undefined) reading();
      const materials = Object.fromEntries(gathered.flatMap(([src, id]) => (id ? [[src, id]] : [])));
      const lost = sources.length - Object.keys(materials).length;
      if (lost > 0)
        problemNotice(
          `${lost === 1 ? 'One picture' : `${lost} pictures`} could not be taken from what you pasted. The words are here; bring the picture as a file.`,
        );
      place(partsFromPieces(rest, materials, words ? '' : pageTitle, newId));
    };
  }, [add, run, site]);
}
