import { lt, sql } from 'drizzle-orm';
import type { Database } from '../data/database.js';
import { changes } from '../data/schema.js';

/**
 * Takes changes out of the history that lie further back than is wanted. What they made stays as it is.
 * @returns how many were taken out
 */
export async function forgetBefore(db: Database, days: number): Promise<number> {
  const gone = await db
    .delete(changes)
    .where(lt(changes.at, sql`now() - ${days} * interval '1 day'`))
    .returning({ seq: changes.seq });
  return gone.length;
}
