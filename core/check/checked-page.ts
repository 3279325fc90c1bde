import type { Id } from '../id.ts';
import type { AnswerOf } from '../links/link-answer.ts';
import type { Place } from '../gallery/coarse-here.ts';
import { placeOfPart } from '../gallery/place-of-part.ts';
import type { Material } from '../materials/material.ts';
import type { ShownPage } from '../pages/page.ts';
import type { Inside } from '../personal/inside.ts';
import { materialsOf } from '../parts/materials-of.ts';
import type { Site } from '../sites/site.ts';
import type { AskingList } from './lists/evidence-asked.ts';
import type { LookedAt } from './looked-at.ts';
import type { Spot } from './noticed.ts';

/** What a rule looks at: one page with what stands on it. */
export interface CheckedPage {
  page: ShownPage;
  site: Pick<Site, 'language' | 'evidenceWanted' | 'underAge'> & {
    lists: readonly AskingList[];
  };
  /** What stands on the page, by its id. */
  materials: ReadonlyMap<Id, Material>;
  /** Of all pictures of the site. */
  lookedAt: LookedAt;
  /** What was found inside what stands on pages; of what was not looked into nothing is there. */
  inside: Inside;
  /** What addresses elsewhere answered when they were tried. */
  answers: AnswerOf;
  /** Today where its maker is, as ISO 8601 writes it. */
  today: string;
}

export interface Standing extends Spot {
  material: Id;
  part: Id | 'opening';
  /** How wide it is shown there; null where its own width does not matter. */
  place: Place | null;
}

/** Each material where it stands first on the page: what is said about it is said once. */
export function standingOn({ opening, parts }: Pick<ShownPage, 'opening' | 'parts'>): Standing[] {
  const openingPlace: Place = opening.layout === 'strip' ? 'strip' : 'opening';
  const all: Standing[] = [
    ...(opening.layout === 'words' ? [] : opening.pictures).map((material) => ({
      ...{ material, part: 'opening' as const, place: openingPlace },
    })),
    ...parts.flatMap((part) =>
      materialsOf(part).map((material) => ({ material, part: part.id, place: placeOfPart(part) })),
    ),
  ];
  const seen = new Set<Id>();
  return all.filter(({ material }) => !seen.has(material) && seen.add(material));
}

/** What a material is called where something is said about it. */
export const called = ({ title, fileName }: Pick<Material, 'title' | 'fileName'>): string =>
  `“${title.trim() || fileName}”`;
