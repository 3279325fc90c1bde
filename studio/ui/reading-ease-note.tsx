import { readingEase } from '#core/words/reading-ease.ts';
import { readingEaseInWords } from '#core/words/reading-ease-in-words.ts';

/** How easily words read, by published formulas for English; nothing of other languages and of too few words. */
export function ReadingEaseNote({ text, language }: { text: string; language: string }) {
  const found = /^en\b/i.test(language) ? readingEase(text) : null;
  return found && <p className="note">These words are {readingEaseInWords(found)}.</p>;
}
