import fc from 'fast-check';
import { type Height, heights } from './height.ts';
import type { LinkFacts } from '../materials/link.ts';
import { sampleLinkFacts } from '../materials/sample-link.ts';
import type { Material, PictureFacts } from '../materials/material.ts';
import { noFacts } from '../pages/case-facts.ts';
import { mine } from '../credits/provenance.ts';
import { firstLook } from '../look/look.ts';
import { type Page, type PageOf, pageSchema } from '../pages/page.ts';
import { pageKinds } from '../pages/page-kinds.ts';
import { firstDrawnPortrait } from '../about/drawn-portrait-choice.ts';
import { type Ground, groundColours, passingSides } from '../parts/ground.ts';
import { type LinkForm, linkForms } from '../parts/link.ts';
import type { PartBase } from '../parts/part-base.ts';
import { type Part, type PartKind, partKinds, type PartOf } from '../parts/parts.ts';
import type { Draft } from '../sites/site.ts';
import { firstArrangement } from '../sites/arrangement.ts';
import { wallLabels } from '../sites/wall-labels.ts';

/**
 * Random sites for property tests. Every text and every original carries a marker of the thing it belongs to
 * (`«page-3»`, `«part-3-1»`, `«material-7»`), so a test can look for it in whatever was made from the site.
 */
const height = fc.constantFrom(...heights);
/** Mostly open, so that deep trees are not all private. */
const mostlyOpen = fc.oneof(
  { weight: 3, arbitrary: fc.constant('public' as const) },
  { weight: 2, arbitrary: height },
);

export const marker = {
  page: (page: string) => `«${page}»`,
  part: (part: string) => `«${part}»`,
  material: (material: string) => `«${material}»`,
  /** Why something is let stand: nobody's but its maker's. */
  waiver: '«a waiver»',
  list: '«a list»',
};

function material(at: number): Material {
  const id = `material-${at}`;
  const base = {
    id,
    title: `title ${marker.material(id)}`,
    caption: `caption ${marker.material(id)}`,
    alt: `alt ${marker.material(id)}`,
    original: at.toString(16).padStart(64, '0'),
    fileName: `secret-${marker.material(id)}.jpg`,
    bytes: 1000,
    takenOn: '2026-01-01T10:00:00',
    tags: [`tag ${marker.material(id)}`],
    provenance: { ...mine, whose: 'someone-else' as const, source: `source ${marker.material(id)}` },
    project: null,
    fixes: {},
    transcript: '',
    shownBy: null,
  };
  if (at === soundAt)
    return {
      ...base,
      kind: 'sound',
      facts: { format: 'mp3', seconds: 3 },
      transcript: `said ${marker.material(id)}`,
    };
  if (at === clipAt)
    return {
      ...base,
      kind: 'clip',
      facts: { format: 'mp4', seconds: 3, widthPx: 640, heightPx: 360 },
      transcript: `shown ${marker.material(id)}`,
      shownBy: 'material-0',
    };
  if (at === documentAt)
    return {
      ...base,
      kind: 'document',
      facts: { format: 'pdf', pages: [{ widthPt: 600, heightPt: 800 }], words: 10 },
    };
  if (at === noteAt)
    return { ...base, kind: 'note', facts: { format: 'note' }, transcript: `note ${marker.material(id)}` };
  if (at === linkAt) return { ...base, kind: 'link', facts: linkFacts(id) };
  return { ...base, kind: 'picture', facts: pictureFacts };
}

const pictureFacts: PictureFacts = {
  format: 'jpeg',
  widthPx: 1200,
  heightPx: 800,
  orientation: 1,
  hasGps: true,
  colour: '#888888',
  frames: 1,
};

const linkFacts = (id: string): LinkFacts =>
  sampleLinkFacts({ url: `https://kite.example/${id}`, title: `page ${marker.material(id)}` });

const materialCount = 8;
const documentAt = 3;
const soundAt = 4;
const clipAt = 5;
const linkAt = 6;
const noteAt = 7;
/** What no part of any page shows to anybody but its maker. */
export const noteId = `material-${noteAt}`;
const materialId = fc.nat(materialCount - 1).map((at) => `material-${at}`);

