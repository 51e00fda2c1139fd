import { Inject, Injectable } from '@nestjs/common';
import { and, asc, desc, eq, isNotNull, lt, or, sql, type SQL } from 'drizzle-orm';
import type { KeptPiece } from '../../core/formats/index.js';
import { DATABASE, type Database, type Tx } from '../data/database.js';
import { changes, projects } from '../data/schema.js';
import { inUse } from '../problems/problem.js';
import { acrossChange } from '../data/difference.js';
import { RecordsService } from '../records/records.service.js';
import { PROJECT, tableOf, type EditedKind, type StoredRecord } from '../data/kinds.js';

/**
 * Whose changes are walked together: a piece with its opening, every thing there is (a kind without an id, so that
 * what was taken out counts too), or the project's own settings. Of a single record its making is not walked:
 * who works on a piece ends at the empty piece, and takes it out where pieces are listed.
 */
export type Scope = readonly { readonly kind: EditedKind | typeof PROJECT; readonly id?: string }[];

/** What an undo or redo did. */
export interface Step {
  readonly label: string;
  readonly kind: EditedKind | typeof PROJECT;
  /** The record as it is now; null when it is no longer there. */
  readonly record: StoredRecord | null;
  readonly recordId: string;
}

/** What could be taken back and done again next. */
export interface Prospects {
  readonly undo: string | null;
  readonly redo: string | null;
  /** The numbers of those changes: who walks names the one that is meant. */
  readonly undoChange: number | null;
  readonly redoChange: number | null;
}

/** One change as it is told to people. */
export interface ToldChange {
  readonly change: number;
  readonly label: string;
  readonly kind: string;
  readonly recordId: string;
  /** The device that it came from; null for what was changed before that was kept. */
  readonly device: string | null;
  readonly at: string;
  readonly undone: boolean;
}

/** So many changes are told at once. */
const TOLD = 50;

type ChangeRow = typeof changes.$inferSelect;

/** Walks back and forth along the kept changes. Letters that were given stay given. */
@Injectable()
export class HistoryService {
  constructor(
    @Inject(DATABASE) private readonly db: Database,
    @Inject(RecordsService) private readonly records: RecordsService,
  ) {}

  /** What was changed in a project and by which device, the latest first. @param before only changes older than that one */
  async list(projectId: string, before: number | undefined): Promise<readonly ToldChange[]> {
    const { seq, label, kind, recordId, device, at, undone } = changes;
    const rows = await this.db
      .select({ change: seq, label, kind, recordId, device, at, undone })
      .from(changes)
      .where(and(eq(changes.projectId, projectId), before === undefined ? undefined : lt(seq, before)))
      .orderBy(desc(seq))
      .limit(TOLD);
    return rows.map((row) => ({ ...row, at: row.at.toISOString() }));
  }

  async prospects(projectId: string, scope: Scope, from: Database | Tx = this.db): Promise<Prospects> {
    const undo = await this.next(projectId, scope, false, from);
    const redo = await this.next(projectId, scope, true, from);
    return { undo: undo?.label ?? null, redo: redo?.label ?? null, undoChange: undo?.seq ?? null, redoChange: redo?.seq ?? null };
  }

  /**
   * Takes back the latest change in the scope.
   * @param meant the change that whoever asks saw as the latest; where it is taken back already nothing is done
   * @returns null when there is none
   * @throws ProblemException 409 when another change has come in between
   */
  undo(projectId: string, scope: Scope, meant?: number): Promise<Step | null> {
    return this.walk(projectId, scope, false, meant);
  }

  /** Does the change again that was taken back last; the same of `meant` as of undo. @returns null when there is none */
  redo(projectId: string, scope: Scope, meant?: number): Promise<Step | null> {
    return this.walk(projectId, scope, true, meant);
  }

