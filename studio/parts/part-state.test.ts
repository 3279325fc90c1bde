import { describe, expect, test } from '@jest/globals';
import { newPart } from '#core/parts/new-part.ts';
import { type Part, type PartKind, partSchema } from '#core/parts/parts.ts';
import { fromParagraphs } from '#core/words/rich-text.ts';
import type { Material } from '#core/materials/material.ts';
import { sampleSound } from '#core/materials/sample-sound.ts';
import { drawingOf } from '#site/parts/parts.ts';
import { partSettings, settingsOf } from './parts.ts';
import { openingState, partState } from './part-state.ts';

const kinds = partSchema.options.map((option) => option.shape.kind.value) as PartKind[];
const detailOf = (part: Part) => settingsOf(part).detail(part);
const sound = sampleSound('sound-001');
const evidence: Part = {
  id: 'part-one',
  height: 'public',
  kind: 'evidence',
  material: sound.id,
  what: 'a',
  why: 'b',
  shows: 'c',
};

describe('what is said of parts', () => {
  test.each(kinds)('%s has a name of its own, and words for when it is empty', (kind) => {
    expect(partSettings[kind].name).toMatch(/^[A-Z]/);
    expect(partSettings[kind].empty).toMatch(/[.?]$/);
    expect(kinds.filter((other) => partSettings[other].name === partSettings[kind].name)).toEqual([kind]);
  });

  test('a picture with too few pixels for its place is told, in a part and in the opening', () => {
    const picture = {
      ...{ ...sound, kind: 'picture', id: 'picture-1', alt: 'A dot', fixes: {} },
      facts: { format: 'png', widthPx: 24, heightPx: 24 },
    } as unknown as Material;
    const part = { ...newPart('picture', 'part-one', [picture.id]) } as Part;
    expect(partState(part, [picture], false)).toMatchObject({
      sign: 'needs',
      words: 'A picture is too small for its place',
    });
    const opening = { layout: 'full' as const, pictures: [picture.id] };
    expect(openingState(opening, [picture])?.words).toContain('too small');
    const large = { ...picture, facts: { ...picture.facts, widthPx: 4000 } } as Material;
    expect(partState(part, [large], false).sign).toBe('fine');
    expect(openingState(opening, [large])).toBeNull();
    expect(openingState({ ...opening, layout: 'words' }, [picture])).toBeNull();
  });

  test('a kind that a newer version knows has a name, a sentence and nothing to set', () => {
    const { name, empty, Panel, InPlace } = settingsOf({ kind: 'hologram' as PartKind });
    expect([name, empty, Panel, InPlace]).toEqual([
      'Unknown part',
      'A newer version made this part. It stays here as it is, and readers do not get it.',
      null,
      null,
    ]);
    expect(drawingOf({ kind: 'hologram' as PartKind }).View({} as never)).toBeNull();
  });

  test('beside its name stands how much there is, in the singular for one', () => {
    const words: Part = { ...newPart('words', 'part-one'), kind: 'words', text: fromParagraphs('One') };
    expect(detailOf(words)).toBe('1 word');
    expect(detailOf({ ...words, text: fromParagraphs('One two') })).toBe('2 words');
    expect(detailOf(newPart('gallery', 'part-one', ['pic-0001']))).toBe('1 picture');
    expect(detailOf(evidence)).toBe('3 answers');
    expect(detailOf({ ...evidence, why: ' ', shows: '' })).toBe('1 answer');
    expect(detailOf(newPart('compare', 'part-one', ['pic-0001']))).toBe('');
    expect(detailOf(newPart('compare', 'part-one', ['pic-0001', 'pic-0002']))).toBe('two pictures');
    const reflection = newPart('reflection', 'part-one');
    expect(detailOf(reflection)).toBe('0 answers');
  });

  test('each form of a link is told apart', () => {
    const link = newPart('link', 'part-one', ['link-0001']);
    if (link.kind !== 'link') throw new Error('no link');
    const said = (['in-place', 'card', 'button'] as const).map((form) => detailOf({ ...link, form }));
    expect(new Set(said).size).toBe(3);
  });
});

describe('whether a part is ready', () => {
  // Of these it depends on what else there is.
  test.each(kinds.filter((kind) => !['credits', 'process', 'decisions'].includes(kind)))(
    'a new %s is empty, and readers do not get it',
    (kind) => {
      expect(partState(newPart(kind, 'part-one'), [], false)).toEqual({
        sign: 'empty',
        words: 'Empty: readers do not get it',
      });
    },
  );

  test('evidence asks for the thing first, then for each answer', () => {
    const said = sampleSound(sound.id, { transcript: 'Hello.' });
    expect(partState({ ...evidence, material: null }, [said], false).words).toBe('Needs the thing itself');
    expect(partState({ ...evidence, shows: '' }, [said], false).words).toBe('Needs 1 more answer');
    expect(partState({ ...evidence, why: '', shows: '' }, [said], false).words).toBe('Needs 2 more answers');
    expect(partState(evidence, [said], false)).toEqual({ sign: 'fine', words: 'Ready' });
  });

  test('newer than the release is said of a part that needs nothing else', () => {
    const said = sampleSound(sound.id, { transcript: 'Hello.' });
    expect(partState(evidence, [said], true).sign).toBe('edited');
    expect(partState({ ...evidence, shows: '' }, [said], true).sign).toBe('needs');
  });

  test('what can only be heard asks for its words, in whatever part it stands', () => {
    for (const part of [newPart('sound', 'part-one', [sound.id]), evidence])
      expect(partState(part, [sound], false)).toEqual({
        sign: 'needs',
        words: 'Needs a transcript, for people who cannot hear it',
      });
  });
});
