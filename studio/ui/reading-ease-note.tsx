import { knowsWordsOf } from '#core/words/knows-words-of.ts';
import { readingEase } from '#core/words/reading-ease.ts';
import { readingEaseInWords } from '#core/words/reading-ease-in-words.ts';

const names = new Intl.DisplayNames('en', { type: 'language' });

/** That nothing is said of words, and why. */
export const OtherLanguageNote = ({ language }: { language: string }) => (
  <p className="note">
    These words are in {names.of(language) ?? language}. How they read is said of English only, so far.
  </p>
);

/** How easily words read, by published formulas for English; nothing of too few words. */
export function ReadingEaseNote({ text, language }: { text: string; language: string }) {
  if (!knowsWordsOf(language)) return <OtherLanguageNote language={language} />;
  const found = readingEase(text);
  return found && <p className="note">These words are {readingEaseInWords(found)}.</p>;
}
