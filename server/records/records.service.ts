import { Inject, Injectable } from '@nestjs/common';
import { and, eq, sql, type ColumnsSelection } from 'drizzle-orm';
import { unionAll } from 'drizzle-orm/pg-core';
import type { TypedQueryBuilder } from 'drizzle-orm/query-builders/query-builder';
import { KEPT_IN, VERSION, missingOf, workshopOf, type KeptPiece, type ProjectFile } from '../../core/formats/index.js';
import { spacesOf, type Piece } from '../../core/piece/index.js';
import { namedBy } from '../../core/kinds/index.js';
import type { Building, LogEntry } from '../../core/build/index.js';
import type { Hardware } from '../../core/stock/index.js';
import type { Cutting } from '../../core/layout/index.js';
import { nameOfRecord, type Workshop } from '../../core/project/index.js';
import type { BuiltReading, MadePart } from '../../core/survey/index.js';
import { DATABASE, type Database, type Tx } from '../data/database.js';
import { changes, folder, projects } from '../data/schema.js';
import { keptOf } from '../work/tasks.js';
import { WorkService } from '../work/work.service.js';
import { deviceNow } from './device.js';
import { sidesOf, type Sides } from '../data/difference.js';
import { badInput, inUse, lostRace, notFound, outOfDate, stopped } from '../problems/problem.js';
import { refuseSenseless } from '../problems/sense.js';
import { EDITED, ONE, PROJECT, tableOf, type EditedKind, type FactKind, type Kind, type StoredRecord } from '../data/kinds.js';

/** The clock and not the transaction's time, so that records read in together keep their order. */
const NOW = sql`clock_timestamp()`;

/** A piece of more spaces than this takes longer than anyone else should wait for. */
const LARGE = 100;

/** So many records are written in one question to the database. */
const AT_ONCE = 25;

/** A write that gives back the id of what it wrote. */
type Writing = TypedQueryBuilder<ColumnsSelection>;

/** One edit of a record. */
interface Edit {
  readonly projectId: string;
  readonly kind: EditedKind | typeof PROJECT;
  readonly recordId: string;
  readonly label: string;
  /** What is kept of the documents on either side of it. */
  readonly sides: Sides;
}

/** What an edit makes of a record. */
interface Made {
  readonly data: unknown;
  readonly sides: Sides;
}

/** A project with everything in it, each record with its version. */
export interface Workbench {
  readonly id: string;
  readonly version: number;
  readonly project: ProjectFile['project'];
  readonly records: Readonly<Record<EditedKind, readonly StoredRecord[]>>;
  /** What the tape found in pieces once they stood there, oldest first. */
  readonly readings: readonly StoredRecord[];
  /** What became of parts, oldest first. */
  readonly made: readonly StoredRecord[];
}

/** What was noted of a part, as the history tells it. */
const NOTED: Readonly<Record<MadePart['is'], string>> = {
  cut: 'A part is cut',
  fitted: 'A part is fitted',
  spoiled: 'A part went wrong',
  planned: 'A part is as planned again',
};

/** What is told of a fact in the history. */
function factLabel(fact: BuiltReading | MadePart): string {
  if ('is' in fact) return NOTED[fact.is];
  return fact.value === null ? `The planned ${fact.reach} counts again` : `Read the ${fact.reach} of a space as it is built`;
}

/** A record with the number of the change that made it so. */
export type ChangedRecord = StoredRecord & { readonly change: number };

/** Keeps the records of projects: every committed edit is one change that can be taken back. */
@Injectable()
export class RecordsService {
  constructor(
    @Inject(DATABASE) private readonly db: Database,
    @Inject(WorkService) private readonly work: WorkService,
  ) {}

