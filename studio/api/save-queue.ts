import { changeMaterial } from '#contract/materials.ts';
import { changePage } from '#contract/pages.ts';
import { type Patch } from '#contract/patch.ts';
import { changeSite } from '#contract/sites.ts';
import type { Part } from '#core/parts/parts.ts';
import { partsChange } from '#core/parts/parts-change.ts';
import { call, Refusal } from './call.ts';
import type { Pending, RowKind, Rows } from './pending.ts';
import type { UnsentNotes } from './unsent-notes.ts';

export type SaveState =
  | { kind: 'saved'; at: number | null }
  | { kind: 'saving' }
  /** Kept here and sent again by itself; `server`: it answers, but cannot save now. */
  | { kind: 'offline'; edits: number; server: boolean }
  | { kind: 'conflict'; message: string; theirRevision: number; pending: Pending; theirs: object | null }
  /** `again`: sending once more may help, and nothing was dropped. */
  | { kind: 'failed'; message: string; again: boolean };

export interface SaveQueueDeps {
  site: string;
  /** The revision the maker is looking at for a row. */
  seen: (row: string) => number;
  /** A row as it is on the screen. */
  row: (kind: RowKind, id: string) => object | undefined;
  /** The session has ended: nothing can be sent until somebody signs in. */
  onSignedOut?: () => void;
  /** Changes made elsewhere came in with a change of ours. */
  onJoined?: () => void;
  /** Lays what the server answered over the studio's copy, sparing rows that changed again meanwhile. */
  apply: (patch: Patch, keep: ReadonlySet<string>) => void;
  /** Changes that a tab which is gone had not sent are on their way from here now. */
  onTakenOver?: (left: readonly Pending[]) => void;
  /** A page may not stand where it was put, since others were moved meanwhile: where it does stand has to be shown. */
  onMisplaced?: () => void;
  /** Where unsent changes outlive the tab. */
  notes: Pick<UnsentNotes, 'read' | 'write' | 'takeOver'>;
  send?: (pending: Pending, seen: number) => Promise<Patch & { joined?: boolean }>;
  /** How long to wait for more typing before sending, and before trying again when the line is down; in ms. */
  waitMs?: number;
  retryMs?: number;
}

const routes = { site: changeSite, page: changePage, material: changeMaterial };

const partsOf = (row: Record<string, unknown>): readonly Part[] | null =>
  Array.isArray(row['parts']) ? (row['parts'] as readonly Part[]) : null;

/** What is sent of a change. Of a page's parts only those that changed, with how they were. */
function bodyOf({ kind, change, was, decided, label, mergeKey }: Pending, seen: number) {
  const base = { seen, label, mergeKey };
  const [before, now] = [partsOf(was), partsOf(change)];
  // Kept by an older studio: as it is.
  if (Object.keys(change).some((name) => !(name in was))) return { ...base, change };
  const { parts: _, ...fields } = change;
  const { parts: _was, ...fieldsWere } = was;
  return {
    ...base,
    change: fields,
    was: fieldsWere,
    ...(kind === 'page' && before && now ? { parts: partsChange(before, now) } : {}),
    ...(decided ? { decided } : {}),
  };
}

function sendTo(site: string) {
  return (pending: Pending, seen: number): Promise<Patch & { joined?: boolean }> => {
    const body = bodyOf(pending, seen);
    const params = pending.kind === 'site' ? { site } : { site, [pending.kind]: pending.id };
    return call(routes[pending.kind] as typeof changePage, { params, body });
  };
}

/**
 * Saves by itself what the maker changes, a row at a time and in order, and says truthfully how far it is. What is
 * not sent yet is kept in the browser, so a reload, a closed lid or a lost line loses nothing.
 */
export class SaveQueue {
  #pending: Pending[] = [];
  #sending: Pending | null = null;
  #typing = false;
  /** Tries in a row that came to nothing. */
  #failures = 0;
  #state: SaveState = { kind: 'saved', at: null };
  #timer: ReturnType<typeof setTimeout> | undefined;
  readonly #deps: SaveQueueDeps;
  readonly #listeners = new Set<() => void>();

