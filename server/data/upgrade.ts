import { and, eq } from 'drizzle-orm';
import { VERSION, foundIn, idOfFound, recordBroughtUp } from '../../core/formats/index.js';
import { KINDS, tableOf, type Kind, type PROJECT } from './kinds.js';
import type { PgliteDatabase } from 'drizzle-orm/pglite';
import type * as schema from './schema.js';
import { changes, folder, projects } from './schema.js';

type Database = PgliteDatabase<typeof schema>;

/** The one row that says what version the documents are in. */
const ROW = 1;

/** The version of the documents in a folder: of one that says nothing the first, unless it is empty. */
async function versionOf(db: Database): Promise<number> {
  const [row] = await db.select().from(folder);
  if (row) return row.documents;
  const [any] = await db.select({ id: projects.id }).from(projects).limit(1);
  return any ? 1 : VERSION;
}

/**
 * Brings every document of a folder, and what undo would bring back, to the version that this program writes; all or nothing.
 * @throws Error where a newer program wrote it
 */
export async function upgrade(db: Database): Promise<void> {
  const from = await versionOf(db);
  if (from > VERSION)
    throw new Error(`this data folder was written by a newer program (its documents are version ${from}, this one reads up to ${VERSION})`);
  await db.transaction(async (tx) => {
    if (from < VERSION) {
      let nth = 0;
      for (const kind of KINDS) {
        const table = tableOf(kind);
        for (const { projectId, id, data } of await tx.select().from(table)) {
          for (const { kind: own, record } of foundIn(kind, id, data, from)) {
            nth += 1;
            await tx.insert(tableOf(own)).values({ projectId, id: idOfFound(nth), version: 1, data: record });
          }
          const now = recordBroughtUp(kind, data, from);
          if (now !== data)
            await tx
              .update(table)
              .set({ data: now })
              .where(and(eq(table.projectId, projectId), eq(table.id, id)));
        }
      }
      for (const { id, data } of await tx.select().from(projects)) {
        const now = recordBroughtUp('project', data, from);
        if (now !== data) await tx.update(projects).set({ data: now }).where(eq(projects.id, id));
      }
      for (const { seq, kind, before, after } of await tx.select().from(changes)) {
        const of = kind as Kind | typeof PROJECT;
        const now = { before: recordBroughtUp(of, before, from), after: recordBroughtUp(of, after, from) };
        if (now.before !== before || now.after !== after) await tx.update(changes).set(now).where(eq(changes.seq, seq));
      }
    }
    await tx
      .insert(folder)
      .values({ id: ROW, documents: VERSION })
      .onConflictDoUpdate({ target: folder.id, set: { documents: VERSION } });
  });
}
