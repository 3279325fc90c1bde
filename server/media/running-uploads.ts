import { LRUCache } from 'lru-cache';

/** What became of an upload that was to be stopped. */
export type Stopping = 'stopped' | 'stored' | 'not-there';

interface Entry {
  state: 'running' | 'stopped' | 'keeping';
  /** Whether it was stored in the end. */
  ended: Promise<boolean>;
}

/** One upload, told of by whoever takes it in. */
export interface RunningUpload {
  /** Asked once, when it has been read and before anything of it is kept: after a yes it cannot be stopped any more. */
  mayKeep: () => boolean;
  end: (stored: boolean) => void;
}

/**
 * Uploads that are on their way or ended lately, so that a maker can stop one that has arrived whole and is being read, and is
 * told truthfully whether it was in time. A broken line says nothing of that: behind the reading processes it is not even
 * noticed.
 */
export class RunningUploads {
  readonly #entries = new LRUCache<string, Entry>({ max: 2000 });

  /** @param upload an id that the sender made up; the same one again is another try */
  begin(account: string, upload: string): RunningUpload {
    let end: RunningUpload['end'] = () => {};
    const entry: Entry = { state: 'running', ended: new Promise<boolean>((resolve) => (end = resolve)) };
    const key = `${account} ${upload}`;
    this.#entries.set(key, entry);
    return {
      mayKeep: () => {
        if (entry.state === 'stopped') return false;
        entry.state = 'keeping';
        return true;
      },
      end: (stored) => {
        if (!stored && this.#entries.get(key) === entry) this.#entries.delete(key);
        end(stored);
      },
    };
  }

  async stop(account: string, upload: string): Promise<Stopping> {
    const entry = this.#entries.get(`${account} ${upload}`);
    if (!entry) return 'not-there';
    if (entry.state === 'running') entry.state = 'stopped';
    if (entry.state === 'stopped') return 'stopped';
    return (await entry.ended) ? 'stored' : 'not-there';
  }
}
