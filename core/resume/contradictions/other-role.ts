import { knowsWordsOf } from '../../words/knows-words-of.ts';
import type { ContradictionRule } from './contradiction.ts';

const alone = /\b(?:alone|single-handed(?:ly)?|by myself|on my own|solo)\b/i;
const led = /\b(?:led|headed|managed|directed)\b/i;
const leads = /\b(?:lead|leader|led|head|manager|director)\b/i;
const helped = /\b(?:helped|assisted|supported)\b/i;
const helps = /\b(?:help(?:er|ed|ing)?|assist(?:ant|ed|ing)?|support(?:ed|ing)?|trainee|intern)\b/i;

/** In English: did alone what others took part in, or led what the page says was help, or the other way round. */
export const otherRole: ContradictionRule = ({ text, entry, language }, { title, facts }) => {
  if (!knowsWordsOf(language)) return null;
  const found = (words: string, page: string) =>
    ({
      kind: 'role',
      entry: entry?.id ?? null,
      sentence: `“${text}” says “${words}”. The page of ${title} ${page}.`,
    }) as const;
  const [others] = facts.withWhom.filter(({ name }) => name.trim() !== '');
  const [byMyself] = alone.exec(text) ?? [];
  if (byMyself && others) return found(byMyself, `names ${others.name}`);
  const [asLead] = led.exec(text) ?? [];
  if (asLead && helps.test(facts.role)) return found(asLead, `says “${facts.role}”`);
  const [asHelp] = helped.exec(text) ?? [];
  if (asHelp && leads.test(facts.role)) return found(asHelp, `says “${facts.role}”`);
  return null;
};