  constructor(deps: SaveQueueDeps) {
    this.#deps = deps;
    this.#pending = deps.notes.read();
    if (this.#pending.length > 0) this.#later(0);
    deps.notes.takeOver((left) => this.#takeIn(left));
  }

  get state(): SaveState {
    return this.#state;
  }

  /** Changes on the screen that the server does not have, oldest first. */
  get unsent(): readonly Pending[] {
    // What its maker has still to decide about is no less theirs.
    const first = this.#state.kind === 'conflict' ? this.#state.pending : this.#sending;
    return first ? [first, ...this.#pending] : this.#pending;
  }

  subscribe = (listener: () => void): (() => void) => {
    this.#listeners.add(listener);
    return () => this.#listeners.delete(listener);
  };

  /** Takes a change in; later changes of the same row and step are sent together with it. */
  change<K extends RowKind>(
    kind: K,
    id: string,
    change: Partial<Rows[K]>,
    label: string,
    mergeKey: string,
  ): void {
    const row = this.#deps.row(kind, id) as Record<string, unknown> | undefined;
    const was = row ? Object.fromEntries(Object.keys(change).map((name) => [name, row[name]])) : {};
    const last = this.#pending.at(-1);
    if (last && last.kind === kind && last.id === id && last.mergeKey === mergeKey)
      this.#pending = [
        ...this.#pending.slice(0, -1),
        { ...last, change: { ...last.change, ...change }, was: { ...was, ...last.was }, label },
      ];
    else
      this.#pending = [...this.#pending, { kind, id, change, was, label, mergeKey, seen: this.#seenNow(id) }];
    this.#keep();
    if (this.#state.kind === 'conflict' || this.#state.kind === 'offline') return this.#tell();
    this.#set({ kind: 'saving' });
    this.#later(this.#deps.waitMs ?? 500);
  }

  /** Our own command answered: what waits for a row it changed now builds on that. */
  builtOn(patch: Patch): void {
    const rows = new Set([
      ...Object.keys(patch.pages),
      ...Object.keys(patch.materials),
      ...(patch.site ? [patch.site.id] : []),
    ]);
    this.#pending = this.#pending.map((one) => (rows.has(one.id) ? { ...one, seen: patch.revision } : one));
  }

  /** Words are being typed that no change holds yet: until they are, nothing is called saved. */
  setTyping(typing: boolean): void {
    this.#typing = typing;
    if (typing && this.#state.kind === 'saved') this.#set({ kind: 'saving' });
    else if (!typing && this.unsent.length === 0 && this.#state.kind === 'saving') this.#nothingLeft();
  }

  /** What another tab left behind goes first: it was typed first. */
  #takeIn(left: readonly Pending[]): void {
    this.#pending = [...left.map((one) => ({ ...one, left: true })), ...this.#pending];
    this.#keep();
    this.#deps.onTakenOver?.(left);
    if (this.#state.kind === 'conflict' || this.#state.kind === 'offline') return this.#tell();
    this.#set({ kind: 'saving' });
    this.#later(0);
  }

  #nothingLeft(): void {
    this.#set(this.#typing ? { kind: 'saving' } : { kind: 'saved', at: Date.now() });
  }

  /**
   * Sends everything now; resolves when it is saved or cannot be.
   *
   * @returns whether all of it is saved
   */
  async flush(): Promise<boolean> {
    clearTimeout(this.#timer);
    while (this.#sending) await new Promise((resolve) => setTimeout(resolve, 15));
    while (this.#pending.length > 0 && this.#state.kind !== 'conflict') if (!(await this.#sendNext())) break;
    return this.unsent.length === 0;
  }

  /** After a conflict: write mine over theirs, or take theirs, which keeps mine as a step that undo brings back. */
  resolve(choice: 'mine' | 'theirs'): void {
    if (this.#state.kind !== 'conflict') return;
    const { pending, theirRevision } = this.#state;
    const decide = (one: Pending): Pending => ({ ...one, seen: theirRevision, decided: choice });
    this.#pending = [
      decide(pending),
      // What was typed of it since is given up as well.
      ...this.#pending.map((one) => (choice === 'theirs' && one.id === pending.id ? decide(one) : one)),
    ];
    this.#set({ kind: 'saving' });
    this.#keep();
    this.#later(0);
  }

  retry(): void {
    this.#set({ kind: 'saving' });
    this.#later(0);
  }

  /** A row with unsent changes was looked at when the first of them began in this visit, whatever has arrived since. */
  #seenNow(row: string): number {
    return this.unsent.find((one) => one.id === row && !one.left)?.seen ?? this.#deps.seen(row);
  }

  #later(ms: number): void {
    clearTimeout(this.#timer);
    this.#timer = setTimeout(() => void this.flush(), ms);
  }

  async #sendNext(): Promise<boolean> {
    const [next, ...rest] = this.#pending;
    if (!next) return false;
    this.#sending = next;
    this.#pending = rest;
    this.#set({ kind: 'saving' });
    try {
      const send = this.#deps.send ?? sendTo(this.#deps.site);
      const patch = await send(next, next.seen);
      this.#sending = null;
      this.#failures = 0;
      this.builtOn(patch);
      this.#keep();
      this.#deps.apply(patch, new Set(this.#pending.map((one) => one.id)));
      if (patch.joined && !next.left) this.#deps.onJoined?.();
      if (this.#pending.length === 0) this.#nothingLeft();
      return true;
    } catch (error) {
      this.#sending = null;
      return this.#afterFailure(next, error);
    }
  }

  #afterFailure(failed: Pending, error: unknown): false {
    if (error instanceof Refusal && error.problem.code === 'newer') {
      const details = error.problem.details as { revision?: number; theirs?: object } | undefined;
      this.#set({
        kind: 'conflict',
        message: error.message,
        theirRevision: details?.revision ?? Number.MAX_SAFE_INTEGER,
        pending: failed,
        theirs: details?.theirs ?? null,
      });
      this.#keep();
      return false;
    }
    if (error instanceof Refusal && !error.passing) {
      // Refused for good: sending it again would be refused again. What follows is sent as usual.
      this.#keep();
      this.#set({ kind: 'failed', message: error.message, again: false });
      if (error.problem.code === 'no-place') this.#deps.onMisplaced?.();
      if (this.#pending.length > 0) this.#later(this.#deps.waitMs ?? 500);
      return false;
    }
    this.#pending = [failed, ...this.#pending];
    this.#keep();
    if (error instanceof Refusal && error.status === 401) {
      this.#set({ kind: 'failed', message: error.message, again: true });
      this.#deps.onSignedOut?.();
      return false;
    }
    this.#set({
      kind: 'offline',
      edits: this.#pending.length,
      server: error instanceof Refusal && !error.unreachable,
    });
    // A server in trouble is not helped by being asked every moment; a line that is back is used at once.
    const wait = this.#deps.retryMs ?? 3000;
    this.#later(Math.min(wait * 2 ** this.#failures, wait * 20));
    this.#failures++;
    return false;
  }

  #keep(): void {
    this.#deps.notes.write(this.unsent);
  }

  #set(state: SaveState): void {
    this.#state = state;
    this.#tell();
  }

  #tell(): void {
    if (this.#state.kind === 'offline') this.#state = { ...this.#state, edits: this.#pending.length };
    for (const listener of this.#listeners) listener();
  }
}
