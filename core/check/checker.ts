import type { Id } from '../id.ts';
import { linksElsewhere } from '../links/links-elsewhere.ts';
import type { AnswerOf, LinkAnswer } from '../links/link-answer.ts';
import type { Material } from '../materials/material.ts';
import { materialsOn } from '../pages/materials-on.ts';
import type { ShownPage } from '../pages/page.ts';
import type { Inside } from '../personal/inside.ts';
import type { Person } from '../personal/names-in.ts';
import type { CheckedPage } from './checked-page.ts';
import type { CheckedSite } from './checked-site.ts';
import { type GivenOut, nothingGivenOut } from './given-out.ts';
import { type LookedAt, nothingLookedAt } from './looked-at.ts';
import type { Finding } from './finding.ts';
import { findingsOfPage } from './findings-of-page.ts';
import { findingsOfSite } from './findings-of-site.ts';

/** What is different from what a checker was told before. What it was never told is not there. */
export interface Changed {
  site?: CheckedPage['site'];
  /** What is asked of a site where its pages are compared. */
  between?: Pick<CheckedSite, 'offWall' | 'address' | 'quickLinks'>;
  lookedAt?: LookedAt;
  inside?: Inside;
  /** What addresses elsewhere answered when they were tried. */
  answers?: readonly Pick<LinkAnswer, 'to' | 'state' | 'movedTo'>[];
  givenOut?: GivenOut;
  /** Whose names are looked for. */
  people?: readonly Person[];
  /** Today where the maker is, as ISO 8601 writes it. */
  today?: string;
  pages?: readonly ShownPage[];
  gonePages?: readonly Id[];
  materials?: readonly Material[];
  goneMaterials?: readonly Id[];
}

/**
 * Looks again only at what changed: a page is looked at when it changed itself, when something that stands on it did, or when
 * something changed that all pages depend on. What compares pages is looked at after every change; it is quick.
 */
export class Checker {
  #site: CheckedPage['site'] = { language: 'en', evidenceWanted: 0, underAge: false, lists: [] };
  #lookedAt = nothingLookedAt;
  #inside: Inside = {};
  #answers: AnswerOf = new Map();
  #givenOut = nothingGivenOut;
  #people: readonly Person[] = [];
  #today = '';
  #asked: Pick<CheckedSite, 'offWall' | 'address' | 'quickLinks'> = {
    offWall: [],
    address: null,
    quickLinks: [],
  };
  readonly #pages = new Map<Id, ShownPage>();
  readonly #materials = new Map<Id, Material>();
  /** On which pages a material stands. */
  readonly #standsOn = new Map<Id, Set<Id>>();
  /** What was noticed last on each page, by the rules that look at it alone. */
  readonly #own = new Map<Id, Finding[]>();
  /** And by those that compare pages. */
  #between: ReadonlyMap<Id, readonly Finding[]> = new Map();

  /** @returns what is noticed on each page that was looked at, by its id; null for a page that is gone */
  take({
    site,
    between,
    lookedAt,
    inside,
    answers,
    givenOut,
    people,
    today,
    pages = [],
    gonePages = [],
    materials = [],
    goneMaterials = [],
  }: Changed): Map<Id, Finding[] | null> {
    const stale = new Set<Id>();
    for (const page of pages) {
      this.#leave(page.id);
      this.#pages.set(page.id, page);
      for (const id of materialsOn(page)) this.#pagesWith(id).add(page.id);
      stale.add(page.id);
    }
    for (const one of materials) this.#materials.set(one.id, one);
    for (const id of goneMaterials) this.#materials.delete(id);
    for (const id of [...materials.map((one) => one.id), ...goneMaterials])
      for (const page of this.#standsOn.get(id) ?? []) stale.add(page);
    if (answers) for (const id of this.#leadingToNew(answers)) stale.add(id);
    if ([site, today, lookedAt, inside].some((one) => one !== undefined)) {
      this.#site = site ?? this.#site;
      this.#lookedAt = lookedAt ?? this.#lookedAt;
      this.#inside = inside ?? this.#inside;
      this.#today = today ?? this.#today;
      for (const id of this.#pages.keys()) stale.add(id);
    }
    const found = new Map<Id, Finding[] | null>();
    for (const id of gonePages) {
      this.#leave(id);
      this.#pages.delete(id);
      this.#own.delete(id);
      stale.delete(id);
      found.set(id, null);
    }
    for (const id of stale) {
      const page = this.#pages.get(id);
      if (page) this.#own.set(id, this.#look(page));
    }
    this.#asked = between ?? this.#asked;
    this.#givenOut = givenOut ?? this.#givenOut;
    this.#people = people ?? this.#people;
    const before = this.#between;
    this.#between = findingsOfSite({
      ...this.#asked,
      ...{ language: this.#site.language, underAge: this.#site.underAge, today: this.#today },
      ...{ materials: this.#materials, givenOut: this.#givenOut, inside: this.#inside, people: this.#people },
      answers: this.#answers,
      pages: [...this.#pages.values()],
    });
    const said = (all: typeof before, id: Id) => JSON.stringify(all.get(id) ?? []);
    for (const id of new Set([...before.keys(), ...this.#between.keys()]))
      if (said(before, id) !== said(this.#between, id)) stale.add(id);
    for (const id of stale)
      if (this.#pages.has(id))
        found.set(id, [...(this.#own.get(id) ?? []), ...(this.#between.get(id) ?? [])]);
    return found;
  }

  #look(page: ShownPage): Finding[] {
    const materials = new Map<Id, Material>();
    for (const id of materialsOn(page)) {
      const one = this.#materials.get(id);
      if (one) materials.set(id, one);
    }
    const [lookedAt, inside, answers] = [this.#lookedAt, this.#inside, this.#answers];
    return findingsOfPage({
      page,
      site: this.#site,
      today: this.#today,
      lookedAt,
      inside,
      answers,
      materials,
    });
  }

  /** Remembers what addresses answered. @returns the pages that lead to one of which something else is known now */
  #leadingToNew(answers: NonNullable<Changed['answers']>): Id[] {
    const before = this.#answers;
    this.#answers = new Map(answers.map((one) => [one.to, one]));
    const said = (all: AnswerOf, to: string) => [all.get(to)?.state, all.get(to)?.movedTo].join(' ');
    const isNew = (to: string) => said(before, to) !== said(this.#answers, to);
    return [...this.#pages.values()]
      .filter(({ parts }) => linksElsewhere(parts).some(({ to }) => isNew(to)))
      .map(({ id }) => id);
  }

  #pagesWith(material: Id): Set<Id> {
    const known = this.#standsOn.get(material) ?? new Set();
    this.#standsOn.set(material, known);
    return known;
  }

  #leave(id: Id): void {
    const was = this.#pages.get(id);
    if (was) for (const material of materialsOn(was)) this.#standsOn.get(material)?.delete(id);
  }
}
