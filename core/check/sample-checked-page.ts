import fc from 'fast-check';
import { draftArbitrary } from '../access/arbitrary-draft.ts';
import { mine } from '../credits/provenance.ts';
import { noFacts } from '../pages/case-facts.ts';
import type { Material, MaterialOf } from '../materials/material.ts';
import type { PageOf } from '../pages/page.ts';
import { newPart } from '../parts/new-part.ts';
import type { Part, PartKind } from '../parts/parts.ts';
import type { Block, RichText } from '../words/rich-text.ts';
import type { CheckedPage } from './checked-page.ts';
import { nothingLookedAt } from './looked-at.ts';
import { rules, type RuleKey } from './rules.ts';

/** For tests of rules: a page that none has anything to say about, and what it is made of, so that each test spoils one thing. */
const [sample] = fc.sample(draftArbitrary, { numRuns: 1, seed: 5 });
const [someProject] = sample?.pages ?? [];
const somePicture = sample?.materials.find((one): one is MaterialOf<'picture'> => one.kind === 'picture');
if (!someProject || !somePicture) throw new Error('no sample');

export const picture = (id: string, fields: Partial<MaterialOf<'picture'>> = {}): MaterialOf<'picture'> => ({
  ...somePicture,
  ...{ id, title: 'Dial', fileName: 'IMG_0412.jpg', alt: 'A round dial with one hand', caption: '' },
  ...{ provenance: mine, fixes: {} },
  facts: { ...somePicture.facts, widthPx: 4000, heightPx: 3000 },
  ...fields,
});
export const part = (kind: PartKind, fields: object = {}): Part =>
  ({ ...newPart(kind, `${kind}-1`), ...fields }) as Part;
export const paragraph = (...content: object[]): Block => ({ type: 'paragraph', content }) as Block;
export const plain = (text: string): object => ({ type: 'text', text });
export const heading = (level: 2 | 3, text: string): Block =>
  ({ type: 'heading', attrs: { level }, content: text === '' ? [] : [plain(text)] }) as Block;
export const linked = (text: string, href = 'https://tides.example/'): object => ({
  ...{ type: 'text', text },
  marks: [{ type: 'link', attrs: { href } }],
});
export const words = (...content: Block[]): Part =>
  part('words', { text: { type: 'doc', content } satisfies RichText });

/** A project that no rule has anything to say about, with some of it otherwise. */
export const project = (fields: Partial<PageOf<'project'>> = {}): PageOf<'project'> => ({
  ...someProject,
  ...{ id: 'project-1', title: 'Tide clock', summary: 'One hand, one turn a tide.', language: null },
  ...{ height: 'public', archived: false, parent: null, cover: { picture: null, focus: null } },
  facts: { ...noFacts, from: '2025-09' },
  opening: { layout: 'full', pictures: ['a-picture'] },
  parts: [part('gallery', { pictures: ['b-picture', 'c-picture', 'd-picture'] }) as never],
  ...fields,
});
const four = ['a-picture', 'b-picture', 'c-picture', 'd-picture'].map((id) => picture(id));
export const englishSite: CheckedPage['site'] = {
  language: 'en',
  evidenceWanted: 0,
  underAge: false,
  lists: [],
};
export const checked = (
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
/** What one rule finds. */
export const of = (rule: RuleKey, input: CheckedPage) => rules[rule](input);
/** Its sentences. */
export const says = (rule: RuleKey, input: CheckedPage) => of(rule, input).map((one) => one.says);
export const withWords = (...content: Block[]) => checked(project({ parts: [words(...content)] }));
export const withPicture = (fields: Partial<MaterialOf<'picture'>>) =>
  checked(project(), [picture('a-picture', fields)]);

/** The gallery as its own rules make it, so that the page is one that could be stored. */
export const gallery = newPart('gallery', 'gallery-1', ['b-picture', 'c-picture', 'd-picture']);
export const good = checked(project({ parts: [gallery] }));
