import { describe, expect, test } from '@jest/globals';
import { seenBy } from '../access/seen-by.ts';
import { standingBeside } from './beside.ts';
import { noFacts } from '../pages/case-facts.ts';
import { firstLook } from '../look/look.ts';
import { noCover } from '../pages/cover.ts';
import type { Page } from '../pages/page.ts';
import { partsSchema } from './parts.ts';
import { pageStarterKeys, starterKeys } from './starter-names.ts';
import { partsOfStarter, starters } from './starters.ts';
import { firstArrangement } from '../sites/arrangement.ts';

let count = 0;
const newId = () => `part-${(count += 1)}`;

describe.each([...starterKeys, ...pageStarterKeys])('the starter "%s"', (key) => {
  const parts = partsOfStarter(key, newId);

  test('makes parts that can be kept', () => {
    expect(partsSchema.parse(parts)).toEqual(parts);
    expect(parts.length).toBe(starters[key].parts.length);
    expect(standingBeside(parts).filter((share) => share !== null).length).toBe(
      starters[key].parts.filter(({ beside }) => beside).length,
    );
  });

  test('shows readers nothing of itself, also once one part is filled in', () => {
    const filled = parts.map((part, at) =>
      at === 0 && part.kind === 'words'
        ? {
            ...part,
            text: {
              type: 'doc' as const,
              content: [{ type: 'paragraph' as const, content: [{ type: 'text' as const, text: 'Mine.' }] }],
            },
          }
        : part,
    );
    const page: Page = {
      id: 'page-1',
      kind: 'project',
      parent: null,
      rank: 'a0',
      slug: 'page',
      title: '',
      summary: '',
      height: 'public',
      cover: noCover,
      opening: { layout: 'words', pictures: [] },
      facts: noFacts,
      parts: filled,
      archived: false,
      inMenu: null,
      language: null,
    };
    const site = {
      id: 's',
      title: 'A site',
      height: 'public' as const,
      address: 'a-site',
      searchEngines: false,
      look: firstLook,
      evidenceWanted: 3,
      ...firstArrangement,
    };
    for (const viewer of [{ kind: 'stranger' as const }, { kind: 'maker' as const }]) {
      const view = seenBy({ site, pages: [page], materials: [] }, viewer);
      expect(view?.pages[0]?.parts).toEqual([
        { id: parts[0]?.id, kind: 'words', text: filled[0] && 'text' in filled[0] && filled[0].text },
      ]);
      const bytes = JSON.stringify(view);
      for (const { prompt, questions = [] } of starters[key].parts)
        for (const text of [prompt, ...questions]) expect(bytes).not.toContain(text);
    }
  });
});
