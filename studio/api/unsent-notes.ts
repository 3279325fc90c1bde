import type { Pending } from './pending.ts';

/** This visit to the studio: of one tab, until it is closed or loaded anew. */
const thisVisit = crypto.randomUUID();

export interface NotesPlace {
  /** Where notes outlive the tab; localStorage in the browser. */
  store: Pick<Storage, 'length' | 'key' | 'getItem' | 'setItem' | 'removeItem'>;
  /** Tells which visits are still going on; missing where the browser has none. */
  locks?: Pick<LockManager, 'request'> | undefined;
  visit?: string;
}

/**
 * What a tab has not sent yet, noted in the browser. Each visit has a note of its own, so that no tab writes over what
 * another one still has to send, and holds it for as long as it lives: what nobody holds was left behind by a tab that was
 * closed, reloaded or lost its power, and is taken over by one that lives.
 */
export class UnsentNotes {
  readonly #store: NotesPlace['store'];
  readonly #locks: NotesPlace['locks'];
  /** Where a studio of before, which had one note for all tabs, kept them. */
  readonly #olderKey: string;
  readonly #key: string;

  constructor(site: string, { store, locks, visit = thisVisit }: NotesPlace) {
    this.#store = store;
    this.#locks = locks;
    this.#olderKey = `kite-wall unsent ${site}`;
    this.#key = `${this.#olderKey} ${visit}`;
  }

  /** What this visit noted. */
  read(): Pending[] {
    return this.#at(this.#key);
  }

  write(all: readonly Pending[]): void {
    if (all.length === 0) this.#store.removeItem(this.#key);
    else
      try {
        this.#store.setItem(this.#key, JSON.stringify(all));
      } catch {
        // The browser's own store is full: the words are still on the screen and on their way.
      }
  }

  /**
   * Hands over what other visits have left, at once or when they end. It is struck out only after it has been taken, so
   * that a power cut in between leaves it twice rather than not at all.
   */
  takeOver(take: (left: Pending[]) => void): void {
    void this.#locks?.request(this.#key, () => new Promise(() => {}));
    for (const key of this.#others()) {
      const over = () => {
        const left = this.#at(key);
        if (left.length > 0) take(left);
        this.#store.removeItem(key);
      };
      if (this.#locks) void this.#locks.request(key, over);
      else over();
    }
  }

  #others(): string[] {
    const keys = Array.from({ length: this.#store.length }, (_, at) => this.#store.key(at) ?? '');
    return keys.filter(
      (key) => key !== this.#key && (key === this.#olderKey || key.startsWith(`${this.#olderKey} `)),
    );
  }

  #at(key: string): Pending[] {
    try {
      const kept: unknown = JSON.parse(this.#store.getItem(key) ?? '[]');
      // A note without a revision was kept by an older studio: at 0 the maker is asked, and nothing is lost.
      if (Array.isArray(kept)) return (kept as Pending[]).map((one) => ({ ...{ seen: 0, was: {} }, ...one }));
    } catch {
      // A damaged note cannot be sent; what the server has is still whole.
    }
    return [];
  }
}
