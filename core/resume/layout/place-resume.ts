import type { Id } from '../../id.ts';
import type { FittedLines } from '../fit-lines.ts';
import { margins } from './paper.ts';
import { type Block, headId, type SetLine, type SetResume } from './set-resume.ts';

/** Something set, where it stands on its page: in points from the upper edge of the paper. */
export interface PlacedBlock {
  block: Block;
  top: number;
}

/** The beginning of a section on a page: its rule and its name. */
export interface PlacedSection {
  section: Id;
  /** Of the rule. */
  top: number;
  label: readonly SetLine[];
  /** Of the name's first line. */
  labelTop: number;
}

export interface PlacedPage {
  blocks: PlacedBlock[];
  sections: PlacedSection[];
  /** Below the last line, up to the margin. */
  left: number;
}

/** Puts what was fitted where it stands, by the same distances it was fitted by. */
export function placeResume({ sections, blocks, labels }: SetResume, fitted: FittedLines): PlacedPage[] {
  const entryOf = new Map(
    sections.flatMap((section) => section.entries.map((entry) => [entry.id, { section, entry }] as const)),
  );
  const headed = new Set<Id>();
  return fitted.pages.map(({ stands, left }) => {
    const page: PlacedPage = { blocks: [], sections: [], left };
    let y: number = margins.top;
    const put = (id: Id) => {
      const block = blocks.get(id);
      if (!block) return;
      page.blocks.push({ block, top: y });
      y += block.height;
    };
    for (const id of stands) {
      const of = entryOf.get(id);
      if (!of) {
        put(id);
        continue;
      }
      const { section, entry } = of;
      const begins = !headed.has(section.id);
      headed.add(section.id);
      if (y > margins.top) y += begins ? section.gap : entry.gap;
      if (id === headId) {
        for (const own of ['@name', '@headline', '@contact']) put(own);
        continue;
      }
      if (begins) {
        page.sections.push({
          ...{ section: section.id, top: y, label: labels.get(section.id) ?? [] },
          labelTop: y + section.heading,
        });
        y += section.heading;
      }
      put(id);
    }
    return page;
  });
}
