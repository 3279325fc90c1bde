import { describe, expect, test } from '@jest/globals';
import { sampleSound } from '../../materials/sample-sound.ts';
import { noFacts } from '../../pages/case-facts.ts';
import type { Material } from '../../materials/material.ts';
import { newPart } from '../../parts/new-part.ts';
import { picture, part, project, englishSite, checked, of, says, good } from '../sample-checked-page.ts';

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
