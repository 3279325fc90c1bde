import type { Material } from '../materials/material.ts';
import { mine } from '../credits/provenance.ts';
import { firstLook, type Look } from '../look/look.ts';
import { emptyContents } from '../pages/page-contents.ts';
import type { Page } from '../pages/page.ts';
import { newPart } from '../parts/new-part.ts';
import type { RichText } from '../words/rich-text.ts';
import { firstArrangement } from './arrangement.ts';
import type { SiteStarter, StarterPage } from './site-starters.ts';
import type { Draft } from './site.ts';

/** So many pictures the examples are made with; how they are drawn is the caller's. */
export const examplePictures = 6;
const examplePicture = (at: number): Material => ({
  id: `example-${at % examplePictures}`,
  kind: 'picture',
  ...{ title: '', caption: '', alt: '', fileName: '', transcript: '', original: '0'.repeat(64), bytes: 1 },
  ...{ takenOn: null, tags: [], provenance: mine, project: null, fixes: {}, shownBy: null },
  facts: {
    ...{ format: 'png', widthPx: at % 3 === 1 ? 900 : 1200, heightPx: at % 3 === 1 ? 1200 : 800 },
    ...{ orientation: 1, hasGps: false, colour: '#d9cdb4', frames: 1 },
  },
});

const inWords = (text: string): RichText => ({
  type: 'doc',
  content: [{ type: 'paragraph', content: [{ type: 'text', text }] }],
});

const words =
  'Here stands what you would say: who needed it, what was in the way, and what you did about it. Two or three sentences are enough to begin with.';

/**
 * How a site that was begun with a starter might look one day: all pages filled with invented words and drawn shapes. Nothing of it is
 * ever kept.
 */
export function exampleOfStarter(starter: SiteStarter, look: Look = firstLook): Draft {
  let drawn = 0;
  const common = (key: string) => ({
    ...{ id: `example-${key}`, slug: key, height: 'public' as const, archived: false },
    ...{ inMenu: null, language: null },
  });
  const pageOf = (page: StarterPage, at: number): Page => {
    const isWork = page.kind === 'project';
    const pictures = isWork ? [`example-${drawn++ % examplePictures}`] : [];
    const more = [drawn, drawn + 1, drawn + 2].map((one) => `example-${one % examplePictures}`);
    return {
      ...emptyContents[page.kind],
      ...common(page.key),
      kind: page.kind,
      parent: page.below ? `example-${page.below}` : null,
      rank: `a${String(at + 1).padStart(2, '0')}`,
      title: page.example.title ?? page.title,
      summary: page.example.summary,
      opening: { layout: isWork ? 'full' : 'words', pictures },
      parts:
        page.kind === 'group'
          ? []
          : [
              {
                ...newPart('words', `example-${page.key}-words`),
                text: inWords(page.example.words ?? words),
              },
              ...(isWork
                ? [{ ...newPart('gallery', `example-${page.key}-gallery`, more), title: 'How it came about' }]
                : []),
            ],
    } as Page;
  };
  const home = {
    ...emptyContents.home,
    ...common('home'),
    ...{ kind: 'home', parent: null, rank: 'a00' },
    ...starter.front,
  } as Page;
  return {
    site: {
      ...{
        id: 'example-site',
        title: 'Your name',
        height: 'public',
        address: 'example',
        searchEngines: false,
      },
      ...{ look, evidenceWanted: 0 },
      ...firstArrangement,
      ...starter.arrangement,
    },
    pages: [home, ...starter.pages.map(pageOf)],
    materials: Array.from({ length: examplePictures }, (_, at) => examplePicture(at)),
  };
}
