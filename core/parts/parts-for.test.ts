import { expect, test } from '@jest/globals';
import { mostInGallery } from './gallery.ts';
import { partsSchema } from './parts.ts';
import { partsFor } from './parts-for.ts';

const of = (id: string, kind: Parameters<typeof partsFor>[0][number]['kind'], transcript = '') => ({
  id,
  kind,
  transcript,
});

function made(...materials: Parameters<typeof partsFor>[0]) {
  let next = 0;
  return partsFor(materials, () => `part-${next++}`);
}

test('each material becomes the part that shows it, and several pictures one gallery', () => {
  const parts = made(
    of('pdf-0001', 'document'),
    of('pic-0001', 'picture'),
    of('web-0001', 'link'),
    of('pic-0002', 'picture'),
  );
  expect(parts.map(({ kind }) => kind)).toEqual(['document', 'link', 'gallery']);
  expect(parts[2]).toMatchObject({ pictures: ['pic-0001', 'pic-0002'] });
  expect(partsSchema.parse(parts)).toEqual(parts);
  expect(made(of('pic-0001', 'picture'))).toMatchObject([{ kind: 'picture', material: 'pic-0001' }]);
});

test('a note becomes words, and the page does not point at it', () => {
  const [part] = made(of('note-001', 'note', 'Ask Idris.'));
  expect(part).toMatchObject({ kind: 'words', text: { content: [{ content: [{ text: 'Ask Idris.' }] }] } });
  expect(JSON.stringify(part)).not.toContain('note-001');
});

test('more pictures than one gallery holds become several', () => {
  const many = Array.from({ length: mostInGallery + 1 }, (_, at) => of(`pic-${at + 1000}`, 'picture'));
  const parts = made(...many);
  expect(parts.map(({ kind }) => kind)).toEqual(['gallery', 'picture']);
  expect(partsSchema.parse(parts)).toEqual(parts);
});
