import { cut } from './cut.ts';

/** Cut at a word, so that a long title still reads. */
export function shortened(text: string, most: number): string {
  if (text.length <= most) return text;
  const start = cut(text, most - 1);
  const word = start.lastIndexOf(' ');
  return `${(word > most / 2 ? start.slice(0, word) : start).trimEnd()}…`;
}
