import { describe, expect, test } from '@jest/globals';
import type { PageWord } from '../materials/document.ts';
import { insideOfPages, insideOfText } from './inside-of.ts';
import type { InsideFound } from './inside.ts';
import { byFirstWord } from './names-in.ts';
import { stillSeen } from './still-seen.ts';

const asked = { language: 'en', today: '2026-11-30', underAge: false, people: byFirstWord(['Juno Pell']) };

/** Words as they lie on a page of ten lines, each letter a fiftieth wide. */
const pageOf = (...lines: string[]): PageWord[] =>
  lines.flatMap((line, row) => {
    let at = 0;
    return line.split(' ').map((text, place) => {
      const word = { text, x: at / 50, y: row / 10, width: text.length / 50, height: 0.05 };
      at += text.length + 1;
      return { ...word, startsLine: place === 0 };
    });
  });
const inside = (seen: boolean, ...lines: string[]) => insideOfPages([pageOf(...lines)], asked, seen);
const told = (found: readonly InsideFound[]) => found.map(({ kind, text }) => [kind, text]);

describe('what is inside a page', () => {
  test('is told with where it stands: the words of it, with a little air', () => {
    const [phone] = inside(false, 'Ring +44 7700 900123 after six.');
    expect(phone).toMatchObject({ kind: 'phone', text: '+44 7700 900123', page: 0 });
    const [region] = phone?.regions ?? [];
    // Letters 5 to 20 of the line.
    expect(region?.x).toBeCloseTo(0.1 - 0.01);
    expect((region?.x ?? 0) + (region?.width ?? 0)).toBeCloseTo(0.4 + 0.01);
    expect(phone?.regions).toHaveLength(1);
  });

  test('also where it goes over the end of a line: a region a line', () => {
    const [phone] = inside(false, 'Ring +44 7700', '900123 after six.');
    expect(phone?.regions.map(({ y }) => Math.round(y * 10))).toEqual([0, 1]);
  });

  test('what stands below in a form is another thing', () => {
    const form = ['Date of the test', '2026-05-21', 'Place', 'Yard behind the workshop in the harbour'];
    expect(told(inside(false, ...form))).toEqual([]);
  });

  test('and at every place where it stands, told once', () => {
    const [phone, ...more] = inside(false, '+44 7700 900123', 'or', '+44 7700 900123');
    expect(more).toEqual([]);
    expect(phone?.regions).toHaveLength(2);
  });

  test('people the maker knows, and number plates where something is seen and nowhere else', () => {
    const lines = ['With Juno Pell,', 'AB12 CDE in front'];
    expect(told(inside(true, ...lines))).toEqual([
      ['plate', 'AB12 CDE'],
      ['name', 'Juno Pell'],
    ]);
    expect(told(inside(false, ...lines))).toEqual([['name', 'Juno Pell']]);
  });

  test('signs that mean something to whoever looks for text are letters like others', () => {
    const [mail] = inside(false, 'write to (ana+sails@school.example)');
    expect(mail).toMatchObject({ kind: 'email', text: 'ana+sails@school.example' });
    expect(mail?.regions).toHaveLength(1);
  });

  test('an address of mail that was read as two words is one; somebody who is addressed is none', () => {
    const mails = (...line: string[]) => told(inside(true, ...line)).filter(([kind]) => kind === 'email');
    expect(mails('Write to ana.lind @school.example')).toEqual([['email', 'ana.lind@school.example']]);
    expect(mails('Write to ana.lind@ school.example')).toEqual([['email', 'ana.lind@school.example']]);
    expect(mails('Photo: Ana. @lind.example')).toEqual([]);
    expect(mails('Photo: Ana @lind.a40')).toEqual([]);
    expect(told(inside(false, 'Photo @lind.example'))).toEqual([]);
  });

  test('of words without pages it says what, and not where', () => {
    expect(insideOfText('Ring +44 7700 900123', asked)).toEqual([
      { kind: 'phone', text: '+44 7700 900123', page: null, regions: [] },
    ]);
  });

  test('of a list of a thousand, a hundred are told', () => {
    const all = Array.from({ length: 1000 }, (_, at) => `pupil${at}@school.example`).join(' ');
    expect(insideOfText(all, asked)).toHaveLength(100);
  });
});

describe('number plates, as they are written (from memory)', () => {
  test.each(['AB12 CDE', 'AB-123-CD', '1234 BCD', 'M AB 1234', 'HH-XY 12E'])('%s', (plate) => {
    expect(told(inside(true, `It says ${plate} there`))).toEqual([['plate', plate]]);
  });
  test.each([
    'ISO 9001',
    'DIN EN 71',
    'RAL 7016',
    'M6 x 40',
    'A4 80 g',
    '2025 and 2026',
    'USB C 12',
    'KW-3000',
  ])('and not %s', (words) => {
    expect(told(inside(true, `It says ${words} there`))).toEqual([]);
  });
});

describe('what is left of it', () => {
  const [phone] = inside(false, 'Ring +44 7700 900123 after six.', '', '', 'or +44 7700 900123');
  if (!phone) throw new Error('nothing found');
  const [first, second] = phone.regions;
  if (!first || !second) throw new Error('not found twice');
  const black = (...regions: object[]) =>
    ({ blackOut: regions.map((one) => ({ page: 0, ...one })) }) as never;

  test('all of it, as long as nothing lies on it', () => {
    expect(stillSeen(phone, {})).toEqual(phone);
    expect(stillSeen(phone, black({ x: 0.5, y: 0, width: 0.2, height: 0.1 }))).toEqual(phone);
  });
  test('the place that is not black', () => {
    expect(stillSeen(phone, black(first))?.regions).toEqual([second]);
    expect(stillSeen(phone, black({ ...first, page: 1 }))).toEqual(phone);
  });
  test('nothing, once all of it is', () => {
    expect(stillSeen(phone, black(first, second))).toBeNull();
  });
  test('a black that covers a corner of it leaves it to be read', () => {
    expect(stillSeen(phone, black({ ...first, width: first.width / 3 }))?.regions).toHaveLength(2);
  });
  test('what is cut off is seen by nobody; where the picture is turned it may be', () => {
    const crop = { x: 0, y: 0, width: 1, height: 0.2 };
    expect(stillSeen(phone, { crop })?.regions).toEqual([first]);
    expect(stillSeen(phone, { crop, turn: 90 })).toEqual(phone);
  });
  test('words without places stay', () => {
    const [without] = insideOfText('Ring +44 7700 900123', asked);
    expect(without && stillSeen(without, black(first, second))).toEqual(without);
  });
});
