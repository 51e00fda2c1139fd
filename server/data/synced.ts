import { closeSync, fsyncSync, openSync, readdirSync, renameSync, statSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { PGlite } from '@electric-sql/pglite';
import { NodeFS } from '@electric-sql/pglite/nodefs';

/** What is open in the database: a file has its descriptor; a folder has none. */
interface Stream {
  readonly nfd?: number;
  readonly node: object;
}

/** What the database's own file system is asked, as far as it is used here. */
interface Mounting {
  readonly NODEFS: {
    readonly stream_ops: { fsync?: (stream: Stream) => number };
    readonly realPath: (node: object) => string;
  };
}

/** Puts one file or the names in one folder on the disk itself. */
export function syncPath(path: string): void {
  const file = openSync(path, 'r');
  try {
    fsyncSync(file);
  } finally {
    closeSync(file);
  }
}

/** Puts everything in a folder on the disk itself, and the folder with it. */
export function syncFolder(folder: string): void {
  for (const entry of readdirSync(folder, { withFileTypes: true })) {
    const path = join(folder, entry.name);
    if (entry.isDirectory()) syncFolder(path);
    else if (entry.isFile()) syncPath(path);
  }
  syncPath(folder);
}

/** Gives a file or a folder that is on the disk its name, so that the name is on the disk too. */
export function moved(from: string, to: string): void {
  if (statSync(from).isDirectory()) syncFolder(from);
  renameSync(from, to);
  syncPath(dirname(to));
}

/**
 * The files of a database, written through to the disk whenever it asks for that. Without it the embedded database takes
 * what the operating system holds in memory for written, and a power cut loses it.
 */
export class SyncedFolder extends NodeFS {
  override async init(...[pg, options]: Parameters<NodeFS['init']>): ReturnType<NodeFS['init']> {
    const made = await super.init(pg, options);
    made.emscriptenOpts.preRun?.push((mounted: unknown) => {
      const { NODEFS } = mounted as Mounting;
      NODEFS.stream_ops.fsync = ({ nfd, node }) => {
        if (nfd === undefined) syncPath(NODEFS.realPath(node));
        else fsyncSync(nfd);
        return 0;
      };
    });
    return made;
  }
}

/**
 * How the database is started so that a commit is answered once it is on the disk: without -F, which would switch that
 * off, and by fsync, since the embedded one's fdatasync does nothing.
 */
export const DURABLE = [...PGlite.defaultStartParams.filter((p) => p !== '-F'), '-c', 'wal_sync_method=fsync'];
