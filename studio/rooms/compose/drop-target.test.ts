import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { type DropPlace, dropTarget } from './drop-target.ts';

const at = (id: string, top: number, bottom: number): DropPlace => ({
  id,
  rect: { left: 100, right: 500, top, bottom },
});
const page = { left: 0, right: 600, top: 0, bottom: 1000 };
/** A gallery that takes pictures, then words that do not. */
const places = [at('tie 0', 0, 20), at('part g', 20, 320), at('tie 1', 320, 340), at('tie 2', 700, 720)];

describe('where something goes that is let go of', () => {
  test('over a part that takes it, into that part', () => {
    expect(dropTarget({ x: 300, y: 170 }, places, page)).toBe('part g');
  });

  test('near the edge of such a part, above or below it', () => {
    expect(dropTarget({ x: 300, y: 30 }, places, page)).toBe('tie 0');
    expect(dropTarget({ x: 300, y: 310 }, places, page)).toBe('tie 1');
  });

  test('over a part that does not take it, to the nearer line', () => {
    expect(dropTarget({ x: 300, y: 400 }, places, page)).toBe('tie 1');
    expect(dropTarget({ x: 300, y: 650 }, places, page)).toBe('tie 2');
  });

  test('beside the page, nowhere; in its margin, at the nearest line', () => {
    expect(dropTarget({ x: 700, y: 400 }, places, page)).toBeNull();
    expect(dropTarget({ x: 20, y: 5 }, places, page)).toBe('tie 0');
  });

  test('a small part keeps a middle that takes', () => {
    expect(dropTarget({ x: 300, y: 15 }, [at('part p', 0, 30), at('tie 1', 30, 50)], page)).toBe('part p');
  });

  test('whatever is let go of over a page with a line goes somewhere', () => {
    const somewhere = fc.integer({ min: 0, max: 600 });
    fc.assert(
      fc.property(somewhere, fc.integer({ min: 0, max: 1000 }), (x, y) => {
        expect(places.map(({ id }) => id)).toContain(dropTarget({ x, y }, places, page));
      }),
    );
  });
});
