import { NodeFS } from '@electric-sql/pglite/nodefs';
import { fsyncSync } from 'node:fs';

/** What of Emscripten's file system over Node's is used here; an open file knows its descriptor. */
interface NodeFiles {
  stream_ops: { fsync?: (stream: { nfd?: number }) => number };
}

/**
 * A data folder of PGlite in which PostgreSQL's fsync reaches the disk. PGlite starts with fsync off, and what its file
 * system does when it is asked to is nothing; so both are set right here. A committed change then survives a power cut.
 */
export class DurableFolder extends NodeFS {
  override async init(...given: Parameters<NodeFS['init']>): ReturnType<NodeFS['init']> {
    const made = await super.init(...given);
    const before = made.emscriptenOpts.preRun ?? [];
    made.emscriptenOpts.preRun = [
      (module: unknown) => {
        const { NODEFS } = module as { NODEFS: NodeFiles };
        NODEFS.stream_ops.fsync = ({ nfd }) => {
          if (nfd !== undefined) this.sync(nfd);
          return 0;
        };
      },
      ...(Array.isArray(before) ? before : [before]),
    ];
    return made;
  }

  /** @param descriptor of an open file */
  protected sync(descriptor: number): void {
    fsyncSync(descriptor);
  }
}

/**
 * How PostgreSQL is started: as PGlite does, but with fsync. The write-ahead log is synced by fsync itself, since
 * fdatasync is one of the calls that do nothing.
 *
 * @param defaults PGlite's own
 */
export const durableStart = (defaults: readonly string[]): string[] => [
  ...defaults.filter((parameter) => parameter !== '-F'),
  '-c',
  'wal_sync_method=fsync',
];
