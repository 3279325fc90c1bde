import fc from 'fast-check';
import { heights } from '../content/height.ts';
import type { LinkFacts } from '../content/link.ts';
import { sampleLinkFacts } from '../content/sample-link.ts';
import type { Material, PictureFacts } from '../content/material.ts';
import { noFacts } from '../content/case-facts.ts';
import { mine } from '../content/provenance.ts';
import type { Page } from '../content/page.ts';
import { type LinkForm, linkForms, type Part, type PartKind } from '../content/part.ts';
import type { Draft } from '../content/site.ts';

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
  thumbhash: '',
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

/** Every kind of part there is; one that is missing here does not compile. */
const partKinds = Object.keys({
  words: 0,
  picture: 0,
  gallery: 0,
  document: 0,
  sound: 0,
  clip: 0,
  link: 0,
  quote: 0,
  compare: 0,
  evidence: 0,
  reflection: 0,
  credits: 0,
  contact: 0,
} satisfies Record<PartKind, 0>) as PartKind[];

const partSpec = fc.record({
  height: mostlyOpen,
  form: fc.constantFrom(...linkForms),
  kind: fc.constantFrom(...partKinds),
  materials: fc.uniqueArray(materialId, { maxLength: 3 }),
});

function part(
  pageAt: number,
  at: number,
  spec: { height: Part['height']; kind: PartKind; materials: string[]; form: LinkForm },
): Part {
  const id = `part-${pageAt}-${at}`;
  if (spec.kind === 'picture')
    return {
      id,
      height: spec.height,
      kind: 'picture',
      material: spec.materials[0] ?? null,
      width: 'wide',
      link: '',
    };
  if (spec.kind === 'link')
    return {
      id,
      height: spec.height,
      kind: 'link',
      material: spec.materials[0] ?? null,
      form: spec.form,
      align: 'left',
    };
  const base = { id, height: spec.height, prompt: `secret-prompt ${id}` };
  const [one = null, other = null] = spec.materials;
  if (spec.kind === 'document') return { ...base, kind: 'document', material: one, download: true };
  if (spec.kind === 'sound' || spec.kind === 'clip') return { ...base, kind: spec.kind, material: one };
  if (spec.kind === 'quote')
    return { ...base, kind: 'quote', text: `quoted ${marker.part(id)}`, by: marker.part(id) };
  if (spec.kind === 'contact')
    return { ...base, kind: 'contact', words: `write ${marker.part(id)}`, email: '', link: '' };
  if (spec.kind === 'credits') return { ...base, kind: 'credits' };
  if (spec.kind === 'compare')
    return {
      ...base,
      kind: 'compare',
      before: one,
      after: other,
      beforeName: marker.part(id),
      afterName: '',
    };
  if (spec.kind === 'evidence')
    return { ...base, kind: 'evidence', material: one, what: `what ${marker.part(id)}`, why: '', shows: '' };
  if (spec.kind === 'reflection')
    return {
      ...base,
      kind: 'reflection',
      answers: [{ id: 'answer-1', question: `secret-question ${id}`, text: `answer ${marker.part(id)}` }],
    };
  if (spec.kind === 'gallery')
    return {
      id,
      height: spec.height,
      kind: 'gallery',
      title: `gallery ${marker.part(id)}`,
      pictures: spec.materials,
      layout: 'rows',
      captions: 'below',
      autoplay: false,
    };
  const text = { type: 'text' as const, text: `words ${marker.part(id)}` };
  return {
    id,
    height: spec.height,
    kind: 'words',
    text: { type: 'doc', content: [{ type: 'paragraph', content: [text] }] },
  };
}

const pageSpec = fc.record({
  height: mostlyOpen,
  parentStep: fc.option(fc.nat(5), { nil: null }),
  cover: fc.option(materialId, { nil: null }),
  opening: fc.uniqueArray(materialId, { maxLength: 2 }),
  parts: fc.array(partSpec, { maxLength: 4 }),
  /** Put away, now and then. */
  archived: fc.integer({ min: 0, max: 9 }).map((n) => n === 0),
});

export const draftArbitrary: fc.Arbitrary<Draft> = fc
  .record({ height, pages: fc.array(pageSpec, { minLength: 1, maxLength: 8 }) })
  .map((spec) => ({
    site: {
      id: 'site-1',
      title: 'A site',
      height: spec.height,
      address: 'a-site',
      searchEngines: false,
      theme: 'broadsheet' as const,
      evidenceWanted: 3,
    },
    materials: Array.from({ length: materialCount }, (_, at) => material(at)),
    pages: spec.pages.map((page, at): Page => {
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
      };
    }),
  }));
