import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { draftArbitrary } from '#core/access/arbitrary-draft.ts';
import { groupMaterials } from '#core/materials/group-materials.ts';
import { wallLines } from './wall-lines.ts';

describe('lines of the wall', () => {
  test('every material stands on it once, in order, after the head of its group', () => {
    fc.assert(
      fc.property(
        draftArbitrary,
        fc.integer({ min: 100, max: 2000 }),
        fc.constantFrom('tiles' as const, 'list' as const),
        ({ materials, pages }, width, view) => {
          const groups = groupMaterials(materials, pages, 'project');
          const lines = wallLines(groups, width, view);
          const shown = lines.flatMap((line) => (line.kind === 'row' ? line.materials : []));
          expect(shown).toEqual(groups.flatMap((group) => group.materials));
          expect(lines.filter(({ kind }) => kind === 'head')).toHaveLength(groups.length);
          expect(new Set(lines.map(({ key }) => key)).size).toBe(lines.length);
          for (const line of lines)
            if (line.kind === 'row') expect(line.group.materials).toContain(line.materials[0]);
        },
      ),
    );
  });
});