/** As JSON gives objects back. */
const plain = { noNullPrototype: true };
const groundSpec: fc.Arbitrary<Ground> = fc.oneof(
  fc.record(
    {
      kind: fc.constant('colour' as const),
      colour: fc.constantFrom(...groundColours),
      wide: fc.boolean(),
    },
    plain,
  ),
  fc.record({ kind: fc.constant('picture' as const), picture: materialId, wide: fc.boolean() }, plain),
  fc.record(
    {
      kind: fc.constant('passing' as const),
      pictures: fc.uniqueArray(materialId, { minLength: 1, maxLength: 2 }),
      side: fc.constantFrom(...passingSides),
    },
    plain,
  ),
);

const partSpec = fc.record({
  height: mostlyOpen,
  form: fc.constantFrom(...linkForms),
  inside: mostlyOpen,
  kind: fc.oneof(
    { weight: 3, arbitrary: fc.constantFrom(...(Object.keys(partKinds) as PartKind[])) },
    // What is drawn elsewhere than where it is kept: seldom both are there by chance.
    { weight: 1, arbitrary: fc.constantFrom<PartKind>('moment', 'moment', 'process', 'decisions') },
  ),
  materials: fc.uniqueArray(materialId, { maxLength: 3 }),
  ground: fc.option(groundSpec, { nil: undefined, freq: 2 }),
});

interface PartSpec {
  id: string;
  said: string;
  materials: string[];
  form: LinkForm;
  /** Of a thing inside the part that has a height of its own. */
  inside: Height;
}
type Own<K extends PartKind> = Omit<PartOf<K>, keyof PartBase | 'kind'>;

