import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { proposedProofs, sentenceIndex } from './proposed-proofs.ts';
import type { WrittenSentence } from './written-sentences.ts';

const said = (text: string, page: string, part: string | null = null): WrittenSentence => ({
  text,
  page,
  part,
});
const sentences = [
  said('Six panels and a strap.', 'hotel'),
  said('Drilled holes', 'hotel', 'picture'),
  said('The holes matter more than the house: clean edges.', 'hotel'),
  said('Holes for the hands.', 'clock'),
  said('Two coats of varnish, and a night to dry.', 'clock', 'words'),
  said('The clock was made of oak.', 'clock'),
];
const index = sentenceIndex(sentences);

describe('proposed proofs', () => {
  test('are found by the words they have in common, best first, each with its sentence', () => {
    const [first, second, ...others] = proposedProofs('Drilling clean holes', index, []);
    expect(first).toEqual({
      proof: { page: 'hotel', part: 'picture' },
      sentence: 'Drilled holes',
      shared: ['Drilled', 'holes'],
    });
    expect(second).toMatchObject({ proof: { page: 'hotel', part: null }, shared: ['holes', 'clean'] });
    // One common word of three is not enough.
    expect(others).toEqual([]);
  });

  test('know forms of a word, and nothing that no sentence speaks of', () => {
    expect(proposedProofs('Varnishing', index, [])).toMatchObject([{ proof: { part: 'words' } }]);
    expect(proposedProofs('Photography', index, [])).toEqual([]);
    expect(proposedProofs('', index, [])).toEqual([]);
    expect(proposedProofs('and the', index, [])).toEqual([]);
  });

  test('are never what is tied already or was refused', () => {
    const without = [{ page: 'hotel', part: 'picture' }];
    expect(proposedProofs('Drilling clean holes', index, without)).toMatchObject([
      { proof: { page: 'hotel', part: null } },
    ]);
  });

  test('point at sentences that are there and at each place once', () => {
    const words = fc.array(
      fc.constantFrom('drill', 'hole', 'oak', 'paint', 'varnish', 'the', 'clock', 'sail'),
      {
        ...{ minLength: 1, maxLength: 6 },
      },
    );
    const written = fc
      .tuple(words, fc.constantFrom('a', 'b', 'c'), fc.constantFrom(null, 'p', 'q'))
      .map(([text, page, part]) => said(text.join(' '), page, part));
    fc.assert(
      fc.property(fc.array(written), words, (all, skill) => {
        const found = proposedProofs(skill.join(' '), sentenceIndex(all), []);
        expect(found.length).toBeLessThanOrEqual(3);
        expect(new Set(found.map(({ proof }) => JSON.stringify(proof))).size).toBe(found.length);
        for (const { proof, sentence, shared } of found) {
          expect(all).toContainEqual({ text: sentence, ...proof });
          expect(shared.length).toBeGreaterThan(0);
          for (const word of shared) expect(sentence).toContain(word);
        }
      }),
    );
  });
});