  private async next(projectId: string, scope: Scope, undone: boolean, from: Database | Tx): Promise<ChangeRow | undefined> {
    const inScope = or(
      ...scope.map(({ kind, id }) =>
        id === undefined
          ? eq(changes.kind, kind)
          : (and(eq(changes.kind, kind), eq(changes.recordId, id), or(isNotNull(changes.before), isNotNull(changes.delta))) as SQL),
      ),
    );
    const [row] = await from
      .select()
      .from(changes)
      .where(and(eq(changes.projectId, projectId), inScope, eq(changes.undone, undone), eq(changes.closed, false)))
      .orderBy(undone ? asc(changes.seq) : desc(changes.seq))
      .limit(1);
    return row;
  }

  /** Whether a change was walked already, by an asking whose answer was lost. */
  private async isWalked(projectId: string, meant: number, again: boolean, tx: Tx): Promise<boolean> {
    const [row] = await tx
      .select({ undone: changes.undone })
      .from(changes)
      .where(and(eq(changes.projectId, projectId), eq(changes.seq, meant)));
    return row?.undone === !again;
  }

  private walk(projectId: string, scope: Scope, again: boolean, meant?: number): Promise<Step | null> {
    return this.records.edit(projectId, async (tx) => {
      const change = await this.next(projectId, scope, again, tx);
      if (meant !== undefined && change?.seq !== meant) {
        if (await this.isWalked(projectId, meant, again, tx)) return null;
        throw inUse(
          change
            ? `Nothing was ${again ? 'done again' : 'taken back'}: “${change.label}” was done elsewhere${change.device === null ? '' : ` (${change.device})`} meanwhile, and comes first. Look at it, and ask again.`
            : `Nothing was ${again ? 'done again' : 'taken back'}: another change has taken its place.`,
        );
      }
      if (!change) return null;
      await tx.update(changes).set({ undone: !again }).where(eq(changes.seq, change.seq));
      const { label, recordId } = change;
      if (change.kind === PROJECT) return { label, kind: PROJECT, record: await this.settings(tx, change, again), recordId };
      const kind = change.kind as EditedKind;
      const table = tableOf(kind);
      const where = and(eq(table.projectId, projectId), eq(table.id, recordId));
      const [now] = await tx.select({ version: table.version, data: table.data }).from(table).where(where);
      if (!now && change.delta !== null) throw inUse(`“${label}” was done to what was taken out meanwhile. Bring that back first.`);
      const wanted = acrossChange(kind, change, now?.data ?? null, again);
      if (wanted === null) {
        await this.records.unused(tx, projectId, kind, recordId);
        await tx.delete(table).where(where);
        return { label, kind, record: null, recordId };
      }
      if (kind === 'pieces') await this.records.complete(tx, projectId, (wanted as KeptPiece).piece);
      const data = kind === 'pieces' && now ? { ...(wanted as KeptPiece), letters: (now.data as KeptPiece).letters } : wanted;
      const record = { id: recordId, version: (now?.version ?? (await this.lastVersion(tx, change))) + 1, data };
      await this.records.put(tx, projectId, kind, record);
      return { label, kind, record, recordId };
    });
  }

  /** Walks across a change of the project's own settings. */
  private async settings(tx: Tx, change: ChangeRow, again: boolean): Promise<StoredRecord> {
    const id = change.projectId;
    const [now] = await tx.select({ data: projects.data }).from(projects).where(eq(projects.id, id));
    const data = acrossChange(PROJECT, change, now?.data, again);
    const [row] = await tx
      .update(projects)
      .set({ data, version: sql`${projects.version} + 1` })
      .where(eq(projects.id, id))
      .returning({ id: projects.id, version: projects.version, data: projects.data });
    return row as StoredRecord;
  }

  /** A version past those that a record had before it was taken out, so that an edit made on it then does not fit it now. */
  private async lastVersion(tx: Tx, { projectId, kind, recordId }: ChangeRow): Promise<number> {
    const ofRecord = and(eq(changes.projectId, projectId), eq(changes.kind, kind), eq(changes.recordId, recordId));
    const [row] = await tx
      .select({ count: sql<number>`count(*)::int` })
      .from(changes)
      .where(ofRecord);
    return 2 * (row?.count ?? 0);
  }
}
