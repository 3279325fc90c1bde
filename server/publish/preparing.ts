import { eq, gt } from 'drizzle-orm';
import type { FastifyBaseLogger } from 'fastify';
import { seenBy } from '#core/access/seen-by.ts';
import { picturesOf, type PictureSource, type ShownPicture } from '#core/gallery/picture-source.ts';
import { picturesUnderWords, sharedCovers } from '#site/render/page-covers.ts';
import { edits, sites } from '../db/schema.ts';
import { type Recipe, recipesFor } from '../media/derive.ts';
import { knownDerivatives, rememberDerivatives } from '../media/known-derivatives.ts';
import { lightsOf } from '../media/picture-light.ts';
import { loadDraft } from '../sites/load-draft.ts';
import type { PublishDeps } from './made-files.ts';
import { contentsIn } from './published-media.ts';
import { materialsIn } from './published-pictures.ts';

/** Sites that were worked on within this time are looked through when the server starts, in ms: 30 days. */
const workedOnMs = 30 * 24 * 60 * 60 * 1000;

interface Missing {
  source: PictureSource;
  recipes: Recipe[];
}

/**
 * Makes the files that readers will get of the pictures on a site's pages before anybody publishes, one picture after the
 * other and only while nobody else wants anything made or read. What it made is remembered picture by picture, so that a
 * stop costs one of them; a publish that comes first makes the rest itself.
 */
export class Preparing {
  readonly #deps: PublishDeps;
  readonly #afterMs: number;
  readonly #log: Pick<FastifyBaseLogger, 'error'>;
  readonly #wanted = new Set<string>();
  /** Recipes that cannot be made; a publish says so when it comes to it. */
  readonly #failed = new Set<string>();
  #timer: ReturnType<typeof setTimeout> | undefined;
  #running = false;
  #stopped = false;

  constructor(deps: PublishDeps, afterMs: number, log: Pick<FastifyBaseLogger, 'error'>) {
    this.#deps = deps;
    this.#afterMs = afterMs;
    this.#log = log;
  }

  /** Goes on with what a stopped server left. */
  async start(): Promise<void> {
    try {
      const rows = await this.#deps.db
        .selectDistinct({ site: edits.siteId })
        .from(edits)
        .where(gt(edits.at, new Date(Date.now() - workedOnMs)));
      for (const { site } of rows) this.later(site);
    } catch (error) {
      this.#log.error({ err: error }, 'sites to prepare could not be listed');
    }
  }

  /** Something on the site's pages may be new. */
  later(site: string): void {
    this.#wanted.add(site);
    if (this.#running || this.#stopped) return;
    this.#timer ??= setTimeout(() => {
      this.#timer = undefined;
      void this.#run();
    }, this.#afterMs).unref();
  }

  /** Begins nothing more. What is being made is given up with the processes that make it. */
  stop(): void {
    this.#stopped = true;
    clearTimeout(this.#timer);
  }

  async #run(): Promise<void> {
    this.#running = true;
    for (let [site] = this.#wanted; site !== undefined && !this.#stopped; [site] = this.#wanted) {
      this.#wanted.delete(site);
      try {
        await this.#prepare(site);
      } catch (error) {
        if (!this.#stopped) this.#log.error({ err: error, site }, 'pictures could not be prepared');
      }
    }
    this.#running = false;
  }

  async #prepare(site: string): Promise<void> {
    const { missing, over } = await this.#missing(site);
    for (const { source, recipes } of missing) {
      if (this.#stopped) return;
      try {
        const made = await this.#deps.reading.run('derive', { source, recipes }, `preparing ${site}`, true);
        if (!this.#stopped) await rememberDerivatives(this.#deps.db, made);
      } catch {
        for (const { key } of recipes) this.#failed.add(key);
      }
    }
    if (!this.#stopped) await lightsOf(this.#deps, over, `preparing ${site}`, true);
  }

  /** What is not made yet of the pictures on the site's pages, in the order of the pages; and those that words lie over, there or
   * in the pictures that links are passed on with. */
  async #missing(id: string): Promise<{ missing: Missing[]; over: ShownPicture[] }> {
    const { db } = this.#deps;
    const [row] = await db.select().from(sites).where(eq(sites.id, id));
    const view = row && seenBy(await loadDraft(db, row), { kind: 'maker' });
    if (!view) return { missing: [], over: [] };
    const materials = materialsIn([view]);
    const contents = await contentsIn(this.#deps, materials);
    const shown = materials.flatMap((material) => picturesOf(material, contents.get(material.original)));
    const wanted = shown.map(({ source }) => ({ source, recipes: recipesFor(source) }));
    const known = await knownDerivatives(
      db,
      wanted.flatMap(({ recipes }) => recipes.map(({ key }) => key)),
    );
    const ids = picturesUnderWords(view);
    for (const { picture } of sharedCovers(view)) if (picture !== null) ids.add(picture);
    return {
      missing: wanted.flatMap(({ source, recipes }) => {
        const missing = recipes.filter(({ key }) => !known.has(key) && !this.#failed.has(key));
        return missing.length > 0 ? [{ source, recipes: missing }] : [];
      }),
      over: shown.filter((one) => ids.has(one.id)),
    };
  }
}
