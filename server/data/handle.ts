import type { PgDatabase, PgQueryResultHKT } from 'drizzle-orm/pg-core';
import type * as schema from './schema.js';

/** The database, embedded or on a server of its own, through Drizzle. Inside a transaction only the transaction may be used. */
export type Database = PgDatabase<PgQueryResultHKT, typeof schema>;

/** A transaction of the database. */
export type Tx = Parameters<Parameters<Database['transaction']>[0]>[0];

/** The token under which the database is injected. */
export const DATABASE = Symbol('database');

/** An open database and how to close it. */
export interface OpenDatabase {
  readonly db: Database;
  /** Does what only one of several processes on this database may do at a time. */
  readonly alone: <T>(work: () => Promise<T>) => Promise<T>;
  readonly close: () => Promise<void>;
}