/** One of each kind, with its marker in whatever words it has; a kind that is missing here does not compile. */
const samples: { [K in PartKind]: (spec: PartSpec) => Own<K> } = {
  words: ({ said }) => {
    const text = { type: 'text' as const, text: `words ${said}` };
    return { text: { type: 'doc', content: [{ type: 'paragraph', content: [text] }] } };
  },
  picture: ({ materials: [material = null] }) => ({ material, width: 'wide', link: '' }),
  gallery: ({ said, materials }) => ({
    title: `gallery ${said}`,
    pictures: materials,
    layout: 'rows',
    captions: 'below',
    autoplay: false,
  }),
  document: ({ materials: [material = null] }) => ({ material, download: true }),
  sound: ({ materials: [material = null] }) => ({ material }),
  clip: ({ materials: [material = null] }) => ({ material }),
  link: ({ form, materials: [material = null] }) => ({ material, form, align: 'left' }),
  quote: ({ said }) => ({ text: `quoted ${said}`, by: said }),
  compare: ({ said, materials: [before = null, after = null] }) => ({
    before,
    after,
    beforeName: said,
    afterName: '',
  }),
  agenda: ({ id, said, inside }) => ({
    title: `agenda ${said}`,
    entries: [
      {
        ...{ id: `${id}-open`, height: 'public', kind: 'task', what: `task ${said}` },
        ...{ day: '2026-12-18', time: null, done: null, zone: '' },
      },
      {
        ...{ id: `${id}-own`, height: inside, kind: 'date', what: `date ${marker.part(`${id}-own`)}` },
        ...{ day: '2026-12-05', time: null, until: null, place: '', from: 'secret-file' },
      },
    ],
  }),
  'early-late': ({ id, said, materials: [first = null, second = null] }) => ({
    states: [
      { id: `${id}-early`, date: '2025-11', name: said, material: first, words: `early ${said}` },
      { id: `${id}-late`, date: '2026', name: '', material: second, words: `late ${said}` },
    ],
  }),
  evidence: ({ said, materials: [material = null] }) => ({
    material,
    what: `what ${said}`,
    why: '',
    shows: '',
  }),
  reflection: ({ id, said }) => ({
    answers: [{ id: 'answer-1', question: `secret-question ${id}`, text: `answer ${said}` }],
  }),
  credits: () => ({}),
  contact: ({ said }) => ({ words: `write ${said}`, form: false, link: '', card: false }),
  table: ({ id, said, inside }) => ({
    title: `table ${said}`,
    columns: [
      { id: `${id}-open`, name: `column ${said}`, height: 'public', sum: true },
      { id: `${id}-own`, name: `column ${marker.part(`${id}-own`)}`, height: inside, sum: false },
    ],
    rows: [[`cell ${said}`, `cell ${marker.part(`${id}-own`)}`]],
  }),
  portrait: ({ said, materials: [material = null] }) => ({
    form: material === null ? 'letters' : 'photo',
    ...{ material, face: true, letters: said.slice(0, 3), drawing: firstDrawnPortrait },
  }),
  'full-name': ({ said }) => ({ text: `called ${said}` }),
  headline: ({ said }) => ({ text: `headline ${said}` }),
  pronouns: ({ said }) => ({ text: said }),
  place: ({ said }) => ({ exactness: 'region', text: `at ${said}` }),
  availability: ({ said }) => ({ text: `free for ${said}`, from: null, to: '2027-08-29' }),
  languages: () => ({ list: [{ language: 'de', level: 'B1' }] }),
  profiles: ({ said }) => ({
    list: [{ name: `seen ${said}`, to: 'https://elsewhere.example/', is: 'work' }],
  }),
  telling: ({ said }) => ({
    half: 'work',
    answers: [{ id: 'check', text: `told ${said}`, proof: 'page-1' }],
  }),
  version: ({ id }) => ({
    ...{ name: `secret-version ${id}`, wants: `secret-wish ${id}`, pages: 1, paper: 'a4', fonts: 'site' },
    // Those of the same page, wherever it stands.
    entries: [0, 1, 2, 3].map((at) => id.slice(0, id.lastIndexOf('-') + 1) + at),
    ...{ without: [], words: [], language: null, file: true },
  }),
  entry: ({ id, said }) => ({
    ...{ section: 'work', title: `did ${said}`, place: '', from: '2025', to: 'now', level: '' },
    lines: [{ id: `${id}-line`, text: `line ${said}`, proof: { page: 'page-1', part: 'part-1-0' } }],
    ...{ proofs: [], refused: [{ page: `secret-refused-${id}`, part: null }], page: null },
  }),
  process: ({ said, form }) => ({
    ...{ title: `process ${said}`, pages: null, phase: null, chosen: [], form: 'story', spacing: 'true' },
    // Of every other one readers are told less.
    ...{ reasons: form === 'card', company: form === 'card', time: form === 'card' },
  }),
  decisions: ({ said }) => ({ title: `decisions ${said}`, pages: null }),
  moment: ({ id, said, materials }) => ({
    ...{ date: '2024-W07', title: `moment ${said}`, happened: `happened ${said}`, decided: `decided ${id}` },
    ...{ why: `why ${id}`, turnedDown: `instead ${id}`, next: `next ${id}`, with: `with ${id}` },
    ...{ phase: 'phase-build', minutes: 7001, materials },
    // The first part of the same page, if that is a moment.
    ledTo: `${id.slice(0, id.lastIndexOf('-') + 1)}0`,
  }),
};

function part(
  pageAt: number,
  at: number,
  {
    height: own,
    kind,
    ground,
    ...spec
  }: Omit<PartSpec, 'id' | 'said'> & { height: Height; kind: PartKind; ground: Ground | undefined },
): Part {
  const id = `part-${pageAt}-${at}`;
  const content = samples[kind]({ id, said: marker.part(id), ...spec });
  return {
    id,
    height: own,
    prompt: `secret-prompt ${id}`,
    ...(ground && { ground }),
    kind,
    ...content,
  } as Part;
}

const pageSpec = fc.record({
  height: mostlyOpen,
  parentStep: fc.option(fc.nat(5), { nil: null }),
  cover: fc.option(materialId, { nil: null }),
  opening: fc.uniqueArray(materialId, { maxLength: 2 }),
  parts: fc.array(partSpec, { maxLength: 4 }),
  /** Put away, now and then. */
  archived: fc.integer({ min: 0, max: 9 }).map((n) => n === 0),
  inMenu: fc.constantFrom(true, false, null),
  language: fc.constantFrom(null, null, 'de', 'he'),
});

