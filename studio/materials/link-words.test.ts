import { describe, expect, test } from '@jest/globals';
import { framedBy, linkFactsSchema, linkStates } from '#core/materials/link.ts';
import { sampleLinkFacts } from '#core/materials/sample-link.ts';
import type { Material } from '#core/materials/material.ts';
import { sampleSound } from '#core/materials/sample-sound.ts';
import { countKinds, kindLabel } from '../ui/kind-names.ts';
import { linkSentence } from './link-words.ts';

const player = { url: 'https://reels.example/player/1', widthPx: 640, heightPx: 360 };

describe('what became of a link', () => {
  test.each(linkStates)('a page that is %s is told in sentences', (state) => {
    const sentence = linkSentence(sampleLinkFacts({ state }));
    expect(sentence).toMatch(/^[A-Z].*\.$/);
    // Whatever went wrong, the maker is told what readers get meanwhile.
    expect(sentence.includes('shown as a card')).toBe(state !== 'read');
  });

  test('the sentence agrees with what readers can open', () => {
    const opened = sampleLinkFacts();
    expect(framedBy(opened)?.url).toBe(opened.url);
    expect(linkSentence(opened)).toContain('the page itself');
    const refused = sampleLinkFacts({ framing: 'refused' });
    expect(framedBy(refused)).toBeNull();
    expect(linkSentence(refused)).toContain('refuses');
    // A host’s own page may refuse while its player does not.
    const clip = sampleLinkFacts({ framing: 'refused', player });
    expect(framedBy(clip)).toEqual(player);
    expect(linkSentence(clip)).toContain('play it where it stands');
  });

  test('nothing is opened in place that did not answer', () => {
    for (const state of linkStates.filter((one) => one !== 'read'))
      expect(framedBy(sampleLinkFacts({ state }))).toBeNull();
  });
});

test('only web addresses can be links, whatever is stored', () => {
  for (const url of ['javascript:alert(1)', 'file:///etc/passwd', 'data:text/html,x', 'kite.example', ''])
    expect(linkFactsSchema.safeParse(sampleLinkFacts({ url })).success).toBe(false);
  expect(
    linkFactsSchema.safeParse(sampleLinkFacts({ player: { ...player, url: 'javascript:x' } })).success,
  ).toBe(false);
  expect(linkFactsSchema.safeParse(sampleLinkFacts({ player })).success).toBe(true);
});

describe('what stands on a tile', () => {
  const link = (more: Parameters<typeof sampleLinkFacts>[0] = {}): Material => ({
    ...sampleSound('link-0001'),
    kind: 'link',
    facts: sampleLinkFacts(more),
  });
  const note: Material = { ...sampleSound('note-0001'), kind: 'note', facts: { format: 'note' } };

  test('a link names its host, a clip says where it is, and trouble is told', () => {
    expect(kindLabel(link())).toBe('link, kite.example');
    expect(kindLabel(link({ player }))).toBe('clip at its host');
    expect(kindLabel(link({ state: 'gone' }))).toBe('link, page is gone');
    expect(kindLabel(note)).toBe('');
    expect(kindLabel(sampleSound('sound-001', { facts: { format: 'mp3', seconds: 67.4 } }))).toBe(
      'sound, 1:07',
    );
  });

  test('kinds are counted in the order they come', () => {
    expect(countKinds([note, link(), { ...link(), id: 'link-0002' }])).toBe('1 note, 2 links');
    expect(countKinds([])).toBe('');
  });
});
