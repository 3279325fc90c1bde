import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { resumeSections, type ResumeSection } from './sections.ts';
import { sectionMoved, sectionsInOrder } from './section-moved.ts';

const of = new Map<string, ResumeSection>([
  ['yard', 'work'],
  ['clock', 'projects'],
  ['stall', 'work'],
  ['weld', 'skills'],
]);
const entries = ['yard', 'clock', 'stall', 'weld', 'gone'];

describe('a section of a version', () => {
  test('is moved with all its entries, past one other', () => {
    expect(sectionMoved(entries, of, 'skills', -1)).toEqual(['yard', 'stall', 'weld', 'clock', 'gone']);
    expect(sectionMoved(entries, of, 'work', 1)).toEqual(['clock', 'yard', 'stall', 'weld', 'gone']);
  });

  test('stays where there is nowhere to go', () => {
    expect(sectionMoved(entries, of, 'work', -1)).toEqual(entries);
    expect(sectionMoved(entries, of, 'skills', 1)).toEqual(entries);
    expect(sectionMoved(entries, of, 'awards', 1)).toEqual(entries);
  });

  test('keeps all entries and their order, and is back when it is moved back', () => {
    fc.assert(
      fc.property(
        fc.array(fc.constantFrom(...resumeSections), { maxLength: 12 }),
        fc.constantFrom(...resumeSections),
        (sections, section) => {
          const ids = sections.map((_, at) => `entry-${at}`);
          const sectionOf = new Map(ids.map((id, at) => [id, sections[at] ?? 'work']));
          const down = sectionMoved(ids, sectionOf, section, 1);
          expect([...down].sort()).toEqual([...ids].sort());
          for (const one of resumeSections) {
            const own = (list: string[]) => list.filter((id) => sectionOf.get(id) === one);
            expect(own(down)).toEqual(own(ids));
          }
          const order = sectionsInOrder(ids, sectionOf);
          const isLast = order.at(-1) === section || !order.includes(section);
          const back = isLast ? down : sectionMoved(down, sectionOf, section, -1);
          expect(sectionsInOrder(back, sectionOf)).toEqual(order);
        },
      ),
    );
  });
});
