import { expect, test } from '@jest/globals';
import { peopleFromText } from './people-from-text.ts';

const names = (text: string) =>
  peopleFromText(text).map(({ name, more }) => (more ? `${name} / ${more}` : name));

test('a list is read line by line', () => {
  expect(names('P. Lunn\n\n  M. Ebbing  \r\nP. Lunn\n')).toEqual(['P. Lunn', 'M. Ebbing']);
  expect(peopleFromText('')).toEqual([]);
});

// RFC 4180, 2.4 to 2.7: fields in quotes may hold commas, line breaks and quotes.
test('a table is read by its columns, whatever parts them', () => {
  expect(names('Name,Address\n"Lunn, P.",p.lunn@tutors.example\nM. Ebbing,m@tutors.example')).toEqual([
    'Lunn, P. / p.lunn@tutors.example',
    'M. Ebbing / m@tutors.example',
  ]);
  expect(names('P. Lunn;Harbour course\nM. Ebbing;Harbour course')).toEqual([
    'P. Lunn / Harbour course',
    'M. Ebbing / Harbour course',
  ]);
  expect(names('P. Lunn\tp@tutors.example')).toEqual(['P. Lunn / p@tutors.example']);
  expect(names('"The ""Reed"" group",all')).toEqual(['The "Reed" group / all']);
});

test('a name is what a pass can be called, however long it was', () => {
  const [person] = peopleFromText(`${'n'.repeat(300)},${'m'.repeat(300)}`);
  expect([person?.name.length, person?.more.length]).toEqual([80, 160]);
});
