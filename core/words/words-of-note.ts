import type { Inline, RichText } from './rich-text.ts';

/** A note as words of a page: a paragraph for each block between blank lines, its line breaks kept. */
export function wordsOfNote(note: string): RichText {
  const blocks = note
    .replace(/\r\n?/g, '\n')
    .split(/\n[ \t]*\n/)
    .map((block) => block.trim())
    .filter(Boolean);
  return {
    type: 'doc',
    content: blocks.map((block) => ({
      type: 'paragraph',
      content: block
        .split('\n')
        .flatMap((line, at): Inline[] => [
          ...(at > 0 ? [{ type: 'hardBreak' as const }] : []),
          ...(line.trim() === '' ? [] : [{ type: 'text' as const, text: line.trim() }]),
        ]),
    })),
  };
}
