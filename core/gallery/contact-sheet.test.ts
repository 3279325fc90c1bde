import { describe, expect, test } from '@jest/globals';
import { type Candidate, contactSheet, pictureQuality } from './contact-sheet.ts';
import type { PictureFeatures } from './picture-features.ts';

/** Features of a made-up picture: a direction of its light, a colour, and how blurred it is. */
function features(direction: number, colour: number, blur = 0.3): PictureFeatures {
  return {
    hash: '0'.repeat(16),
    shape: [Math.cos(direction), Math.sin(direction)],
    colours: Array.from({ length: 48 }, () => colour),
    square: '',
    blur,
    mean: 120,
    bright: 220,
  };
}
const candidate = (id: string, of: PictureFeatures | null, more: Partial<Candidate> = {}): Candidate => ({
  id,
  size: { widthPx: 3000, heightPx: 2000 },
  features: of,
  takenOn: null,
  tags: [],
  ...more,
});

describe('contact sheet', () => {
  const list = [
    candidate('soft', features(0, 100, 0.4)),
    candidate('sharp', features(0.01, 100, 0.2)),
    candidate('softer', features(0.02, 100, 0.44)),
    candidate('side', features(1.5, 100)),
    candidate('nearly side', features(1.55, 105, 0.44)),
    candidate('back', features(3, 100), { tags: ['sketch'] }),
    candidate('blue', features(1.5, 250)),
    candidate('blurred', features(4.5, 10, 0.6)),
    candidate('unread', null),
  ];
  const sheet = contactSheet(
    list,
    [
      ['soft', 'sharp', 'softer'],
      ['elsewhere', 'other'],
    ],
    4,
  );

  test('of look-alikes only the sharpest is proposed, and says so', () => {
    expect(sheet.groups).toEqual([['soft', 'sharp', 'softer']]);
    expect(sheet.picks.map(({ id }) => id)).toEqual(['sharp', 'side', 'back', 'blue']);
    expect(sheet.picks[0]?.reason).toEqual({ kind: 'best-of-alike', of: 3 });
    expect(sheet.notes['soft']).toEqual({ kind: 'alike', to: 'sharp' });
  });

  test('the others say why they are in or out', () => {
    expect(sheet.picks[2]?.reason).toEqual({ kind: 'only-tag', tag: 'sketch' });
    expect(sheet.picks[3]?.reason).toEqual({ kind: 'other-colours' });
    expect(sheet.notes['nearly side']).toEqual({ kind: 'close', to: 'side' });
    expect(sheet.notes['blurred']).toEqual({ kind: 'warning', warning: 'perhaps-blurred' });
    expect(sheet.notes['unread']).toBeUndefined();
  });

  test('what looks like the picture that opens the page is not proposed, even as the best of its kind', () => {
    const groups = [['soft', 'sharp', 'softer', 'hero']];
    const beside = contactSheet(list, groups, 4, ['hero']);
    expect(beside.picks).toHaveLength(4);
    expect(beside.picks.filter(({ id }) => groups[0]?.includes(id))).toEqual([]);
    expect(beside.notes['sharp']).toEqual({ kind: 'opens' });
    expect(contactSheet(list, groups, 4, ['another']).picks.map(({ id }) => id)).toContain('sharp');
  });

  test('dates say where the work began and ended', () => {
    const dated = ['2025-03', '2025-01', '2025-02'].map((takenOn, at) =>
      candidate(takenOn, features(at * 2, 100), { takenOn }),
    );
    expect(contactSheet(dated, [], 3).picks.map(({ reason }) => reason.kind)).toEqual([
      'latest',
      'earliest',
      expect.stringMatching(/^other-/),
    ]);
  });

  test('what is wrong with a picture makes it worth less', () => {
    const large = { widthPx: 3000, heightPx: 2000 };
    const good = pictureQuality(features(0, 100), large);
    expect(pictureQuality(features(0, 100), { widthPx: 200, heightPx: 100 })).toBeLessThan(good / 2);
    expect(pictureQuality(features(0, 100, 0.7), large)).toBeLessThan(good / 2);
    expect(pictureQuality(features(0, 100, 1), large)).toBeGreaterThan(0);
  });
});