  /** @throws ProblemException 404 when there is no such project */
  async workbench(projectId: string, from: Database | Tx = this.db): Promise<Workbench> {
    const [project] = await from.select().from(projects).where(eq(projects.id, projectId));
    if (!project) throw notFound(`project ${projectId}`);
    const records = {} as Record<EditedKind, StoredRecord[]>;
    for (const kind of EDITED) records[kind] = await this.list(projectId, kind, from);
    const readings = await this.list(projectId, 'readings', from);
    const made = await this.list(projectId, 'made', from);
    return { id: project.id, version: project.version, project: project.data as ProjectFile['project'], records, readings, made };
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

  /**
   * Does one edit of a project, all of it or nothing, after those that others are at.
   * @throws ProblemException 503 where a newer program has taken the store over
   */
  edit<T>(projectId: string, work: (tx: Tx) => Promise<T>): Promise<T> {
    return this.db.transaction(async (tx) => {
      await tx.execute(sql`select pg_advisory_xact_lock(hashtext(${projectId}))`);
      const [store] = await tx.select({ documents: folder.documents }).from(folder);
      if (store && store.documents > VERSION) throw outOfDate();
      return work(tx);
    });
  }

  /** Makes a new record. @throws ProblemException 409 when its id is taken, 400 when it leads nowhere */
  async create(projectId: string, kind: EditedKind, id: string, sent: unknown, label: string): Promise<ChangedRecord> {
    return this.edit(projectId, async (tx) => {
      const { data, sides } = await this.made(tx, projectId, kind, null, sent);
      const table = tableOf(kind);
      const made = tx
        .insert(table)
        .values({ projectId, id, version: 1, data, createdAt: NOW })
        .onConflictDoNothing()
        .returning({ id: table.id });
      const change = await this.commit(tx, made, { projectId, kind, recordId: id, label, sides });
      if (change === null) throw inUse(`There is a ${ONE[kind]} ${id} already.`);
      return { id, version: 1, data, change };
    });
  }

  /** Replaces a record that is still at the version the edit was made on. @throws ProblemException 409 with both when it is not */
  async save(projectId: string, kind: EditedKind, id: string, version: number, sent: unknown, label: string): Promise<ChangedRecord> {
    return this.edit(projectId, async (tx) => {
      const before = await this.one(projectId, kind, id, tx);
      const { data, sides } = await this.made(tx, projectId, kind, before.data, sent);
      const table = tableOf(kind);
      const written = tx
        .update(table)
        .set({ version: version + 1, data, updatedAt: sql`now()` })
        .where(and(eq(table.projectId, projectId), eq(table.id, id), eq(table.version, version)))
        .returning({ id: table.id });
      const change = await this.commit(tx, written, { projectId, kind, recordId: id, label, sides });
      if (change === null) throw lostRace(await this.one(projectId, kind, id, tx), sent);
      return { id, version: version + 1, data, change };
    });
  }

  /** Adds what was found in a piece or of a part: no edit of the plan, so that undo leaves it. @throws ProblemException 409 when its id is taken, 404 when there is no such piece */
  async addFact(projectId: string, kind: FactKind, id: string, data: BuiltReading | MadePart): Promise<StoredRecord> {
    return this.edit(projectId, async (tx) => {
      await this.one(projectId, 'pieces', data.piece, tx);
      refuseSenseless(kind, data, null);
      const table = tableOf(kind);
      const made = await tx
        .insert(table)
        .values({ projectId, id, version: 1, data, createdAt: NOW })
        .onConflictDoNothing()
        .returning({ id: table.id });
      if (made.length === 0) throw inUse(`There is a ${ONE[kind]} ${id} already.`);
      // It stands in the history under its piece, with its device; there is nothing on either side of it to walk to.
      await tx.insert(changes).values({ projectId, kind, recordId: data.piece, label: factLabel(data), device: deviceNow() });
      return { id, version: 1, data };
    });
  }

  /** Takes a record away. @throws ProblemException 409 when a piece still uses it */
  async remove(projectId: string, kind: EditedKind, id: string, version: number): Promise<void> {
    await this.edit(projectId, async (tx) => {
      const before = await this.one(projectId, kind, id, tx);
      await this.unused(tx, projectId, kind, id);
      const table = tableOf(kind);
      const gone = tx
        .delete(table)
        .where(and(eq(table.projectId, projectId), eq(table.id, id), eq(table.version, version)))
        .returning({ id: table.id });
      const label = `Took out ${nameOfRecord(before.data)}`;
      const sides = sidesOf(kind, before.data, null);
      if ((await this.commit(tx, gone, { projectId, kind, recordId: id, label, sides })) === null)
        throw lostRace(await this.one(projectId, kind, id, tx), null);
    });
  }

  /** @throws ProblemException 409 with the pieces that name a record, where there are any */
  async unused(tx: Tx, projectId: string, kind: EditedKind, id: string): Promise<void> {
    if (kind === 'pieces') return;
    const users = (await this.list(projectId, 'pieces', tx))
      .map((p) => (p.data as KeptPiece).piece)
      .filter((piece) => namedBy(piece).some((n) => KEPT_IN[n.kind] === kind && n.id === id))
      .map((piece) => piece.name);
    if (users.length > 0) throw inUse(`This ${ONE[kind]} is used by ${users.join(', ')}. Choose another there first.`);
  }

  /** @throws ProblemException 409 when a piece that is to come back names what is there no longer */
  async complete(tx: Tx, projectId: string, piece: Piece): Promise<void> {
    const missing = missingOf(piece, await this.workshop(projectId, tx));
    const [first] = missing;
    if (!first) return;
    throw inUse(
      `${piece.name} would need the ${first.kind} ${first.id}, which was taken out meanwhile. Bring that back first: undo it where it is listed.`,
    );
  }

  /** Writes a record whatever was there; for undo and import inside their transactions. */
  async put(tx: Tx, projectId: string, kind: Kind, { id, version, data }: StoredRecord): Promise<void> {
    const table = tableOf(kind);
    await tx
      .insert(table)
      .values({ projectId, id, version, data, createdAt: NOW })
      .onConflictDoUpdate({ target: [table.projectId, table.id], set: { version, data, updatedAt: sql`now()` } });
  }

  /** Writes many new records of a kind, in their order; for import inside its transaction. */
  async putAll(
    tx: Tx,
    projectId: string,
    kind: Kind,
    records: readonly (readonly [id: string, data: unknown])[],
    signal?: AbortSignal,
  ): Promise<void> {
    const table = tableOf(kind);
    for (let from = 0; from < records.length; from += AT_ONCE) {
      // The embedded database answers before anything else gets its turn: others are let in between.
      await new Promise((resolve) => setImmediate(resolve));
      if (signal?.aborted) throw stopped();
      const some = records.slice(from, from + AT_ONCE);
      await tx.insert(table).values(
        some.map(([id, data], i) => ({
          projectId,
          id,
          version: 1,
          data,
          createdAt: sql`clock_timestamp() + ${i} * interval '1 microsecond'`,
        })),
      );
    }
  }

  /** Closes what was taken back of a record: after a later edit it cannot be done again, so what it changed is let go. */
  private closing(tx: Tx, projectId: string, kind: string, id: string) {
    const ofRecord = and(eq(changes.projectId, projectId), eq(changes.kind, kind), eq(changes.recordId, id));
    return tx.$with('closing').as(
      tx
        .update(changes)
        .set({ closed: true, before: null, after: null, delta: null })
        .where(and(ofRecord, eq(changes.undone, true)))
        .returning({ seq: changes.seq }),
    );
  }

  /**
   * Writes a record and notes the edit, in one question to the database.
   * @param writing that gives a row back when the record was as the edit took it to be
   * @returns the number of the change; null where the record was not so, and the transaction must be given up
   */
  async commit(tx: Tx, writing: Writing, { sides, ...edit }: Edit): Promise<number | null> {
    const written = tx.$with('written').as(writing);
    const noted = await tx
      .with(written, this.closing(tx, edit.projectId, edit.kind, edit.recordId))
      .insert(changes)
      .values({ ...edit, ...sides, device: deviceNow() })
      .returning({ seq: changes.seq, written: sql<number>`(select count(*)::int from "written")` });
    return noted[0]?.written === 1 ? noted[0].seq : null;
  }

  /** What is stored of a record that was sent, for a piece with the letters of its parts. A large piece is looked at on another thread. */
  private async made(tx: Tx, projectId: string, kind: EditedKind, before: unknown, sent: unknown): Promise<Made> {
    refuseSenseless(kind, sent, kind === 'pieces' ? (before as KeptPiece | null)?.piece : before);
    if (kind !== 'pieces') return { data: sent, sides: sidesOf(kind, before, sent) };
    const piece = sent as Piece;
    const given = [piece, await this.workshop(projectId, tx), before as KeptPiece | null] as const;
    const isLarge = [...spacesOf(piece.interior)].length > LARGE;
    const found = isLarge ? await this.work.run('keep', [...given]) : keptOf(...given);
    if (!found.ok) throw badInput(found.faults);
    return { data: { piece, letters: found.letters } satisfies KeptPiece, sides: found.sides };
  }

  /** What pieces of a project are solved with, in one question to the database. */
  private async workshop(projectId: string, tx: Tx): Promise<Workshop> {
    const part = (kind: 'openings' | 'things' | 'stock' | 'slides' | 'people') => {
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
    const rows = await unionAll(settings, part('openings'), part('things'), part('stock'), part('slides'), part('people'));
    const records = <T>(kind: string) => Object.fromEntries(rows.filter((r) => r.kind === kind).map((r) => [r.id, r.data as T]));
    const [project] = rows.filter((r) => r.kind === 'project');
    if (!project) throw notFound(`project ${projectId}`);
    return workshopOf({
      project: project.data as ProjectFile['project'],
      openings: records('openings'),
      things: records('things'),
      stock: records('stock'),
      slides: records('slides'),
      people: records('people'),
    });
  }
}

/** A workbench as a project file, without versions. */
export function fileOf(bench: Workbench): ProjectFile {
  const byId = <T>(list: readonly StoredRecord[]) => Object.fromEntries(list.map((r) => [r.id, r.data as T]));
  const records = <T>(kind: EditedKind) => byId<T>(bench.records[kind]);
  const pieces = records<KeptPiece>('pieces');
  // What belongs to a piece that was taken out waits here until it is brought back.
  const ofPieces = <T extends { readonly piece: string }>(all: Record<string, T>) =>
    Object.entries(all).filter(([, { piece }]) => piece in pieces);
  const some = <T>(kind: 'buildings' | 'log' | 'readings' | 'made', entries: readonly (readonly [string, T])[]) =>
    entries.length > 0 ? { [kind]: Object.fromEntries(entries) } : {};
  return {
    format: 'ruvok-project',
    version: VERSION,
    project: bench.project,
    openings: records('openings'),
    things: records('things'),
    stock: records('stock'),
    slides: records('slides'),
    ...(bench.records.hardware.length > 0 ? { hardware: records<Hardware>('hardware') } : {}),
    people: records('people'),
    pieces,
    ...(bench.records.cuttings.length > 0 ? { cuttings: records<Cutting>('cuttings') } : {}),
    ...some('buildings', ofPieces(records<Building>('buildings'))),
    ...some('log', ofPieces(records<LogEntry>('log'))),
    ...some('readings', ofPieces(byId<BuiltReading>(bench.readings))),
    ...some('made', ofPieces(byId<MadePart>(bench.made))),
  };
}
