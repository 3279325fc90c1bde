import { describe, expect, test } from '@jest/globals';
// SPDX's own list of licences, as data (package spdx-license-list).
import spdx from 'spdx-license-list';
import { creditLine, creditOf } from './credit.ts';
import { licences, licenceUrl } from './licence.ts';
import { licenceName } from './licence-name.ts';
import { mine, missingProvenance, type Provenance } from './provenance.ts';

const borrowed: Provenance = {
  whose: 'someone-else',
  title: 'Pier survey no. 4',
  maker: 'Skerrin Harbour Office, drawing room',
  makerUnknown: false,
  date: '1931',
  source: 'Town archive',
  licence: 'public-domain',
};

describe('licences', () => {
  const known = licences.filter((licence) => licence.startsWith('CC'));
  test('there are Creative Commons licences among them', () => expect(known.length).toBe(19));
  test.each(known)('%s is an SPDX identifier, and its address is the one SPDX names', (licence) => {
    expect(spdx[licence]).toBeDefined();
    expect(spdx[licence]?.url.replace(/legalcode(\.en)?$/, '')).toBe(licenceUrl(licence));
  });
  test.each([
    ['CC-BY-4.0', 'CC BY 4.0'],
    ['CC-BY-NC-SA-3.0', 'CC BY-NC-SA 3.0'],
    ['CC0-1.0', 'CC0 1.0'],
    ['permission-given', 'Shown with permission'],
  ] as const)('%s is written %s', (licence, name) => expect(licenceName(licence)).toBe(name));
  test('what is no licence has no text to lead to', () =>
    expect([licenceUrl('all-rights-reserved'), licenceUrl('public-domain')]).toEqual([null, null]));
});

describe('creditOf', () => {
  test('title, author, source and licence, in that order', () => {
    expect(creditOf(borrowed, 'Scan 12').map(({ kind }) => kind)).toEqual([
      'title',
      'maker',
      'date',
      'source',
      'licence',
    ]);
    expect(creditLine(creditOf(borrowed, 'Scan 12'))).toBe(
      'Pier survey no. 4, Skerrin Harbour Office, drawing room, 1931. Town archive. Public domain.',
    );
  });
  test('a web address is named by its host and leads there', () => {
    const pieces = creditOf({ ...borrowed, source: 'https://www.archive.example:8080/a?b=1' }, '');
    expect(pieces.find(({ kind }) => kind === 'source')).toEqual({
      kind: 'source',
      text: 'archive.example',
      url: 'https://www.archive.example:8080/a?b=1',
    });
  });
  test.each([
    'javascript:alert(1)',
    'data:text/html,x',
    'https:// two words',
    'ftp://archive.example',
    'archive.example',
  ])('%s is words and leads nowhere', (source) =>
    expect(creditOf({ ...borrowed, source }, '').find(({ kind }) => kind === 'source')).toMatchObject({
      text: source,
      url: null,
    }),
  );
  test('a name before the host cannot pass for it', () =>
    expect(
      creditOf({ ...borrowed, source: 'https://archive.example@other.example/' }, '').find(
        ({ kind }) => kind === 'source',
      )?.text,
    ).toBe('other.example'));
  test('what is not known is left out; nobody knowing is said', () => {
    expect(creditLine(creditOf({ ...mine, whose: 'someone-else', makerUnknown: true }, 'Old photo'))).toBe(
      'Old photo, maker unknown.',
    );
    expect(creditOf({ ...mine, whose: 'someone-else' }, '')).toEqual([]);
  });
  test('work of one’s own has none; work with others names them', () => {
    expect(creditOf({ ...borrowed, whose: 'mine' }, 'Dial')).toEqual([]);
    expect(creditLine(creditOf({ ...mine, whose: 'with-others', maker: 'Idris' }, 'Dial'))).toBe(
      'Dial, with Idris.',
    );
  });
});

describe('missingProvenance', () => {
  test.each<[string, Partial<Provenance>, string[]]>([
    ['own work needs nothing', { whose: 'mine', maker: '', source: '', licence: null }, []],
    ['complete', {}, []],
    ['no maker', { maker: ' ' }, ['maker']],
    ['maker unknown is an answer', { maker: '', makerUnknown: true }, []],
    ['no source and licence', { source: '', licence: null }, ['source', 'licence']],
    ['with nobody named', { whose: 'with-others', maker: '', source: '', licence: null }, ['maker']],
    ['with somebody', { whose: 'with-others', source: '', licence: null }, []],
  ])('%s', (_, change, missing) => expect(missingProvenance({ ...borrowed, ...change })).toEqual(missing));
});
