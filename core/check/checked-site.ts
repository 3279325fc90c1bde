import type { Id } from '../id.ts';
import type { AnswerOf } from '../links/link-answer.ts';
import type { ShownPage } from '../pages/page.ts';
import type { Material } from '../materials/material.ts';
import type { Inside } from '../personal/inside.ts';
import type { Person } from '../personal/names-in.ts';
import type { Site } from '../sites/site.ts';
import type { GivenOut } from './given-out.ts';
import type { Noticed } from './noticed.ts';

/** What a rule looks at that compares pages with each other. */
export interface CheckedSite extends Pick<
  Site,
  'language' | 'underAge' | 'offWall' | 'address' | 'quickLinks'
> {
  /** Those that are looked at, in no order. */
  pages: readonly ShownPage[];
  /** All of the site, by their ids. */
  materials: ReadonlyMap<Id, Material>;
  givenOut: GivenOut;
  /** What addresses elsewhere answered when they were tried. */
  answers: AnswerOf;
  /** What was found inside what stands on pages. */
  inside: Inside;
  /** Whose names are looked for. */
  people: readonly Person[];
  /** Today where its maker is, as ISO 8601 writes it. */
  today: string;
}

export interface NoticedOnSite extends Noticed {
  /** The page on which it is told. */
  page: Id;
}
