import type { CaseFacts, Companion } from './case-facts.ts';
import { licenceUrl } from '../credits/licence.ts';
import { licenceName } from '../credits/licence-name.ts';
import { timeSpanForReaders } from '../dates/date-for-readers.ts';
import { wordsFor } from '../public-words/words-for.ts';

export interface Fact {
  kind: keyof CaseFacts;
  name: string;
  value: string;
  /** Where the terms of a licence can be read. */
  url?: string;
}

/** "Idris, checked the gear sums" */
const companion = ({ name, did }: Companion): string => [name.trim(), did.trim()].filter(Boolean).join(', ');

const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);

/** The facts a page has, in its language and in the order they stand in its line; what was left empty is not among them. */
export function factsLine(facts: CaseFacts, language = 'en'): Fact[] {
  const words = wordsFor(language);
  const people = facts.withWhom.map(companion).filter(Boolean);
  const all: Fact[] = [
    {
      kind: 'when',
      name: words.when,
      value: facts.when.trim() || capital(timeSpanForReaders(facts.from, facts.to, language)),
    },
    { kind: 'role', name: words.role, value: facts.role },
    // Somebody's part may hold commas of its own.
    {
      kind: 'withWhom',
      name: words.with,
      value: people.join(people.some((one) => one.includes(',')) ? '; ' : ', '),
    },
    { kind: 'course', name: words.madeFor, value: facts.course },
    { kind: 'field', name: words.field, value: facts.field },
    { kind: 'madeWith', name: words.madeWith, value: facts.madeWith },
    { kind: 'materials', name: words.materials, value: facts.materials },
    { kind: 'tags', name: words.tags, value: facts.tags.join(', ') },
  ];
  if (facts.licence) {
    const url = licenceUrl(facts.licence);
    all.push({
      kind: 'licence',
      name: words.licence,
      value: licenceName(facts.licence, words),
      ...(url ? { url } : {}),
    });
  }
  return all.map((fact) => ({ ...fact, value: fact.value.trim() })).filter(({ value }) => value !== '');
}