const quickLink = fc.record({
  id: fc.nat(99).map((at) => `link-${at}`),
  name: fc.constantFrom('', 'Bookings', 'Tides'),
  to: fc.constantFrom('', 'https://tides.example/'),
  newWindow: fc.boolean(),
  inMenu: fc.boolean(),
  atEnd: fc.constantFrom('none', 'every', 'chosen'),
  pages: fc.uniqueArray(fc.nat(9).map((at) => `page-${at}`)),
});

/** A draft whose pages are all projects. */
export interface ProjectDraft extends Omit<Draft, 'pages'> {
  pages: PageOf<'project'>[];
}

export const draftArbitrary: fc.Arbitrary<ProjectDraft> = fc
  .record({
    height,
    pages: fc.array(pageSpec, { minLength: 1, maxLength: 8 }),
    wallOrder: fc.uniqueArray(fc.nat(9).map((at) => `page-${at}`)),
    offWall: fc.uniqueArray(
      fc.nat(9).map((at) => `page-${at}`),
      { maxLength: 2 },
    ),
    quickLinks: fc.array(quickLink, { maxLength: 3 }),
    language: fc.constantFrom('en', 'de', 'fr', 'ar', 'ja'),
    welcome: fc.boolean(),
    linkPictures: fc.boolean(),
    ground: fc.option(materialId, { nil: null, freq: 2 }),
    wallLabels: fc.constantFrom(...wallLabels),
  })
  .map((spec) => ({
    site: {
      id: 'site-1',
      title: 'A site',
      height: spec.height,
      address: 'a-site',
      searchEngines: false,
      look: { ...firstLook, ground: { ...firstLook.ground, picture: spec.ground } },
      evidenceWanted: 3,
      ...{ ...firstArrangement, wallOrder: spec.wallOrder, offWall: spec.offWall },
      waived: [{ key: 'alt page-0', of: '0'.repeat(16), reason: marker.waiver }],
      lists: [{ ...{ id: 'a-list-1', name: marker.list, by: marker.list, evidence: 0 }, lines: [] }],
      ...{ quickLinks: spec.quickLinks, language: spec.language, welcome: spec.welcome },
      linkPictures: spec.linkPictures,
      ...{ wallLabels: spec.wallLabels, wallDates: true, wallTags: true },
    },
    materials: Array.from({ length: materialCount }, (_, at) => material(at)),
    pages: spec.pages.map((page, at): PageOf<'project'> => {
      const id = `page-${at}`;
      // A parent always stands earlier in the list, so the tree has no circles.
      const parent = at > 0 && page.parentStep !== null ? `page-${page.parentStep % at}` : null;
      return {
        id,
        kind: 'project',
        slug: `p${at}`,
        title: `title ${marker.page(id)}`,
        summary: `summary ${marker.page(id)}`,
        height: page.height,
        rank: `a${at}`,
        parent,
        opening: { layout: 'full', pictures: page.opening },
        facts: { ...noFacts, when: `when ${marker.page(id)}` },
        cover: { picture: page.cover, focus: null },
        parts: page.parts.map((one, partAt) => part(at, partAt, one)),
        archived: page.archived,
        inMenu: page.inMenu,
        language: page.language,
      };
    }),
  }));

/** A draft with pages of all kinds: what they have in common is any, and each has of the rest what its kind has. */
export const mixedDraftArbitrary: fc.Arbitrary<Draft> = fc
  .tuple(draftArbitrary, fc.infiniteStream(fc.constantFrom(...pageKinds)))
  .map(([draft, kinds]) => ({
    ...draft,
    pages: draft.pages.map((page): Page => {
      const leadsTo = `https://elsewhere.example/${marker.page(page.id)}`;
      return pageSchema.parse({ ...page, kind: kinds.next().value, leadsTo, newWindow: true });
    }),
  }));
