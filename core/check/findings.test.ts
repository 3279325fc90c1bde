import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { draftArbitrary } from '../access/arbitrary-draft.ts';
import { mine } from '../credits/provenance.ts';
import { linksElsewhere } from '../links/links-elsewhere.ts';
import { withLinkTo } from '../links/with-link-to.ts';
import type { LinkFacts, LinkState } from '../materials/link.ts';
import { sampleLinkFacts } from '../materials/sample-link.ts';
import { sampleSound } from '../materials/sample-sound.ts';
import { noFacts } from '../pages/case-facts.ts';
import type { Material, MaterialOf } from '../materials/material.ts';
import type { PageOf } from '../pages/page.ts';
import { newPart } from '../parts/new-part.ts';
import type { Part, PartKind } from '../parts/parts.ts';
import type { Block, RichText } from '../words/rich-text.ts';
import type { CheckedPage } from './checked-page.ts';
import { nothingLookedAt } from './looked-at.ts';
import { findingsOfPage } from './findings-of-page.ts';
import { rules, type RuleKey } from './rules.ts';

const [sample] = fc.sample(draftArbitrary, { numRuns: 1, seed: 5 });
const [someProject] = sample?.pages ?? [];
const somePicture = sample?.materials.find((one): one is MaterialOf<'picture'> => one.kind === 'picture');
if (!someProject || !somePicture) throw new Error('no sample');

const picture = (id: string, fields: Partial<MaterialOf<'picture'>> = {}): MaterialOf<'picture'> => ({
  ...somePicture,
  ...{ id, title: 'Dial', fileName: 'IMG_0412.jpg', alt: 'A round dial with one hand', caption: '' },
  ...{ provenance: mine, fixes: {} },
  facts: { ...somePicture.facts, widthPx: 4000, heightPx: 3000 },
  ...fields,
});
const part = (kind: PartKind, fields: object = {}): Part =>
  ({ ...newPart(kind, `${kind}-1`), ...fields }) as Part;
const paragraph = (...content: object[]): Block => ({ type: 'paragraph', content }) as Block;
const plain = (text: string): object => ({ type: 'text', text });
const heading = (level: 2 | 3, text: string): Block =>
  ({ type: 'heading', attrs: { level }, content: text === '' ? [] : [plain(text)] }) as Block;
const linked = (text: string, href = 'https://tides.example/'): object => ({
  ...{ type: 'text', text },
  marks: [{ type: 'link', attrs: { href } }],
});
const words = (...content: Block[]): Part =>
  part('words', { text: { type: 'doc', content } satisfies RichText });

/** A project that no rule has anything to say about, with some of it otherwise. */
const project = (fields: Partial<PageOf<'project'>> = {}): PageOf<'project'> => ({
  ...someProject,
  ...{ id: 'project-1', title: 'Tide clock', summary: 'One hand, one turn a tide.', language: null },
  ...{ height: 'public', archived: false, parent: null, cover: { picture: null, focus: null } },
  facts: { ...noFacts, from: '2025-09' },
  opening: { layout: 'full', pictures: ['a-picture'] },
  parts: [part('gallery', { pictures: ['b-picture', 'c-picture', 'd-picture'] }) as never],
  ...fields,
});
const four = ['a-picture', 'b-picture', 'c-picture', 'd-picture'].map((id) => picture(id));
const englishSite: CheckedPage['site'] = { language: 'en', evidenceWanted: 0, underAge: false, lists: [] };
const checked = (
  page: PageOf<'project'>,
  materials: readonly Material[] = [],
  more: Partial<CheckedPage> = {},
): CheckedPage => ({
  page,
  site: englishSite,
  today: '2026-11-29',
  lookedAt: nothingLookedAt,
  inside: {},
  answers: new Map(),
  materials: new Map([...four, ...materials].map((one) => [one.id, one])),
  ...more,
});
const of = (rule: RuleKey, input: CheckedPage) => rules[rule](input);
const says = (rule: RuleKey, input: CheckedPage) => of(rule, input).map((one) => one.says);
const withWords = (...content: Block[]) => checked(project({ parts: [words(...content)] }));
const withPicture = (fields: Partial<MaterialOf<'picture'>>) =>
  checked(project(), [picture('a-picture', fields)]);

/** The gallery as its own rules make it, so that the page is one that could be stored. */
const gallery = newPart('gallery', 'gallery-1', ['b-picture', 'c-picture', 'd-picture']);
const good = checked(project({ parts: [gallery] }));

