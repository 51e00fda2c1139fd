import { Inject, Injectable } from '@nestjs/common';
import { and, eq, sql } from 'drizzle-orm';
import { unionAll } from 'drizzle-orm/pg-core';
import { pieceFaults, workshopOf, type KeptPiece, type ProjectFile } from '../../core/formats/index.js';
import { namedIn, type Letters, type Piece } from '../../core/piece/index.js';
import type { Workshop } from '../../core/project/index.js';
import { lettersOf } from '../../core/solution/index.js';
import { DATABASE, type Database } from '../data/database.js';
import { changes, projects } from '../data/schema.js';
import { badInput, inUse, lostRace, notFound } from '../problems/problem.js';
import { KINDS, ONE, tableOf, type Kind, type StoredRecord } from './kinds.js';

/** A transaction of the database. */
export type Tx = Parameters<Parameters<Database['transaction']>[0]>[0];

/** A project with everything in it, each record with its version. */
export interface Workbench {
  readonly id: string;
  readonly version: number;
  readonly project: ProjectFile['project'];
  readonly records: Readonly<Record<Kind, readonly StoredRecord[]>>;
}

/** Keeps the records of projects: every committed edit is one change that can be taken back. */
@Injectable()
export class RecordsService {
  constructor(@Inject(DATABASE) private readonly db: Database) {}

  /** @throws ProblemException 404 when there is no such project */
  async workbench(projectId: string, from: Database | Tx = this.db): Promise<Workbench> {
    const [project] = await from.select().from(projects).where(eq(projects.id, projectId));
    if (!project) throw notFound(`project ${projectId}`);
    const lists = {} as Record<Kind, StoredRecord[]>;
    for (const kind of KINDS) lists[kind] = await this.list(projectId, kind, from);
    return { id: project.id, version: project.version, project: project.data as ProjectFile['project'], records: lists };
  }

  async list(projectId: string, kind: Kind, from: Database | Tx = this.db): Promise<StoredRecord[]> {
    const table = tableOf(kind);
    return from
      .select({ id: table.id, version: table.version, data: table.data })
      .from(table)
      .where(eq(table.projectId, projectId))
      .orderBy(table.createdAt, table.id);
  }

  async one(projectId: string, kind: Kind, id: string, from: Database | Tx = this.db): Promise<StoredRecord> {
    const table = tableOf(kind);
    const [record] = await from
      .select({ id: table.id, version: table.version, data: table.data })
      .from(table)
      .where(and(eq(table.projectId, projectId), eq(table.id, id)));
    if (!record) throw notFound(`${ONE[kind]} ${id}`);
    return record;
  }

  /** Makes a new record. @throws ProblemException 409 when its id is taken, 400 when it leads nowhere */
  async create(projectId: string, kind: Kind, id: string, sent: unknown, label: string): Promise<StoredRecord> {
    return this.db.transaction(async (tx) => {
      const bench = await this.workbench(projectId, tx);
      if (bench.records[kind].some((r) => r.id === id)) throw inUse(`There is a ${ONE[kind]} ${id} already.`);
      const data = kind === 'pieces' ? await this.kept(tx, projectId, sent as Piece, {}) : sent;
      await this.commit(tx, projectId, kind, { id, version: 1, data }, label, null);
      return { id, version: 1, data };
    });
  }

  /** Replaces a record that is still at the version the edit was made on. @throws ProblemException 409 with both when it is not */
  async save(projectId: string, kind: Kind, id: string, version: number, sent: unknown, label: string): Promise<StoredRecord> {
    return this.db.transaction(async (tx) => {
      const before = await this.one(projectId, kind, id, tx);
      if (before.version !== version) throw lostRace({ version: before.version, data: before.data }, sent);
      const data = kind === 'pieces' ? await this.kept(tx, projectId, sent as Piece, (before.data as KeptPiece).letters) : sent;
      const after = { id, version: version + 1, data };
      await this.commit(tx, projectId, kind, after, label, before.data);
      return after;
    });
  }

  /** Takes a record away. @throws ProblemException 409 when a piece still uses it */
  async remove(projectId: string, kind: Kind, id: string, version: number, label: string): Promise<void> {
    await this.db.transaction(async (tx) => {
      const bench = await this.workbench(projectId, tx);
      const before = bench.records[kind].find((r) => r.id === id);
      if (!before) throw notFound(`${ONE[kind]} ${id}`);
      if (before.version !== version) throw lostRace({ version: before.version, data: before.data }, null);
      const users = bench.records.pieces
        .filter((p) => uses((p.data as KeptPiece).piece, kind, id))
        .map((p) => (p.data as KeptPiece).piece.name);
      if (users.length > 0) throw inUse(`This ${ONE[kind]} is used by ${users.join(', ')}. Choose another there first.`);
      const table = tableOf(kind);
      const gone = tx.$with('gone').as(
        tx
          .delete(table)
          .where(and(eq(table.projectId, projectId), eq(table.id, id)))
          .returning({ id: table.id }),
      );
      await tx
        .with(gone, this.closing(tx, projectId, kind, id))
        .insert(changes)
        .values({ projectId, kind, recordId: id, label, before: before.data, after: null });
    });
  }

