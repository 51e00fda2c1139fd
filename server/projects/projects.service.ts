import { readFile, writeFile } from 'node:fs/promises';
import type { IncomingMessage } from 'node:http';
import { join } from 'node:path';
import { Inject, Injectable } from '@nestjs/common';
import { and, eq, sql } from 'drizzle-orm';
import { writeProjectFile, type ProjectFile } from '../../core/formats/index.js';
import { DATABASE, type Database, type Tx } from '../data/database.js';
import { photos, projects } from '../data/schema.js';
import { pictureAgain, plainBytes, type Picture } from '../photos/picture.js';
import { MOST_ARCHIVE, packed, photosIn, type PackedPhoto } from './archive.js';
import { Incoming } from './incoming.js';
import { badInput, inUse, lostRace, notFound, stopped } from '../problems/problem.js';
import { refuseSenseless } from '../problems/sense.js';
import { sidesOf } from '../data/difference.js';
import { KINDS, PROJECT } from '../data/kinds.js';
import { lettered, type Told } from '../work/tasks.js';
import { WorkService, type Watched } from '../work/work.service.js';
import { RecordsService, fileOf } from '../records/records.service.js';

/** A photo with the id that it is kept under. */
type KeptPhoto = Picture & { readonly id: string };

/** What is written beside a file, one after the other, and when it is no longer wanted. */
interface Writing {
  readonly photos?: AsyncIterable<KeptPhoto> | Iterable<KeptPhoto>;
  readonly signal?: AbortSignal | undefined;
}

/** Photos that lie ready in a folder, each read when its turn comes. */
async function* readyPhotos(folder: string, all: readonly Omit<KeptPhoto, 'bytes'>[]): AsyncGenerator<KeptPhoto> {
  for (const photo of all) yield { ...photo, bytes: await readFile(join(folder, `photo-${photo.id}`)) };
}

const UNREADABLE = 'This archive cannot be read as a project. Nothing was changed.';

const isThere = (id: string) => inUse(`There is a project ${id} already.`);

/** Projects by themselves, and as files that are read in and written out whole. */
@Injectable()
export class ProjectsService {
  constructor(
    @Inject(DATABASE) private readonly db: Database,
    @Inject(RecordsService) private readonly records: RecordsService,
    @Inject(WorkService) private readonly work: WorkService,
    @Inject(Incoming) private readonly incoming: Incoming,
  ) {}

  list() {
    return this.db.select({ id: projects.id, version: projects.version, data: projects.data }).from(projects).orderBy(projects.createdAt);
  }

  async isEmpty(): Promise<boolean> {
    return (await this.db.select({ id: projects.id }).from(projects).limit(1)).length === 0;
  }

  async create(id: string, data: unknown) {
    refuseSenseless('project', data, null);
    await this.insert(this.db, id, data);
    return { id, version: 1, data };
  }

  /** Renames a project or changes its settings. @throws ProblemException 409 when it was changed meanwhile */
  async save(id: string, version: number, data: unknown) {
    return this.records.edit(id, async (tx) => {
      const now = await this.one(id, tx);
      refuseSenseless('project', data, now.data);
      const written = tx
        .update(projects)
        .set({ version: version + 1, data, updatedAt: sql`now()` })
        .where(and(eq(projects.id, id), eq(projects.version, version)))
        .returning({ id: projects.id });
      const edit = { projectId: id, recordId: id, label: 'Changed the settings', sides: sidesOf(PROJECT, now.data, data) };
      const made = await this.records.commit(tx, written, { ...edit, kind: PROJECT });
      if (made === null) throw lostRace(await this.one(id, tx), data);
      return { id, version: version + 1, data, change: made };
    });
  }

  private async one(id: string, tx: Database | Tx) {
    const [now] = await tx.select().from(projects).where(eq(projects.id, id));
    if (!now) throw notFound(`project ${id}`);
    return now;
  }

  async remove(id: string, version: number): Promise<void> {
    await this.records.edit(id, async (tx) => {
      const gone = await tx
        .delete(projects)
        .where(and(eq(projects.id, id), eq(projects.version, version)))
        .returning({ id: projects.id });
      if (gone.length === 0) throw lostRace(await this.one(id, tx), null);
    });
  }

