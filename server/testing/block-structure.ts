import { execFileSync } from 'node:child_process';
import type { PlacedPiece } from '#core/words/parts-from-pieces.ts';

export const run = (command: string, ...args: string[]): string =>
  execFileSync(command, args, { encoding: 'utf8' });
export const words = (text: string): string[] => text.split(/\s+/).filter(Boolean);

/** What pandoc, a reader that has nothing to do with ours, makes of a document: block names and words, in order. */
export function byPandoc(path: string): { blocks: string[]; words: string[] } {
  const blocks: string[] = [];
  const said: string[] = [];
  const visit = (node: unknown): void => {
    if (Array.isArray(node)) return node.forEach(visit);
    if (typeof node !== 'object' || node === null) return;
    const { t, c } = node as { t?: string; c?: unknown };
    if (t && ['Header', 'BulletList', 'OrderedList', 'Table', 'BlockQuote', 'Image'].includes(t))
      blocks.push(t);
    if (t === 'Str') said.push(c as string);
    if (t === 'Space' || t === 'SoftBreak') said.push(' ');
    // Words beside a picture are its alt text, not the document's.
    if (t === 'Image') return;
    for (const inner of c === undefined ? Object.values(node) : [c]) visit(inner);
    if (t && ['Para', 'Plain', 'Header'].includes(t)) said.push(' ');
  };
  visit(
    (
      JSON.parse(
        run('pandoc', path, '-t', 'json', ...(path.endsWith('.md') ? ['-f', 'markdown-smart'] : [])),
      ) as { blocks: unknown }
    ).blocks,
  );
  return { blocks, words: words(said.join('')) };
}

/** The same of what we read. */
export function ours(pieces: readonly PlacedPiece[]): { blocks: string[]; words: string[] } {
  const blocks: string[] = [];
  let said = '';
  const names: Record<string, string> = {
    heading: 'Header',
    bulletList: 'BulletList',
    orderedList: 'OrderedList',
    table: 'Table',
    blockquote: 'BlockQuote',
  };
  const visit = (node: unknown): void => {
    if (Array.isArray(node)) return node.forEach(visit);
    if (typeof node !== 'object' || node === null) return;
    const { type, text, content } = node as { type?: string; text?: string; content?: unknown };
    const name = type && names[type];
    if (name) blocks.push(name);
    if (text) said += text;
    visit(content);
    if (type === 'paragraph' || type === 'heading') said += ' ';
  };
  for (const piece of pieces) {
    if (piece.type === 'picture') blocks.push('Image');
    else visit(piece.blocks);
  }
  return { blocks, words: words(said) };
}
