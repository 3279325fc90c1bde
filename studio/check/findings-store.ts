import type { Changed } from '#core/check/checker.ts';
import type { Finding } from '#core/check/finding.ts';
import type { Id } from '#core/id.ts';
import type { Material } from '#core/materials/material.ts';
import type { ShownPage } from '#core/pages/page.ts';
import { standingPages } from '#core/pages/standing-pages.ts';
import type { Draft } from '#core/sites/site.ts';
import type { Answered, Asked } from './check-worker.ts';

type Worker = Pick<globalThis.Worker, 'postMessage' | 'onmessage' | 'onerror' | 'terminate'>;

/** What is known of the pictures of a site and of what is inside them, what its links answered, what was given out of it, and whom its maker knows. */
export type Besides = Pick<Changed, 'lookedAt' | 'inside' | 'answers' | 'givenOut' | 'people'>;

export interface Findings {
  /** By page; a page without an entry was not looked at yet. */
  of: ReadonlyMap<Id, readonly Finding[]>;
  /** They are of the site as it was last told. */
  current: boolean;
  /** Looking failed: nothing is known. */
  failed: boolean;
}

/** Tells what changed between two states, by identity: what did not change stays the same thing. */
class Difference<T extends { id: Id }> {
  #known = new Map<Id, T>();

  of(now: readonly T[]): { changed: T[]; gone: Id[] } {
    const next = new Map(now.map((one) => [one.id, one]));
    const changed = now.filter((one) => this.#known.get(one.id) !== one);
    const gone = [...this.#known.keys()].filter((id) => !next.has(id));
    this.#known = next;
    return { changed, gone };
  }
}

/**
 * What the rules notice on a site, kept up to date by a worker that is told only what changed.
 *
 * @param makeWorker starts what looks; called once
 */
export class FindingsStore {
  readonly #worker: Worker;
  readonly #pages = new Difference<ShownPage>();
  readonly #materials = new Difference<Material>();
  #told = '';
  #between = '';
  readonly #besides = new Map<string, string>();
  #asked = 0;
  #findings: Findings = { of: new Map(), current: false, failed: false };
  readonly #listeners = new Set<() => void>();

  constructor(makeWorker: () => Worker) {
    this.#worker = makeWorker();
    this.#worker.onmessage = ({ data }: MessageEvent<Answered>) => this.#answered(data);
    this.#worker.onerror = () => this.#set({ ...this.#findings, failed: true });
  }

  /** @param today where the maker is, as ISO 8601 writes it */
  tell({ site, pages, materials }: Draft, today: string): void {
    const onPages = this.#pages.of(standingPages(pages));
    const gathered = this.#materials.of(materials);
    const { language, evidenceWanted, underAge, offWall, address, quickLinks } = site;
    // All pages are looked at for what lists ask of them, and for no tick.
    const lists = site.lists
      .filter((one) => one.evidence > 0)
      .map(({ name, by, evidence }) => ({ name, by, evidence }));
    const told = JSON.stringify([language, evidenceWanted, underAge, lists, today]);
    const between = JSON.stringify([offWall, address, quickLinks]);
    const changed: Changed = {
      ...{ pages: onPages.changed, gonePages: onPages.gone },
      ...{ materials: gathered.changed, goneMaterials: gathered.gone },
      ...(told !== this.#told && { site: { language, evidenceWanted, underAge, lists }, today }),
      ...(between !== this.#between && { between: { offWall, address, quickLinks } }),
    };
    const isNothing =
      told === this.#told &&
      between === this.#between &&
      [onPages, gathered].every((one) => one.changed.length + one.gone.length === 0);
    if (isNothing) return;
    this.#told = told;
    this.#between = between;
    this.#ask(changed);
  }

  /** Tells what is not part of a site's draft. What was told before is not told again: all pages are looked at for some of it. */
  tellBesides(besides: Besides): void {
    const changed: Besides = Object.fromEntries(
      Object.entries(besides).filter(([what, now]) => {
        const told = JSON.stringify(now);
        const isNew = this.#besides.get(what) !== told;
        this.#besides.set(what, told);
        return isNew;
      }),
    );
    if (Object.keys(changed).length > 0) this.#ask(changed);
  }

  readonly get = (): Findings => this.#findings;

  readonly subscribe = (listener: () => void): (() => void) => {
    this.#listeners.add(listener);
    return () => this.#listeners.delete(listener);
  };

  end(): void {
    this.#worker.terminate();
  }

  #ask(changed: Changed): void {
    this.#worker.postMessage({ at: ++this.#asked, changed } satisfies Asked);
    if (this.#findings.current) this.#set({ ...this.#findings, current: false });
  }

  #answered({ at, found }: Answered): void {
    const of = new Map(this.#findings.of);
    for (const [page, all] of found) {
      if (all) of.set(page, all);
      else of.delete(page);
    }
    this.#set({ of, current: at === this.#asked, failed: false });
  }

  #set(findings: Findings): void {
    this.#findings = findings;
    for (const listener of this.#listeners) listener();
  }
}
