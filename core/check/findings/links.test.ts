import { describe, expect, test } from '@jest/globals';
import { mine } from '../../credits/provenance.ts';
import { linksElsewhere } from '../../links/links-elsewhere.ts';
import { withLinkTo } from '../../links/with-link-to.ts';
import type { LinkFacts, LinkState } from '../../materials/link.ts';
import { sampleLinkFacts } from '../../materials/sample-link.ts';
import type { Material } from '../../materials/material.ts';
import { newPart } from '../../parts/new-part.ts';
import type { Block } from '../../words/rich-text.ts';
import type { CheckedPage } from '../checked-page.ts';
import type { RuleKey } from '../rules.ts';
import {
  picture,
  part,
  paragraph,
  plain,
  linked,
  words,
  project,
  checked,
  of,
  says,
  withWords,
} from '../sample-checked-page.ts';

describe('links', () => {
  const link = (state: LinkState, more: Partial<LinkFacts> = {}): Material =>
    ({
      ...{ ...picture('link-1'), kind: 'link', title: 'Tides', alt: '', fixes: {}, provenance: mine },
      facts: sampleLinkFacts({ state, ...more }),
    }) as Material;
  test.each([
    ['gone', 'needed'],
    ['closed', 'nice'],
    ['slow', 'nice'],
    ['unreachable', 'nice'],
  ] as const)('that are %s are %s', (state, weight) => {
    const page = project({ parts: [newPart('link', 'a-link', ['link-1'])] });
    expect(of('link', checked(page, [link(state)]))).toMatchObject([{ weight, part: 'a-link' }]);
    expect(of('link', checked(page, [link('read')]))).toEqual([]);
  });

  test.each([
    ['https://kites.example/l/V1StGXR8_Z5jdHi6B-myTq/', true],
    ['https://kites.example/p/V1StGXR8_Z5jdHi6B-myTq/tide-clock/', true],
    ['https://kites.example/d/V1StGXR8_Z5jdHi6B-myTq', true],
    ['https://kites.example/wren-makes/p/V1StGXR8_Z5jdHi6B-myTq/', false],
    ['https://kites.example/p/short/', false],
    ['https://kites.example/p/V1StGXR8_Z5jdHi6B-myTqV1StGXR8/', false],
    ['mailto:wren@demo.example', false],
  ])('%s on a page gives its key away: %s', (href, secret) => {
    const told = ['“the clock” is a secret link.'];
    expect(says('secret-link', withWords(paragraph(linked('the clock', href))))).toEqual(secret ? told : []);
    if (!secret) return;
    const page = project({ parts: [newPart('link', 'a-link', ['link-1'])] });
    expect(of('secret-link', checked(page, [link('read', { url: href })]))).toMatchObject([
      { weight: 'needed', part: 'a-link', material: 'link-1' },
    ]);
  });

  test('whose words say nothing, also where half of them is bold', () => {
    const bold = {
      ...linked('here'),
      marks: [...(linked('x') as { marks: object[] }).marks, { type: 'bold' }],
    };
    expect(says('link-words', withWords(paragraph(plain('Read it '), linked('here.'))))).toEqual([
      'A link reads “here.”.',
    ]);
    expect(says('link-words', withWords(paragraph(linked('Click '), bold)))).toEqual([
      'A link reads “Click here”.',
    ]);
    expect(says('link-words', withWords(paragraph(linked('here')), paragraph(linked('More…'))))).toEqual([
      '2 links read “here” or the like.',
    ]);
    expect(says('link-words', withWords(paragraph(linked('the tide tables here'))))).toEqual([]);
  });
});

