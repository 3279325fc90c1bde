import type { Id } from '../../id.ts';
import type { Part } from '../../parts/parts.ts';
import { plural } from '../../words/plural.ts';
import { called, type CheckedPage } from '../checked-page.ts';
import type { Noticed } from '../noticed.ts';

/** Pictures that words stand below, by what they are looked at with: those of one gallery, and those that stand alone. */
function together(parts: readonly Part[]): { part: Id; material: Id }[][] {
  const alone = parts.flatMap((part) =>
    part.kind === 'picture' && part.material !== null ? [{ part: part.id, material: part.material }] : [],
  );
  const galleries = parts.flatMap((part) =>
    part.kind === 'gallery' && part.captions !== 'hidden'
      ? [part.pictures.map((material) => ({ part: part.id, material }))]
      : [],
  );
  return [alone, ...galleries];
}

/**
 * Captions that are missing where they are wanted: where at least half of the pictures beside it have one, readers look for it below the
 * others too (common practice). Where few or none have one, none is missed.
 */
export const captionMissing = ({ page, materials }: CheckedPage): Noticed[] =>
  together(page.parts).flatMap((group) => {
    const pictures = group.flatMap(({ part, material }) => {
      const one = materials.get(material);
      return one?.kind === 'picture' ? [{ part, one }] : [];
    });
    const without = pictures.filter(({ one }) => one.caption.trim() === '');
    const [first] = without;
    if (!first || without.length * 2 > pictures.length) return [];
    return {
      ...{ weight: 'nice' as const, part: first.part, material: first.one.id },
      of: without.map(({ one }) => one.id).join(' '),
      says:
        without.length === 1
          ? `${called(first.one)} has no caption, and the pictures beside it have.`
          : `${plural(without.length, 'picture')} from ${called(first.one)} on have no caption, and the pictures beside them have.`,
      why: 'Readers look for the words below. Say what to see there, or hide the captions of the gallery.',
    };
  });
