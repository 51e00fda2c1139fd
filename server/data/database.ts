import { cpSync, existsSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { PGlite, types } from '@electric-sql/pglite';
import { drizzle } from 'drizzle-orm/pglite';
import { migrate } from 'drizzle-orm/pglite/migrator';
import { MIGRATIONS, SEED } from '../places.js';
import type { OpenDatabase } from './handle.js';
import { holdStore } from './lock.js';
import * as schema from './schema.js';
import { DURABLE, SyncedFolder, moved } from './synced.js';
import { upgrade } from './upgrade.js';

export { DATABASE, type Database, type OpenDatabase, type Tx } from './handle.js';

/** The store is there and cannot be opened. */
export class StoreBroken extends Error {}

/** A database that is embedded in this process, which nobody else has open. */
export interface EmbeddedDatabase extends OpenDatabase {
  readonly client: PGlite;
}

/** Makes the database of a new folder beside its place and moves it there whole, so that a start that is killed leaves nothing half made. */
async function makeDatabase(place: string): Promise<void> {
  const fresh = `${place}.new`;
  rmSync(fresh, { recursive: true, force: true });
  // An empty one that was made with the product, where there is one: making it anew takes five seconds and more.
  if (existsSync(SEED)) cpSync(SEED, fresh, { recursive: true });
  else await (await PGlite.create(fresh)).close();
  moved(fresh, place);
}

/**
 * Photos on their way in and out. The embedded database writes them a character at a time by itself, which takes most of the
 * time and of the memory that a large project takes to read in.
 */
const BYTES = {
  serializers: { [types.BYTEA]: (bytes: Uint8Array) => `\\x${Buffer.from(bytes.buffer, bytes.byteOffset, bytes.length).toString('hex')}` },
  parsers: { [types.BYTEA]: (text: string) => Buffer.from(text.slice(2), 'hex') },
};

/** So much of the database is held in memory: its own 128 MB would fill with photos that nobody looks at. */
const IN_MEMORY = ['-c', 'shared_buffers=16MB'];

/**
 * Opens the database in a folder and brings it up to date; in memory where no folder is given. What is committed is on
 * the disk itself. The caller holds the folder's lock: two processes on one folder would corrupt it.
 * @param filesOf the files of a database in a folder, such as those of a disk that is tried out
 * @throws StoreBroken where it is there and cannot be opened
 * @throws FolderInUse where another process has the database open all the same
 */
export async function openDatabase(
  folder: string | null,
  filesOf: (place: string) => SyncedFolder = (place) => new SyncedFolder(place),
): Promise<EmbeddedDatabase> {
  const place = folder === null ? null : join(folder, 'db');
  if (place !== null && !existsSync(place)) await makeDatabase(place);
  const letGo = place === null ? () => undefined : holdStore(place);
  const client = place === null ? new PGlite(BYTES) : new PGlite({ ...BYTES, fs: filesOf(place), startParams: [...DURABLE, ...IN_MEMORY] });
  try {
    await client.waitReady;
  } catch (error) {
    letGo();
    throw new StoreBroken(error instanceof Error ? error.message : String(error));
  }
  const db = drizzle(client, { schema });
  try {
    await migrate(db, { migrationsFolder: MIGRATIONS });
    await upgrade(db);
  } catch (error) {
    await client.close();
    letGo();
    throw error;
  }
  const close = async () => {
    await client.close();
    letGo();
  };
  return { db, client, alone: (work) => work(), close };
}
