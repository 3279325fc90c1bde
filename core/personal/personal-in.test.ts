import { describe, expect, test } from '@jest/globals';
import type { PersonalKind } from './found.ts';
import { personalIn } from './personal-in.ts';
import { sampleCorpus } from './sample-corpus.ts';

const today = '2026-11-29';
const of = (text: string, language = 'en', underAge = false) => personalIn(text, language, today, underAge);
const kinds = (text: string, language = 'en') => of(text, language).map(({ kind }) => kind);

describe('what somebody can be found by', () => {
  // Numbers kept free for stories: +44 7700 900 by Ofcom, 555-01 by the North American plan, 030 23125 by the
  // Bundesnetzagentur (from memory).
  test.each<[string, string, PersonalKind, string]>([
    ['Ring me on +44 7700 900123, after six.', 'en', 'phone', '+44 7700 900123'],
    // In no range that is given out, but said to be one.
    ['Call Tamsin on 07700 900123.', 'en', 'phone', '07700 900123'],
    ['Tel.: 07700 900123', 'en', 'phone', '07700 900123'],
    ['Call (212) 555-0142.', 'en', 'phone', '(212) 555-0142'],
    ['Unter 030 23125 014 bin ich da.', 'de', 'phone', '030 23125 014'],
    ['Write to ana@school.example.', 'en', 'email', 'ana@school.example'],
    ['Built at 14 Quay Street, in a shed.', 'en', 'address', '14 Quay Street'],
    ['Gebaut im Hafenweg 12b, im Schuppen.', 'de', 'address', 'Hafenweg 12b'],
    ['Fait au 3 bis, rue du Port.', 'fr', 'address', '3 bis, rue du Port'],
    ['Hecho en la Calle del Puerto, 3.', 'es', 'address', 'Calle del Puerto, 3'],
    ['Ana, born on 4 May 2009, sewed it.', 'en', 'birth-date', '4 May 2009'],
    ['Geburtsdatum: 04.05.2009', 'de', 'birth-date', '04.05.2009'],
    ['Née le 4 mai 2009 au bord de mer.', 'fr', 'birth-date', '4 mai 2009'],
    ['Student no. 4410872, year two.', 'en', 'student-number', '4410872'],
    ['Matr.-Nr. 4410872', 'de', 'student-number', '4410872'],
    ['Student number S-2047-1183', 'en', 'student-number', 'S-2047-1183'],
    ['It stands at 40.2066, -075.4675 now.', 'en', 'coordinates', '40.2066, -075.4675'],
    ['It stands at 54°19′16″N 10°08′05″E.', 'en', 'coordinates', '54°19′16″N 10°08′05″E'],
  ])('%s', (text, language, kind, found) => {
    expect(of(text, language)).toEqual([{ kind, text: found }]);
  });

  test.each([
    'Born 1912, he built four hundred of them.',
    'Walter, born on 18 May 1883, taught there.',
    'ISBN 978-3-16-148410-0',
    '0 571 47975 8',
    'Part no. 4410872331, 20 pieces',
    '1200 × 800 × 45 mm, 745 minutes a tide',
    'Shares of 0.4421, 0.5512',
    'Part 07700 900123 of the drawer',
    'The call was long. Series 07700 900123',
    'We call it the 1200 by 800 frame, drawn on 2026-05-21',
    'Registration: 2026-05-21',
    'Registration 21/05/2026',
    'The npm package @wren/tides at version 3.1.24',
    '192.168.10.121',
    'IBAN GB33 BUKB 2020 1555 5555 55',
    'The Street at low tide, 14 February 2026',
    'Made from 2025-09 to 2025-12, 16:9',
  ])('and not: %s', (text) => {
    expect(kinds(text)).toEqual([]);
  });

  test('said once however often it stands there', () => {
    expect(kinds('ana@school.example or ana@school.example')).toEqual(['email']);
  });
});

describe('where whoever writes is under 18', () => {
  test.each<[string, string, PersonalKind, string]>([
    ['I am 16 and build kites.', 'en', 'age', 'I am 16'],
    ['A 15-year-old sewed it.', 'en', 'age', '15-year-old'],
    ['Ich bin 16 Jahre alt.', 'de', 'age', 'Ich bin 16 Jahre alt'],
    ['J’ai 14 ans.', 'fr', 'age', 'J’ai 14 ans'],
    ['Tengo 17 años.', 'es', 'age', 'Tengo 17 años'],
    ['Made at Tern Bay High School last spring.', 'en', 'school', 'Tern Bay High School'],
    ['For art in Year 10 we sewed.', 'en', 'school', 'Year 10'],
    ['Am Hafen-Gymnasium gebaut.', 'de', 'school', 'Hafen-Gymnasium'],
    ['In der Klasse 9b gebaut.', 'de', 'school', 'Klasse 9b'],
    ['Au lycée du Port, au bord de mer.', 'fr', 'school', 'lycée du Port'],
    ['Hecho en el IES La Marina.', 'es', 'school', 'IES La Marina'],
    ['En 4º ESO B lo hicimos.', 'es', 'school', '4º ESO B'],
  ])('%s', (text, language, kind, part) => {
    expect(of(text, language, true)).toEqual([{ kind, text: part }]);
    expect(of(text, language)).toEqual([]);
  });

  test.each([
    'I am 16 minutes from the sea.',
    'It is 16 years and two winters in the making.',
    'A school of fish, and the school of thought.',
    'Form 3.5 mm wide, class of 2027',
    'Year 2025, grade 316L steel',
  ])('and not: %s', (text) => {
    expect(of(text, 'en', true)).toEqual([]);
  });
});

/** The half that no limit was set on. The other one is of 1. */
const reported = sampleCorpus(2, 20);
/** What of each was found at least when this was written; an independent library made them (`sample-corpus.ts`). */
const found: Readonly<Record<Exclude<PersonalKind, 'age' | 'school'>, number>> = {
  ...{ phone: 0.88, email: 1, address: 0.6, 'birth-date': 1, 'student-number': 1, coordinates: 1 },
};

describe('on a corpus made by others', () => {
  test.each(Object.entries(found))('of every %s, a share of %d or more is found', (kind, least) => {
    const all = reported.filter((one) => one.kind === kind);
    const right = all.filter(({ text, language }) => kinds(text, language).includes(kind as PersonalKind));
    expect(all.length).toBeGreaterThan(99);
    expect(right.length / all.length).toBeGreaterThanOrEqual(least);
  });

  test('of what only looks like it, at most two in a hundred are asked about', () => {
    const traps = reported.filter(({ kind }) => kind === null);
    const asked = traps.filter(({ text, language }) => kinds(text, language).length > 0);
    expect(traps.length).toBeGreaterThan(2000);
    expect(asked.length / traps.length).toBeLessThanOrEqual(0.02);
  });
});