describe('what links elsewhere lead to', () => {
  const to = 'https://tides.example/';
  const answered = (state: LinkState, movedTo: string | null = null) => new Map([[to, { state, movedTo }]]);
  const leading = [
    words(paragraph(plain('See '), linked('the tables'), plain('.'))),
    part('contact', { link: to }),
    part('profiles', { list: [{ name: 'Tides', to, is: 'web' }] }),
    part('picture', { material: 'a-picture', link: to }),
  ];
  const told = (rule: RuleKey, answers: CheckedPage['answers']) =>
    of(rule, checked(project({ parts: leading }), [], { answers }));

  test('is needed where it is gone, nice where it may come back, and nothing where it was not tried', () => {
    expect(told('link', answered('gone')).map(({ says }) => says)).toEqual([
      'The link “the tables” leads to a page that is not there any more.',
      'The link “tides.example” leads to a page that is not there any more.',
      'The link “Tides” leads to a page that is not there any more.',
      'The link “tides.example” leads to a page that is not there any more.',
    ]);
    expect(told('link', answered('gone')).every(({ weight }) => weight === 'needed')).toBe(true);
    for (const state of ['closed', 'slow', 'unreachable'] as const)
      expect(new Set(told('link', answered(state)).map(({ weight }) => weight))).toEqual(new Set(['nice']));
    expect(told('link', answered('read'))).toEqual([]);
    expect(told('link', new Map())).toEqual([]);
  });

  test('has moved for good: every part leads to the new address after that is taken, and nothing else changes', () => {
    const now = 'https://tides.example/tables/';
    const found = told('link-moved', answered('read', now));
    expect(found).toHaveLength(4);
    expect(told('link-moved', answered('gone', now))).toEqual([]);
    const parts = leading.map((one) => withLinkTo(one, to, now));
    expect(linksElsewhere(parts).map((one) => one.to)).toEqual([now, now, now, now]);
    expect(parts.map((one) => withLinkTo(one, now, to))).toEqual(leading);
    expect(leading.map((one) => withLinkTo(one, 'https://other.example/', now))).toEqual(leading);
  });

  test('is looked for in every block of words, once for each part, and never in mails', () => {
    const item = (text: string, href: string) => ({
      ...{ type: 'listItem' },
      content: [paragraph(linked(text, href))],
    });
    const cell = (text: string, href: string) => ({
      ...{ type: 'tableCell' },
      content: [paragraph(linked(text, href))],
    });
    const nested = words(
      { type: 'bulletList', content: [item('a', 'https://a.example/')] } as Block,
      { type: 'blockquote', content: [paragraph(linked('b', 'https://b.example/'))] } as Block,
      { type: 'table', content: [{ type: 'tableRow', content: [cell('c', 'https://c.example/')] }] } as Block,
      paragraph(linked('again', 'https://a.example/'), linked('mail', 'mailto:a@b.example')),
    );
    expect(linksElsewhere([nested]).map((one) => one.to)).toEqual([
      'https://a.example/',
      'https://b.example/',
      'https://c.example/',
    ]);
    const moved = linksElsewhere([withLinkTo(nested, 'https://c.example/', 'https://d.example/')]);
    expect(moved.map((one) => one.to)).toEqual([
      'https://a.example/',
      'https://b.example/',
      'https://d.example/',
    ]);
  });

  test('a link gathered as a thing has moved, or does not let itself be shown in place', () => {
    const link = (facts: object): Material =>
      ({
        ...picture('a-link', { title: 'Tables' }),
        kind: 'link',
        facts: sampleLinkFacts(facts),
      }) as Material;
    const shown = (form: string, facts: object, rule: RuleKey) =>
      says(rule, checked(project({ parts: [part('link', { material: 'a-link', form })] }), [link(facts)]));
    const movedTo = 'https://now.example/';
    expect(shown('card', { movedTo }, 'link-moved')).toEqual(['“Tables” has moved to https://now.example/.']);
    expect(shown('card', { movedTo, state: 'gone' }, 'link-moved')).toEqual([]);
    const refused = { framing: 'refused' };
    expect(shown('in-place', refused, 'not-framed')).toEqual([
      '“Tables” does not let itself be shown inside your page.',
    ]);
    expect(shown('card', refused, 'not-framed')).toEqual([]);
    expect(shown('in-place', {}, 'not-framed')).toEqual([]);
    expect(shown('in-place', { ...refused, state: 'gone' }, 'not-framed')).toEqual([]);
  });

  test('a link over blanks has no words', () => {
    expect(says('link-words', withWords(paragraph(plain('See'), linked(' '), plain('there'))))).toEqual([
      'A link has no words.',
    ]);
  });
});