test('nothing is said about a page in good order', () => {
  expect(findingsOfPage(good)).toEqual([]);
});

describe('pictures', () => {
  test('without alt text, once for each however often it stands there', () => {
    const bare = picture('a-picture', { alt: ' ' });
    const page = project({ parts: [newPart('gallery', 'gallery-1', ['a-picture', 'b-picture'])] });
    expect(of('alt', checked(page, [bare]))).toMatchObject([
      { weight: 'needed', part: 'opening', material: 'a-picture', says: '“Dial” has no alt text.' },
    ]);
  });

  // The first three are examples of failures F30 and F65 in “Techniques for WCAG 2.2” (W3C); from memory.
  test.each([
    ['IMG_0412.jpg', 'says only the name of its file'],
    ['img_0412', 'says only the name of its file'],
    ['dial', 'repeats the title'],
    ['Picture of a dial', 'begins with what kind of thing it is'],
    ['An image showing a dial', 'begins with what kind of thing it is'],
    ['a'.repeat(201), 'is 201 characters long'],
  ])('whose alt text is “%.30s”: %s', (alt, fault) => {
    expect(says('alt-unhelpful', withPicture({ alt }))).toEqual([`The alt text of “Dial” ${fault}.`]);
  });

  test.each(['A picture frame of oak', 'Photographers on the quay', 'Dial with one hand', 'a'.repeat(200)])(
    'whose alt text says what there is: “%.30s”',
    (alt) => expect(of('alt-unhelpful', withPicture({ alt }))).toEqual([]),
  );

  test('with too few pixels for their place; the same picture is large enough elsewhere', () => {
    const small = picture('a-picture', { facts: { ...somePicture.facts, widthPx: 600, heightPx: 400 } });
    const inGallery = newPart('gallery', 'gallery-1', ['a-picture']);
    expect(of('coarse', checked(project(), [small]))).toMatchObject([{ weight: 'nice', part: 'opening' }]);
    expect(
      of(
        'coarse',
        checked(project({ opening: { layout: 'words', pictures: [] }, parts: [inGallery] }), [small]),
      ),
    ).toEqual([]);
  });

  test.each([
    [0, ['The project has no picture.']],
    [1, ['The project has one picture.']],
    [3, ['The project has 3 pictures.']],
    [4, []],
    [8, []],
    [9, ['The project has 9 pictures.']],
  ])('%s of a project', (count, said) => {
    const all = Array.from({ length: count }, (_, at) => picture(`number-${at}`));
    const page = project({
      opening: { layout: 'words', pictures: [] },
      parts: [
        newPart(
          'gallery',
          'gallery-1',
          all.map(({ id }) => id),
        ),
      ],
    });
    expect(says('pictures', checked(page, all))).toEqual(said);
  });
});

describe('works of others', () => {
  const theirs = { ...mine, whose: 'someone-else' as const, maker: 'Ana', source: 'Town archive' };

  test('without source or licence are Needed; a maker nobody named is Nice to have', () => {
    const weights = (provenance: object) =>
      of('credit', withPicture({ provenance: { ...theirs, ...provenance } })).map((one) => one.weight);
    expect(weights({})).toEqual(['needed']);
    expect(weights({ licence: 'CC-BY-4.0', source: '' })).toEqual(['needed']);
    expect(weights({ licence: 'CC-BY-4.0', maker: '' })).toEqual(['nice']);
    expect(weights({ licence: 'CC-BY-4.0', maker: '', makerUnknown: true })).toEqual([]);
    expect(weights({ whose: 'with-others', maker: '' })).toEqual(['nice']);
    expect(weights({ whose: 'mine' })).toEqual([]);
  });

  test('that may be shown only as they are, and are not', () => {
    const cut = { crop: { x: 0, y: 0, width: 0.5, height: 1 }, turn: 2 };
    const said = (licence: 'CC-BY-NC-ND-4.0' | 'CC-BY-NC-4.0', fixes: object, whose = 'someone-else') =>
      says('licence', withPicture({ fixes, provenance: { ...theirs, whose: whose as 'mine', licence } }));
    expect(said('CC-BY-NC-ND-4.0', cut)).toEqual([
      '“Dial” is cut and turned, and its licence lets it be shown only as it is.',
    ]);
    expect(said('CC-BY-NC-ND-4.0', {})).toEqual([]);
    expect(said('CC-BY-NC-4.0', cut)).toEqual([]);
    expect(said('CC-BY-NC-ND-4.0', cut, 'mine')).toEqual([]);
  });
});

