import type { LanguageLevel, Spoken } from '../../parts/languages.ts';
import type { PartOf } from '../../parts/parts.ts';
import type { Contradiction } from './contradiction.ts';

const names = new Intl.DisplayNames('en', { type: 'language' });

/** A level as it is typed: one of the six of the Common European Framework, or words for a first language. */
function levelIn(text: string): LanguageLevel | null {
  const [, cefr] = /\b([ABC][12])\b/i.exec(text) ?? [];
  if (cefr) return cefr.toUpperCase() as LanguageLevel;
  return /\b(?:first|native|mother)\b/i.test(text) ? 'first' : null;
}

/** A language that is spoken better or worse in About than on the résumé. */
export function otherLevel(entry: PartOf<'entry'>, spoken: readonly Spoken[]): Contradiction | null {
  const of = spoken.find(
    ({ language }) => names.of(language)?.toLowerCase() === entry.title.trim().toLowerCase(),
  );
  const level = levelIn(entry.level);
  if (!of || level === null || level === of.level) return null;
  const inWords = (one: LanguageLevel) => (one === 'first' ? 'a first language' : one);
  return {
    kind: 'level',
    entry: entry.id,
    sentence: `${entry.title} is ${inWords(level)} here and ${inWords(of.level)} in About.`,
  };
}
