import { describe, expect, test } from '@jest/globals';
import { newPart } from './new-part.ts';
import { mostInGallery } from './gallery.ts';
import type { PartKind } from './parts.ts';
import { takesMore, withMaterials } from './with-materials.ts';

const picture = (id: string) => ({ id, kind: 'picture' as const });
const part = (kind: PartKind) => newPart(kind, 'part-one-here');

describe('materials put into a part', () => {
  test('a gallery takes any number of pictures once, behind those it has, and nothing else', () => {
    const gallery = newPart('gallery', 'part-one-here', ['a', 'b']);
    expect(withMaterials(gallery, [picture('b'), picture('c')])).toMatchObject({ pictures: ['a', 'b', 'c'] });
    expect(withMaterials(gallery, [picture('c'), { id: 'd', kind: 'sound' }])).toBeNull();
    const full = newPart(
      'gallery',
      'part-one-here',
      Array.from({ length: mostInGallery }, (_, at) => `p${at}`),
    );
    expect(withMaterials(full, [picture('p0')])).not.toBeNull();
    expect(withMaterials(full, [picture('one-more')])).toBeNull();
  });

  test('before and after fills its empty sides, the first one first', () => {
    const empty = part('compare');
    const half = withMaterials(empty, [picture('a')]);
    expect(half).toMatchObject({ before: 'a', after: null });
    expect(half && withMaterials(half, [picture('b')])).toMatchObject({ before: 'a', after: 'b' });
    expect(withMaterials(empty, [picture('a'), picture('b')])).toMatchObject({ before: 'a', after: 'b' });
    expect(half && withMaterials(half, [picture('b'), picture('c')])).toBeNull();
  });

  test('one thing of its kind goes into a part that has none; a full one takes nothing', () => {
    for (const kind of ['picture', 'document', 'sound', 'clip', 'link'] as const) {
      const filled = withMaterials(part(kind), [{ id: 'a', kind }]);
      expect(filled).toMatchObject({ material: 'a' });
      expect(filled && withMaterials(filled, [{ id: 'b', kind }])).toBeNull();
      expect(withMaterials(part(kind), [{ id: 'a', kind: kind === 'sound' ? 'clip' : 'sound' }])).toBeNull();
    }
  });

  test('evidence takes a thing of any kind, but no note, which has nothing to show', () => {
    expect(withMaterials(part('evidence'), [{ id: 'a', kind: 'document' }])).toMatchObject({ material: 'a' });
    expect(withMaterials(part('evidence'), [{ id: 'a', kind: 'note' }])).toBeNull();
  });

  test('a part has room exactly as long as it takes a fitting material', () => {
    for (const kind of ['words', 'quote', 'reflection', 'credits', 'contact'] as const) {
      expect(takesMore(part(kind))).toBe(false);
      expect(withMaterials(part(kind), [picture('a')])).toBeNull();
    }
    expect(takesMore(part('picture'))).toBe(true);
    expect(takesMore(newPart('picture', 'part-one-here', ['a']))).toBe(false);
    expect(takesMore(newPart('gallery', 'part-one-here', ['a']))).toBe(true);
  });
});
