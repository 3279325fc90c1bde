import { describe, expect, test } from '@jest/globals';
import { caseFactsSchema, noFacts, ownLicences } from './case-facts.ts';
import { factsLine } from './facts-line.ts';

const valueOf = (name: string, facts: Parameters<typeof factsLine>[0]) => {
  const found = factsLine(facts).find((fact) => fact.name === name);
  return found && { value: found.value, ...(found.url ? { url: found.url } : {}), name };
};

describe('the line of facts', () => {
  test('an empty page has none', () => expect(factsLine(noFacts)).toEqual([]));

  test('only what was filled in, in one order', () => {
    const facts = { ...noFacts, tags: ['clock', 'harbour'], materials: ' ', role: 'Making', from: '2025-09' };
    expect(factsLine(facts)).toEqual([
      { kind: 'when', name: 'When', value: 'September 2025' },
      { kind: 'role', name: 'Role', value: 'Making' },
      { kind: 'tags', name: 'Tags', value: 'clock, harbour' },
    ]);
  });

  test('other words stand instead of the months, and a time that goes on begins the line', () => {
    expect(valueOf('When', { ...noFacts, from: '2025-09', when: 'Autumn term' })?.value).toBe('Autumn term');
    expect(valueOf('When', { ...noFacts, from: '2026-03', to: 'now' })?.value).toBe('Since March 2026');
  });

  test('people with what they did; somebody without a name is left out', () => {
    const withWhom = [
      { name: 'Idris', did: '' },
      { name: 'Ana', did: '' },
    ];
    expect(valueOf('With', { ...noFacts, withWhom })?.value).toBe('Idris, Ana');
    const did = [
      { name: 'Idris', did: 'checked the sums' },
      { name: ' ', did: '' },
      { name: 'Ana', did: '' },
    ];
    expect(valueOf('With', { ...noFacts, withWhom: did })?.value).toBe('Idris, checked the sums; Ana');
  });

  test('a licence leads to its text; all rights reserved has none', () => {
    expect(valueOf('Licence', { ...noFacts, licence: 'CC-BY-4.0' })).toEqual({
      name: 'Licence',
      value: 'CC BY 4.0',
      url: 'https://creativecommons.org/licenses/by/4.0/',
    });
    expect(valueOf('Licence', { ...noFacts, licence: 'all-rights-reserved' })?.url).toBeUndefined();
    expect(ownLicences).not.toContain('permission-given');
  });

  test('a month that is none is refused', () => {
    for (const from of ['2025-13', '2025-00', '2025-1', '25', 'September'])
      expect(caseFactsSchema.safeParse({ from }).success).toBe(false);
    expect(caseFactsSchema.safeParse({ from: '2025-12', to: 'now' }).success).toBe(true);
  });
});