  /** Writes a record whatever was there; for undo and import inside their transactions. */
  async put(tx: Tx, projectId: string, kind: Kind, record: StoredRecord): Promise<void> {
    await this.writing(tx, projectId, kind, record);
  }

  private writing(tx: Tx, projectId: string, kind: Kind, { id, version, data }: StoredRecord) {
    const table = tableOf(kind);
    return (
      tx
        .insert(table)
        // The clock and not the transaction's time, so that records read in together keep their order.
        .values({ projectId, id, version, data, createdAt: sql`clock_timestamp()` })
        .onConflictDoUpdate({ target: [table.projectId, table.id], set: { version, data, updatedAt: sql`now()` } })
        .returning({ id: table.id })
    );
  }

  /** Closes what was taken back of a record, so that it cannot be done again after a later edit. */
  private closing(tx: Tx, projectId: string, kind: Kind, id: string) {
    const ofRecord = and(eq(changes.projectId, projectId), eq(changes.kind, kind), eq(changes.recordId, id));
    return tx.$with('closing').as(
      tx
        .update(changes)
        .set({ closed: true })
        .where(and(ofRecord, eq(changes.undone, true)))
        .returning({ seq: changes.seq }),
    );
  }

  /** Writes a record and notes the edit, in one question to the database. */
  private async commit(tx: Tx, projectId: string, kind: Kind, record: StoredRecord, label: string, before: unknown): Promise<void> {
    const written = tx.$with('written').as(this.writing(tx, projectId, kind, record));
    await tx
      .with(written, this.closing(tx, projectId, kind, record.id))
      .insert(changes)
      .values({ projectId, kind, recordId: record.id, label, before, after: record.data });
  }

  /** What is stored of a piece that was sent: with the letters of its parts, by its ledger. */
  private async kept(tx: Tx, projectId: string, piece: Piece, ledger: Letters): Promise<KeptPiece> {
    const faults = pieceFaults(piece, '/data');
    if (faults.length > 0) throw badInput(faults);
    return { piece, letters: lettersOf(piece, await this.workshop(projectId, tx), ledger) };
  }

  /** What pieces of a project are solved with, in one question to the database. */
  private async workshop(projectId: string, tx: Tx): Promise<Workshop> {
    const part = (kind: 'openings' | 'things' | 'stock' | 'slides') => {
      const table = tableOf(kind);
      return tx
        .select({ kind: sql<string>`${kind}`.as('kind'), id: table.id, data: table.data })
        .from(table)
        .where(eq(table.projectId, projectId));
    };
    const settings = tx
      .select({ kind: sql<string>`'project'`.as('kind'), id: projects.id, data: projects.data })
      .from(projects)
      .where(eq(projects.id, projectId));
    const rows = await unionAll(settings, part('openings'), part('things'), part('stock'), part('slides'));
    const records = <T>(kind: string) => Object.fromEntries(rows.filter((r) => r.kind === kind).map((r) => [r.id, r.data as T]));
    const [project] = rows.filter((r) => r.kind === 'project');
    if (!project) throw notFound(`project ${projectId}`);
    return workshopOf({
      project: project.data as ProjectFile['project'],
      openings: records('openings'),
      things: records('things'),
      stock: records('stock'),
      slides: records('slides'),
    });
  }
}

/** A workbench as a project file, without versions. */
export function fileOf(bench: Workbench): ProjectFile {
  const records = <T>(kind: Kind) => Object.fromEntries(bench.records[kind].map((r) => [r.id, r.data as T]));
  return {
    format: 'ruvok-project',
    version: 1,
    project: bench.project,
    openings: records('openings'),
    things: records('things'),
    stock: records('stock'),
    slides: records('slides'),
    people: records('people'),
    pieces: records('pieces'),
  };
}

function uses(piece: Piece, kind: Kind, id: string): boolean {
  if (kind === 'openings') return piece.opening === id;
  if (kind === 'stock' && Object.values(piece.stock).includes(id)) return true;
  if (kind === 'stock' && piece.shell === 'in-place' && piece.packing?.stock === id) return true;
  return namedIn(piece.interior).some((n) => NAMED[n.kind] === kind && n.id === id);
}

const NAMED = { stock: 'stock', slide: 'slides', thing: 'things' } as const;