  /** Reads a whole project in under a new id. @throws ProblemException 400 with every fault of the file, 409 where it was stopped */
  async read(id: string, document: unknown, watched: Watched = {}): Promise<{ id: string }> {
    await this.free(id);
    const reading = await this.work.run('read', [document], watched);
    if (!reading.ok) throw badInput(reading.faults, 'This file cannot be read as a project. Nothing was changed.');
    await this.write(id, reading.file, { signal: watched.signal });
    return { id };
  }

  /**
   * The same of a project that is packed with its photos. It is put on the disk as it comes in, and its photos are taken out of
   * it one by one. @throws ProblemException 400 for a photo that is none, too; 413 for one that is too large
   */
  async readPacked(id: string, sent: IncomingMessage, watched: Watched = {}): Promise<{ id: string }> {
    await this.free(id);
    return this.incoming.received(sent, MOST_ARCHIVE, async (path, folder) => {
      const reading = await this.work.run('readPacked', [path], watched);
      if (!reading.ok) throw badInput(reading.faults, UNREADABLE);
      // Made ready on the disk first: nobody else can write while what was read is written.
      const ready: Omit<KeptPhoto, 'bytes'>[] = [];
      for await (const { bytes, ...photo } of this.photosOf(path)) {
        if (watched.signal?.aborted) throw stopped();
        await writeFile(join(folder, `photo-${photo.id}`), bytes);
        ready.push(photo);
      }
      await this.write(id, reading.file, { photos: readyPhotos(folder, ready), signal: watched.signal });
      return { id };
    });
  }

  /** Photos of an archive as they are kept, one after the other. */
  private async *photosOf(path: string): AsyncGenerator<KeptPhoto> {
    const all = photosIn(path);
    for (;;) {
      const next = await all.next().catch((error: Error) => {
        throw badInput([{ path: '/photos', message: error.message, accepted: 'photos as Ruvok packs them' }], UNREADABLE);
      });
      if (next.done) return;
      yield { id: next.value.id, ...(await pictureAgain(Buffer.from(next.value.bytes))) };
    }
  }

  /** A project with its photos, packed, piece by piece; told how many of its photos are. @throws ProblemException 404 when there is no such project */
  async packed(id: string, told: Told): Promise<AsyncIterable<Uint8Array>> {
    const file = fileOf(await this.records.workbench(id));
    const kept = await this.db.select({ id: photos.id }).from(photos).where(eq(photos.projectId, id)).orderBy(photos.id);
    return packed(writeProjectFile(file), this.photosNamed(id, kept, told));
  }

  private async *photosNamed(projectId: string, ids: readonly { readonly id: string }[], told: Told): AsyncGenerator<PackedPhoto> {
    for (const [i, { id }] of ids.entries()) {
      told(i, ids.length);
      const [photo] = await this.db
        .select({ bytes: photos.bytes })
        .from(photos)
        .where(and(eq(photos.projectId, projectId), eq(photos.id, id)));
      if (photo) yield { id, bytes: await plainBytes(photo.bytes) };
    }
  }

  /** Writes a project that was checked already, all of it or nothing. */
  async store(id: string, file: ProjectFile): Promise<void> {
    await this.write(id, lettered(file));
  }

  private async write(id: string, file: ProjectFile, { photos: pictures = [], signal }: Writing = {}): Promise<void> {
    await this.db.transaction(async (tx) => {
      await this.insert(tx, id, file.project);
      for (const kind of KINDS) {
        await this.records.putAll(tx, id, kind, Object.entries(file[kind] ?? {}), signal);
      }
      for await (const picture of pictures) {
        if (signal?.aborted) throw stopped();
        await tx.insert(photos).values({ projectId: id, ...picture });
      }
    });
  }

  /** Asked before anything is worked out that would be for nothing. @throws ProblemException 409 where there is one of that id */
  private async free(id: string): Promise<void> {
    const [there] = await this.db.select({ id: projects.id }).from(projects).where(eq(projects.id, id));
    if (there) throw isThere(id);
  }

  /** @throws ProblemException 409 where there is one of that id */
  private async insert(tx: Database | Tx, id: string, data: unknown): Promise<void> {
    const made = await tx.insert(projects).values({ id, version: 1, data }).onConflictDoNothing().returning({ id: projects.id });
    if (made.length === 0) throw isThere(id);
  }
}
