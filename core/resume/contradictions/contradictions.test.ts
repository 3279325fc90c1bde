import { describe, expect, test } from '@jest/globals';
import { type CaseFacts, noFacts } from '../../pages/case-facts.ts';
import type { Page } from '../../pages/page.ts';
import { nothingShown } from '../../pages/page-contents.ts';
import { newPart } from '../../parts/new-part.ts';
import type { Part, PartKind } from '../../parts/parts.ts';
import type { Draft } from '../../sites/site.ts';
import { contradictions } from './contradictions.ts';

const part = (kind: PartKind, more: object): Part => ({ ...newPart(kind, 'the-entry'), ...more }) as Part;
const page = (id: string, kind: Page['kind'], more: object): Page =>
  ({ id, kind, title: id, archived: false, language: null, ...nothingShown, ...more }) as Page;
const line = (text: string, proof: string | null = null) => ({
  ...{ id: 'line', text },
  proof: proof === null ? null : { page: proof, part: null },
});
const facts: CaseFacts = { ...noFacts, from: '2025-09', to: '2025-12' };
const site = (parts: Part[], about: Part[] = [], more: Partial<CaseFacts> = {}, language = 'en') =>
  ({
    site: { language },
    pages: [
      page('clock', 'project', { title: 'Tide clock', facts: { ...facts, ...more } }),
      page('resume', 'resume', { parts }),
      page('about', 'about', { parts: about }),
    ],
  }) as unknown as Draft;
const project = (more: object) => part('entry', { section: 'projects', page: 'clock', ...more });
const kinds = (draft: Draft) => contradictions(draft).map(({ kind }) => kind);

describe('contradictions', () => {
  test('of years, in a line and in About, say both', () => {
    const draft = site(
      [project({ lines: [line('Built in 2024 for the harbour.')] })],
      [part('telling', { answers: [{ id: 'began', text: 'I made the tide clock in 2023.', proof: null }] })],
    );
    expect(contradictions(draft)).toEqual([
      {
        ...{ kind: 'years', entry: null },
        sentence:
          '“I made the tide clock in 2023.” says 2023. The page of Tide clock says September to December 2025.',
      },
      {
        ...{ kind: 'years', entry: 'the-entry' },
        sentence:
          '“Built in 2024 for the harbour.” says 2024. The page of Tide clock says September to December 2025.',
      },
    ]);
  });

  test('of years are none where one of them fits, it goes on, or nothing is dated', () => {
    expect(kinds(site([project({ lines: [line('Begun 2024, hung 2025.')] })]))).toEqual([]);
    expect(kinds(site([project({ lines: [line('Still read in 2031.')] })], [], { to: 'now' }))).toEqual([]);
    expect(kinds(site([project({ lines: [line('In 2019.')] })], [], { from: null, to: null }))).toEqual([]);
    expect(kinds(site([part('entry', { lines: [line('In 2019.')] })]))).toEqual([]);
  });

  test('of roles: alone beside others, led beside helped', () => {
    const withWhom = [{ name: 'Ash', did: '' }];
    const said = (text: string, more: Partial<CaseFacts>, language?: string) =>
      kinds(site([project({ lines: [line(text)] })], [], more, language));
    expect(said('Built it on my own.', { withWhom })).toEqual(['role']);
    expect(said('Built it on my own.', {})).toEqual([]);
    expect(said('Led the making.', { role: 'Assistant' })).toEqual(['role']);
    expect(said('Helped with the dial.', { role: 'Project leader' })).toEqual(['role']);
    expect(said('Helped with the dial.', { role: 'Design and making' })).toEqual([]);
    expect(said('Solo gebaut.', { withWhom }, 'de')).toEqual([]);
  });

  test('of titles: where no word is the same', () => {
    expect(kinds(site([project({ title: 'Clock for the tide' })]))).toEqual([]);
    expect(kinds(site([project({ title: 'Harbour timepiece' })]))).toEqual(['title']);
    expect(kinds(site([project({ title: '' })]))).toEqual([]);
  });

  test('of languages: another level in About', () => {
    const about = [part('languages', { list: [{ language: 'de', level: 'B1' }] })];
    const spoken = (level: string) =>
      contradictions(site([part('entry', { section: 'languages', title: 'German', level })], about));
    expect(spoken('B2, at work')).toMatchObject([{ sentence: 'German is B2 here and B1 in About.' }]);
    expect(spoken('b1')).toEqual([]);
    expect(spoken('good')).toEqual([]);
    expect(spoken('native')).toMatchObject([
      { sentence: 'German is a first language here and B1 in About.' },
    ]);
  });

  test('are none of what is put away', () => {
    const draft = site([project({ lines: [line('Built in 2024.')] })]);
    const pages = draft.pages.map((one) => ({ ...one, archived: one.id === 'clock' }));
    expect(kinds({ ...draft, pages })).toEqual([]);
  });
});
