import { randomBytes } from 'node:crypto';
import { getTableName } from 'drizzle-orm';
import pg from 'pg';
import { openDatabaseOn } from '../data/database-server.js';
import { openDatabase, type OpenDatabase } from '../data/database.js';
import * as schema from '../data/schema.js';
import { upgrade } from '../data/upgrade.js';

/** A PostgreSQL server on which databases may be made and dropped; the tests then run on it, not on the embedded one. */
export const TEST_SERVER = process.env['RUVOK_TEST_POSTGRES'];

async function onServer(server: string, statement: string): Promise<void> {
  const client = new pg.Client({ connectionString: server });
  await client.connect();
  try {
    await client.query(statement);
  } finally {
    await client.end();
  }
}

/** A database of its own on a server, with how to reach and drop it. */
export async function makeDatabaseOn(
  server: string,
  encoding = 'UTF8',
): Promise<{ readonly url: string; readonly drop: () => Promise<void> }> {
  const name = `ruvok_${randomBytes(6).toString('hex')}`;
  await onServer(server, `create database ${name} encoding '${encoding}' template template0`);
  const url = new URL(server);
  url.pathname = `/${name}`;
  return { url: url.href, drop: () => onServer(server, `drop database ${name} with (force)`) };
}

/** Databases in memory that were opened and let go of: to empty one takes no time, to make one seconds. */
const idle: OpenDatabase[] = [];

async function emptied(database: OpenDatabase): Promise<void> {
  const tables = Object.values(schema).map((table) => `"${getTableName(table)}"`);
  await database.db.execute(`truncate ${tables.join(', ')} restart identity`);
  await upgrade(database.db);
}

async function openInMemory(): Promise<OpenDatabase> {
  const database = idle.pop() ?? (await openDatabase(null));
  return { ...database, close: async () => emptied(database).then(() => void idle.push(database)) };
}

/** Ends what was let go of. */
export async function closeIdle(): Promise<void> {
  await Promise.all(idle.splice(0).map((end) => end.close()));
}

/** An empty database that nobody else has until it is closed: in memory, or on the server that the tests were given. */
export async function openTestDatabase(): Promise<OpenDatabase> {
  if (TEST_SERVER === undefined) return openInMemory();
  const { url, drop } = await makeDatabaseOn(TEST_SERVER);
  const database = await openDatabaseOn(url);
  return {
    ...database,
    close: async () => {
      await database.close();
      await drop();
    },
  };
}
