import { Inject, Injectable } from '@nestjs/common';
import { and, asc, desc, eq, or, type SQL } from 'drizzle-orm';
import type { KeptPiece } from '../../core/formats/index.js';
import { DATABASE, type Database } from '../data/database.js';
import { changes } from '../data/schema.js';
import { RecordsService, type Tx } from '../records/records.service.js';
import { tableOf, type Kind, type StoredRecord } from '../records/kinds.js';

/** Records whose changes are walked together: a piece with its opening, say. */
export type Scope = readonly { readonly kind: Kind; readonly id: string }[];

/** What an undo or redo did. */
export interface Step {
  readonly label: string;
  readonly kind: Kind;
  /** The record as it is now; null when it is no longer there. */
  readonly record: StoredRecord | null;
  readonly recordId: string;
}

/** What could be taken back and done again next. */
export interface Prospects {
  readonly undo: string | null;
  readonly redo: string | null;
}

type ChangeRow = typeof changes.$inferSelect;

/** Walks back and forth along the kept changes. Letters that were given stay given. */
@Injectable()
export class HistoryService {
  constructor(
    @Inject(DATABASE) private readonly db: Database,
    @Inject(RecordsService) private readonly records: RecordsService,
  ) {}

  async prospects(projectId: string, scope: Scope, from: Database | Tx = this.db): Promise<Prospects> {
    const undo = await this.next(projectId, scope, false, from);
    const redo = await this.next(projectId, scope, true, from);
    return { undo: undo?.label ?? null, redo: redo?.label ?? null };
  }

  /** Takes back the latest change in the scope. @returns null when there is none */
  undo(projectId: string, scope: Scope): Promise<Step | null> {
    return this.walk(projectId, scope, false);
  }

  /** Does the change again that was taken back last. @returns null when there is none */
  redo(projectId: string, scope: Scope): Promise<Step | null> {
    return this.walk(projectId, scope, true);
  }

  private async next(projectId: string, scope: Scope, undone: boolean, from: Database | Tx): Promise<ChangeRow | undefined> {
    const inScope = or(...scope.map((s) => and(eq(changes.kind, s.kind), eq(changes.recordId, s.id)) as SQL));
    const [row] = await from
      .select()
      .from(changes)
      .where(and(eq(changes.projectId, projectId), inScope, eq(changes.undone, undone), eq(changes.closed, false)))
      .orderBy(undone ? asc(changes.seq) : desc(changes.seq))
      .limit(1);
    return row;
  }

  private walk(projectId: string, scope: Scope, again: boolean): Promise<Step | null> {
    return this.db.transaction(async (tx) => {
      const change = await this.next(projectId, scope, again, tx);
      if (!change) return null;
      const kind = change.kind as Kind;
      const wanted = again ? change.after : change.before;
      await tx.update(changes).set({ undone: !again }).where(eq(changes.seq, change.seq));
      const table = tableOf(kind);
      const where = and(eq(table.projectId, projectId), eq(table.id, change.recordId));
      const [now] = await tx.select({ version: table.version, data: table.data }).from(table).where(where);
      if (wanted === null) {
        await tx.delete(table).where(where);
        return { label: change.label, kind, record: null, recordId: change.recordId };
      }
      const data = kind === 'pieces' && now ? { ...(wanted as KeptPiece), letters: (now.data as KeptPiece).letters } : wanted;
      const record = { id: change.recordId, version: (now?.version ?? 0) + 1, data };
      await this.records.put(tx, projectId, kind, record);
      return { label: change.label, kind, record, recordId: change.recordId };
    });
  }
}