describe('links', () => {
  const link = (state: LinkState, more: Partial<LinkFacts> = {}): Material =>
    ({
      ...{ ...somePicture, id: 'link-1', kind: 'link', title: 'Tides', alt: '', fixes: {}, provenance: mine },
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

describe('words', () => {
  test('with a small heading before the first large one, or a heading without words', () => {
    expect(says('headings', withWords(heading(3, 'Gears')))).toEqual([
      '“Gears” is a small heading without a large one above it.',
    ]);
    expect(says('headings', withWords(heading(2, '')))).toEqual(['A heading has no words.']);
    expect(says('headings', withWords(heading(2, 'Why'), heading(3, 'Gears')))).toEqual([]);
  });

  test('that are very hard to read in English, or a paragraph that is very long', () => {
    const hard =
      'Institutional interdisciplinarity necessitates epistemological reconfiguration notwithstanding organisational heterogeneity. '.repeat(
        8,
      );
    const page = (text: string, language: 'en' | 'de') =>
      checked(project({ parts: [words(paragraph(plain(text)))], language }));
    expect(says('hard-words', page(hard, 'en'))).toEqual(['These words are very hard to read.']);
    expect(says('hard-words', page(hard, 'de'))).toEqual([]);
    expect(says('hard-words', page('The cat sat on the mat. '.repeat(26), 'en'))).toEqual([
      'A paragraph is 156 words long.',
    ]);
    expect(says('hard-words', page('The cat sat on the mat. '.repeat(25), 'en'))).toEqual([]);
  });

  test('that were meant to be replaced', () => {
    expect(says('left-over', withWords(paragraph(plain('More is coming soon.'))))).toEqual([
      'It says “coming soon”.',
    ]);
    expect(says('left-over', checked(project({ summary: 'TODO' })))).toEqual(['It says “TODO”.']);
    // In a part of any kind.
    const contact = part('contact', { words: 'Lorem ipsum.' });
    expect(of('left-over', checked(project({ parts: [contact] as never })))).toMatchObject([
      { part: 'contact-1' },
    ]);
    expect(says('left-over', withWords(paragraph(plain('Todo el día, soon.'))))).toEqual([]);
  });
});

describe('what is not there', () => {
  test('a title, a summary; and a summary that is too long', () => {
    const weights = (fields: object) => of('title', checked(project(fields))).map((one) => one.weight);
    expect(weights({ title: ' ' })).toEqual(['needed']);
    expect(weights({ summary: '' })).toEqual(['nice']);
    expect(says('title', checked(project({ summary: 'word '.repeat(41) })))).toEqual([
      'The summary runs to 41 words.',
    ]);
  });

  test('a role beside others, and when it was made', () => {
    const ana = { name: 'Ana', did: '' };
    const said = (facts: object) => says('facts', checked(project({ facts: { ...noFacts, ...facts } })));
    expect(said({ withWhom: [ana], from: '2025' })).toEqual(['Others are named, and your own part is not.']);
    expect(said({ withWhom: [ana], role: 'Gears', when: 'Last autumn' })).toEqual([]);
    expect(said({})).toEqual(['The page does not say when it was made.']);
  });

  test('captions of a clip, a transcript of a sound', () => {
    const sound = (transcript: string): Material => sampleSound('sound-1', { title: 'Bell', transcript });
    const page = project({ parts: [newPart('sound', 'a-sound', ['sound-1'])] });
    expect(says('transcript', checked(page, [sound('')]))).toEqual(['The sound “Bell” has no transcript.']);
    expect(says('transcript', checked(page, [sound('A bell.')]))).toEqual([]);
  });

  test('what an outline asks for, and the rest of a part that is begun', () => {
    const asked = part('quote', { prompt: 'What did they say?' });
    expect(says('outline', checked(project({ parts: [asked] })))).toEqual([
      'Nobody has filled in the quote: “What did they say?”',
    ]);
    const begun = part('evidence', { material: 'a-picture', what: 'The dial.' });
    expect(of('unfinished', checked(project({ parts: [begun] })))).toMatchObject([{ weight: 'nice' }]);
    expect(of('unfinished', checked(project({ parts: [part('evidence')] })))).toEqual([]);
  });

  test('captions below pictures where those beside have one, and nowhere else', () => {
    const told = (captions: string[], more: object = {}) => {
      const all = captions.map((caption, at) => picture(`in-${at}`, { title: `Step ${at}`, caption }));
      const parts = [part('gallery', { pictures: all.map(({ id }) => id), captions: 'below', ...more })];
      return says('caption', checked(project({ parts }), all));
    };
    expect(told(['Cut', 'Glued', ' '])).toEqual([
      '“Step 2” has no caption, and the pictures beside it have.',
    ]);
    expect(told(['Cut', '', '', 'Painted'])).toEqual([
      '2 pictures from “Step 1” on have no caption, and the pictures beside them have.',
    ]);
    for (const none of [
      ['Cut', 'Glued'],
      ['Cut', '', ''],
      ['', ''],
    ])
      expect(told(none)).toEqual([]);
    expect(told(['Cut', 'Glued', ''], { captions: 'hidden' })).toEqual([]);
    // Those that stand alone are compared with each other, not with a gallery.
    const alone = [picture('one', { caption: 'Cut' }), picture('two', { title: 'Glue', caption: '' })];
    const parts = alone.map(({ id }) => newPart('picture', `part-${id}`, [id]));
    expect(of('caption', checked(project({ parts }), alone))).toMatchObject([
      { part: 'part-two', material: 'two', weight: 'nice' },
    ]);
  });

  test('as much evidence as a list asks for that its maker took in, where that is more', () => {
    const lists = [{ name: 'Review', by: 'Idris', evidence: 3 }];
    const told = (site: object) => of('evidence', { ...good, site: { ...englishSite, ...site } });
    expect(told({ lists })).toMatchObject([
      { why: expect.stringMatching(/^The list “Review” from Idris asks for 3 in each\./) },
    ]);
    expect(told({ lists, evidenceWanted: 4 })).toMatchObject([
      { why: expect.stringMatching(/^You wish for 4 in each\./) },
    ]);
    expect(told({ lists: [{ ...lists[0], evidence: 0 }] })).toEqual([]);
  });

  test('as much evidence as its maker wishes for', () => {
    expect(says('evidence', { ...good, site: { ...englishSite, evidenceWanted: 2 } })).toEqual([
      'The project has no evidence yet.',
    ]);
    expect(says('evidence', good)).toEqual([]);
  });

  test('days of an availability that are still to come', () => {
    const free = (to: string | null) =>
      says('availability', checked(project({ parts: [part('availability', { text: 'a placement', to })] })));
    expect(free('2026-11-28')).toHaveLength(1);
    expect(free('2026-11-29')).toEqual([]);
    expect(free(null)).toEqual([]);
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

describe('plans for a year that has passed', () => {
  const told = (text: string, language: string | null = null) =>
    says('stale', checked(project({ language, parts: [words(paragraph(plain(text)))] })));
  test.each([
    ['It will be shown at the quay in June 2025.', 'en'],
    ['Ich werde 2025 fertig.', 'de'],
    ['La suite est prévue pour 2024.', 'fr'],
    ['Será publicado en 2025.', 'es'],
  ])('are asked about: %s', (text, language) => {
    expect(told(text, language)).toEqual([
      `“${text}” speaks of ${/20\d\d/.exec(text)?.[0]} as if it were to come.`,
    ]);
  });
  test.each([
    'It will be shown at the quay in June 2027.',
    'Between 2024 and 2026 it will have run for two years.',
    'It was shown in 2024. The next one will be better.',
    'It will take 2000 × 1200 mm of wood.',
    'Shown from 2023–2025, and it will not be again.',
  ])('and not: %s', (text) => {
    expect(told(text)).toEqual([]);
  });
  test('in a language without words for it nothing is said', () => {
    expect(told('Komt uit in 2025, will.', 'nl')).toEqual([]);
  });
});

describe('words in another language than their page', () => {
  const german =
    'Die Uhr zeigt, wie hoch das Wasser steht. Sie hat nur einen Zeiger, und der dreht sich einmal mit jeder Flut. Gebaut ist sie aus dem Holz eines alten Bootes, das im Hafen lag.';
  const english =
    'The clock shows how high the water stands. It has one hand only, which turns once with every tide. It is built of the wood of an old boat that lay in the harbour for years.';
  const told = (texts: readonly string[], language: string | null) => {
    const parts = texts.map((text, at) => ({ ...words(paragraph(plain(text))), id: `words-${at}` }));
    return of('language', checked(project({ language, parts })));
  };

  test('are told where they stand, in both directions', () => {
    expect(told([english, german], null)).toMatchObject([
      { part: 'words-1', weight: 'nice', says: 'These words read as German; the page is in English.' },
    ]);
    expect(told([english, german], 'de')).toMatchObject([{ part: 'words-0' }]);
  });

  test('once of a page that is all in one, with where that is mended', () => {
    expect(told([german, german], 'en')).toMatchObject([
      {
        part: null,
        says: 'This page reads as German, and says of itself that it is in English.',
        why: expect.stringContaining('in Arrange'),
      },
    ]);
    expect(told([german, german], 'de')).toEqual([]);
  });

  test('and not of what somebody else said, nor of a few words', () => {
    const quote = part('quote', { text: german });
    expect(says('language', checked(project({ parts: [quote, words(paragraph(plain(english)))] })))).toEqual(
      [],
    );
    expect(told(['Gezeiten, Ebbe und Flut.', english], null)).toEqual([]);
  });
});

describe('what somebody can be found by', () => {
  test('in the title, the facts, a part of any kind, and what is said of what stands there', () => {
    const page = project({
      title: 'Stool for +44 7700 900123',
      facts: { ...noFacts, withWhom: [{ name: 'Ana', did: 'ana@school.example' }] },
      parts: [part('quote', { text: 'Student no. 4410872 said so.' }), gallery] as never,
    });
    const about = [picture('b-picture', { caption: 'In front of 14 Quay Street.' })];
    expect(
      of('personal', checked(page, about)).map(({ says: one, part: at, material }) => [one, at, material]),
    ).toEqual([
      ['“ana@school.example” is an e-mail address.', null, null],
      ['“+44 7700 900123” looks like a telephone number.', null, null],
      ['“4410872” looks like a student number.', 'quote-1', null],
      [
        '“14 Quay Street” in what is said of “Dial” looks like where somebody lives.',
        'gallery-1',
        'b-picture',
      ],
    ]);
  });

  test('but not in what is there for readers to write to its maker, nor under the name of a picture’s file', () => {
    const page = project({ parts: [part('contact', { words: 'ana@school.example' }), gallery] as never });
    expect(
      says('personal', checked(page, [picture('b-picture', { fileName: '030 23125 014.jpg' })])),
    ).toEqual([]);
  });

  test('all of it where its maker is under 18, and it says whom to ask', () => {
    const page = project({
      parts: [part('contact', { words: 'ana@school.example' })] as never,
      summary: 'I am 16.',
    });
    const site = { ...englishSite, underAge: true };
    const found = findingsOfPage({ ...checked(page), site }).filter(({ rule }) => rule === 'personal');
    expect(found.map((one) => one.says)).toEqual([
      '“I am 16” says how old you are.',
      '“ana@school.example” is an e-mail address.',
    ]);
    expect(found.every(({ why }) => why.includes('somebody who looks after you agrees'))).toBe(true);
    expect(says('personal', checked(page))).toEqual([]);
  });

  test('let stand, it is remembered by a digest, which says nothing of it', () => {
    const page = project({ parts: [gallery], summary: 'ana@school.example' });
    const [found] = findingsOfPage(checked(page)).filter(({ rule }) => rule === 'personal');
    expect(found).toMatchObject({ weight: 'needed', of: expect.stringMatching(/^[0-9a-f]{16}$/) });
    expect(found?.key).not.toContain('ana');
  });
});

test('each finding has a key of its own that stays when another is mended; Needed come first', () => {
  const bare = [picture('b-picture', { alt: '' }), picture('c-picture', { alt: '' })];
  const page = project({ parts: [gallery], title: '', summary: '' });
  const before = findingsOfPage(checked(page, bare));
  expect(before.map(({ rule, weight }) => [rule, weight])).toEqual([
    ['title', 'needed'],
    ['alt', 'needed'],
    ['alt', 'needed'],
    ['title', 'nice'],
  ]);
  expect(new Set(before.map(({ key }) => key)).size).toBe(4);
  const after = findingsOfPage(checked(page, bare.slice(1)));
  expect(after.map(({ key }) => key)).toEqual(before.map(({ key }) => key).filter((_, at) => at !== 1));
});
