import { and, asc, eq } from 'drizzle-orm';
import { VERSION, foundIn, idOfFound, recordBroughtUp } from '../../core/formats/index.js';
import { KINDS, PROJECT, tableOf, type EditedKind } from './kinds.js';
import type { Database, Tx } from './handle.js';
import { acrossChange, sidesOf } from './difference.js';
import { changes, folder, projects } from './schema.js';

type Change = typeof changes.$inferSelect;

/** The one row that says what version the documents are in. */
const ROW = 1;

/** The version of the documents in a folder: of one that says nothing the first, unless it is empty. */
async function versionOf(db: Database): Promise<number> {
  const [row] = await db.select().from(folder);
  if (row) return row.documents;
  const [any] = await db.select({ id: projects.id }).from(projects).limit(1);
  return any ? 1 : VERSION;
}

/** The documents on both sides of each change of one record, walked from the one that there is now: back over what was done, forth over what was taken back. */
function walked(
  kind: EditedKind | typeof PROJECT,
  rows: readonly Change[],
  now: unknown,
): readonly (Change & { was: unknown; is: unknown })[] {
  const done = rows.filter((r) => !r.undone);
  const toDoAgain = rows.filter((r) => r.undone && !r.closed);
  let here = now;
  const before = done.toReversed().map((row) => {
    const is = here;
    here = acrossChange(kind, row, here, false);
    return { ...row, was: here, is: row.delta === null ? row.after : is };
  });
  here = now;
  const after = toDoAgain.map((row) => {
    const was = here;
    here = acrossChange(kind, row, here, true);
    return { ...row, was: row.delta === null ? row.before : was, is: here };
  });
  return [...before, ...after];
}

/** Brings up what undo and redo would bring back. */
async function bringUpHistory(tx: Tx, from: number): Promise<void> {
  const ofRecord = new Map<string, Change[]>();
  for (const row of await tx.select().from(changes).orderBy(asc(changes.seq))) {
    const key = JSON.stringify([row.projectId, row.kind, row.recordId]);
    const rows = ofRecord.get(key) ?? [];
    rows.push(row);
    ofRecord.set(key, rows);
  }
  for (const rows of ofRecord.values()) {
    const [{ projectId, recordId, ...first }] = rows as [Change];
    const kind = first.kind as EditedKind | typeof PROJECT;
    for (const { seq, was, is } of walked(kind, rows, await documentNow(tx, kind, projectId, recordId))) {
      const sides = sidesOf(kind, recordBroughtUp(kind, was, from), recordBroughtUp(kind, is, from));
      await tx.update(changes).set(sides).where(eq(changes.seq, seq));
    }
  }
}

/** A record's document; null where it is taken out. */
async function documentNow(tx: Tx, kind: EditedKind | typeof PROJECT, projectId: string, id: string): Promise<unknown> {
  if (kind === PROJECT) {
    const [row] = await tx.select({ data: projects.data }).from(projects).where(eq(projects.id, id));
    return row?.data ?? null;
  }
  const table = tableOf(kind);
  const [row] = await tx
    .select({ data: table.data })
    .from(table)
    .where(and(eq(table.projectId, projectId), eq(table.id, id)));
  return row?.data ?? null;
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
      // The history stands on the documents as they are, so it is brought up before them.
      await bringUpHistory(tx, from);
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
    }
    await tx
      .insert(folder)
      .values({ id: ROW, documents: VERSION })
      .onConflictDoUpdate({ target: folder.id, set: { documents: VERSION } });
  });
}
