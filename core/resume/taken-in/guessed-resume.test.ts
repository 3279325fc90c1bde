import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { checkedEntries } from '../json-resume/checked-entries.ts';
import { guessedResume } from './guessed-resume.ts';
import { sourceLinesOfText } from './source-lines-of-text.ts';
import { sectionNamed } from './section-named.ts';

const text = `Wren Tolliver
wren@kite.example, 01632 960 001

I make useful things for a harbour town, and I keep the mistakes on show for anybody.

WORK EXPERIENCE

Saturday help, the boatyard
March 2025 – present
- Sanding, varnishing, and the stock list.
- Built the trolley that masts are moved
  on.

Market stall | own work | 05/2026 – 09/2026
• Made twelve bee hotels to order.

Education:
Harbour Workshop — Product making (since 2025-09)

## Skills
Welding (good), Varnishing
Tools: plane, router

Sprachen
English – first language

My favourite quotes
Nothing of this is known.
`;
const lines = sourceLinesOfText(text);
const { name, guesses, leftOut } = guessedResume(lines);
const of = (section: string) =>
  guesses.filter(({ entry }) => entry.section === section).map(({ entry }) => entry);

describe('an old résumé', () => {
  test('is read section by section, whatever they are called', () => {
    expect(name).toBe('Wren Tolliver');
    expect(of('work')).toMatchObject([
      {
        ...{ title: 'Saturday help', place: 'the boatyard', from: '2025-03', to: 'now' },
        lines: [
          { text: 'Sanding, varnishing, and the stock list.' },
          { text: 'Built the trolley that masts are moved on.' },
        ],
      },
      { title: 'Market stall', place: 'own work', from: '2026-05', to: '2026-09' },
    ]);
    expect(of('education')).toMatchObject([{ from: '2025-09', to: 'now' }]);
    expect(of('skills')).toMatchObject([
      { title: 'Welding', level: 'good' },
      { title: 'Varnishing' },
      { title: 'Tools', lines: [{ text: 'plane' }, { text: 'router' }] },
    ]);
    expect(of('goals')).toHaveLength(1);
  });

  test('every guess names its lines, and no line is lost', () => {
    const used = guesses.flatMap(({ sources }) => sources);
    expect(new Set([...used, ...leftOut]).size).toBe(lines.length);
    for (const { entry, sources } of guesses)
      if (entry.title)
        expect(sources.map((at) => lines[at]?.text).join(' ')).toContain(entry.title.split(',')[0]);
  });

  test('what finds no room in an entry is counted', () => {
    const many = Array.from({ length: 23 }, (_, at) => `- Tied ferry ${at}.`).join('\n');
    const [one] = guessedResume(sourceLinesOfText(`Work\n\nDeckhand, 2024\n${many}`)).guesses;
    expect(one?.entry.lines).toHaveLength(20);
    expect(one?.beyond).toBe(3);
    expect(guesses.every(({ beyond }) => beyond === 0)).toBe(true);
  });

  test('a line without an end is looked at as far as a line goes', () => {
    expect(sourceLinesOfText(`Work\n${'*'.repeat(60_000)}`).length).toBeLessThanOrEqual(2);
    expect(sourceLinesOfText(`Skills\n${'a** '.repeat(20_000)}`)[1]?.text.length).toBeLessThanOrEqual(4000);
  });

  test('addresses are taken into no entry', () => {
    expect(JSON.stringify(guesses)).not.toContain('wren@kite.example');
    expect(JSON.stringify(guesses)).not.toContain('960 001');
  });

  test('sections are known by many names', () => {
    expect(sectionNamed('Licences & Certifications')).toBe('certificates');
    expect(sectionNamed('EMPLOYMENT HISTORY:')).toBe('work');
    expect(sectionNamed('Formación')).toBe('education');
    expect(sectionNamed('My favourite quotes')).toBeNull();
  });

  test('whatever is pasted, guesses are entries, and each line stands in one place', () => {
    const word = fc.constantFrom(
      'Work',
      'Skills',
      'Education',
      '2019',
      '–',
      'present',
      'made',
      'sails',
      '-',
      '•',
      ':',
      '(',
      ')',
      '“',
      '**',
      '#',
      'Languages',
      'a'.repeat(400),
    );
    const pasted = fc.array(
      fc.array(word, { maxLength: 8 }).map((words) => words.join(' ')),
      { maxLength: 30 },
    );
    fc.assert(
      fc.property(pasted, (rows) => {
        const read = sourceLinesOfText(rows.join('\n'));
        const guessed = guessedResume(read);
        const entries = guessed.guesses.map(({ entry }) => entry);
        expect(checkedEntries(entries).refused).toEqual([]);
        const used = [...guessed.guesses.flatMap(({ sources }) => sources), ...guessed.leftOut];
        for (const at of used) expect(read[at]).toBeDefined();
      }),
    );
  });
});
