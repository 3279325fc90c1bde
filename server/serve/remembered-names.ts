import { LRUCache } from 'lru-cache';
import { wellFormed } from '#core/words/well-formed.ts';

/** What a name was found to lead to, and whose it is; a name that leads nowhere is nobody's, and may become anybody's. */
interface Known<Found> {
  looking: Promise<Found | null>;
  site: string | null;
}

/** Names are remembered up to this many, those asked for last. */
const most = 2000;

/** What names lead to, remembered so that serving a page asks the database nothing. */
export class RememberedNames<Found> {
  readonly #known = new LRUCache<string, Known<Found>>({ max: most });

  /** Forgets the names of some sites, and every name that led nowhere or that is being looked up. */
  forget(sites: readonly string[]): void {
    const others = (site: string | null) => site !== null && !sites.includes(site);
    for (const [name, { site }] of [...this.#known.entries()]) if (!others(site)) this.#known.delete(name);
  }

  /** @param lookUp is given what to call with the site that something was found of */
  find(name: string, lookUp: (isOf: (site: string) => void) => Promise<Found | null>): Promise<Found | null> {
    // No name of ours has signs that no database keeps.
    if (wellFormed(name) !== name) return Promise.resolve(null);
    const known = this.#known.get(name);
    if (known) return known.looking;
    let site: string | null = null;
    const looking = lookUp((found) => (site = found));
    const mine: Known<Found> = { looking, site: null };
    this.#known.set(name, mine);
    looking.then(
      (found) => (mine.site = found && site),
      () => {
        if (this.#known.peek(name) === mine) this.#known.delete(name);
      },
    );
    return looking;
  }
}
