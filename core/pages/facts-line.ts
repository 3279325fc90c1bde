import type { CaseFacts, Companion } from './case-facts.ts';
import { licenceName, licenceUrl } from '../credits/licence.ts';
import { timeSpan } from './time-span.ts';

export interface Fact {
  name: string;
  value: string;
  /** Where the terms of a licence can be read. */
  url?: string;
}

/** "Idris, checked the gear sums" */
const companion = ({ name, did }: Companion): string => [name.trim(), did.trim()].filter(Boolean).join(', ');

const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);

/** The facts a page has, in the order they stand in its line; what was left empty is not among them. */
export function factsLine(facts: CaseFacts): Fact[] {
  const people = facts.withWhom.map(companion).filter(Boolean);
  const all: Fact[] = [
    { name: 'When', value: facts.when.trim() || capital(timeSpan(facts.from, facts.to)) },
    { name: 'Role', value: facts.role },
    // Somebody's part may hold commas of its own.
    { name: 'With', value: people.join(people.some((one) => one.includes(',')) ? '; ' : ', ') },
    { name: 'Made for', value: facts.course },
    { name: 'Field', value: facts.field },
    { name: 'Made with', value: facts.madeWith },
    { name: 'Materials', value: facts.materials },
    { name: 'Tags', value: facts.tags.join(', ') },
  ];
  if (facts.licence) {
    const url = licenceUrl(facts.licence);
    all.push({ name: 'Licence', value: licenceName(facts.licence), ...(url ? { url } : {}) });
  }
  return all.map((fact) => ({ ...fact, value: fact.value.trim() })).filter(({ value }) => value !== '');
}
